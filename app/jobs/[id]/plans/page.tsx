import { PlansPlace } from "@/ui/plans";

export default function Page() {
  return <PlansPlace />;
}
