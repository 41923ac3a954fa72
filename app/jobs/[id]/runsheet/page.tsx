import { RunSheetPlace } from "@/ui/visit";

export default function Page() {
  return <RunSheetPlace />;
}
