import { ArrivalsPlace } from "@/ui/arrivals";

export default function Page() {
  return <ArrivalsPlace />;
}
