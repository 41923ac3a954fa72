import { ProvePlace } from "@/ui/visit";

export default function Page() {
  return <ProvePlace />;
}
