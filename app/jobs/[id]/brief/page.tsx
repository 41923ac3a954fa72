import { BriefPlace } from "@/ui/brief";

export default function Page() {
  return <BriefPlace />;
}
