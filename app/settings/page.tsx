import { SettingsPlace } from "@/ui/settings";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.settingsTitle };

export default function Page() {
  return <SettingsPlace />;
}
