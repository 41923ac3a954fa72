import { GearPlace } from "@/ui/gear";

export default function Page() {
  return <GearPlace />;
}
