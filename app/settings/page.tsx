import { backupState, database } from "@/server";
import { SettingsPlace } from "@/ui/settings";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.settingsTitle };
export const dynamic = "force-dynamic";

export default async function Page() {
  return <SettingsPlace backups={await backupState(await database())} />;
}
