import { ControlPlace } from "@/ui/control";

export default function Page() {
  return <ControlPlace />;
}
