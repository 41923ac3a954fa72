import { SettingsPlace } from "@/ui/settings";

export const metadata = { title: "Settings · Octachord" };

export default function Page() {
  return <SettingsPlace />;
}
