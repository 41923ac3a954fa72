import { PatchPlace } from "@/ui/patch";

export default function Page() {
  return <PatchPlace />;
}
