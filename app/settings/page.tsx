import { backupState, customersKept, database } from "@/server";
import { SettingsPlace } from "@/ui/settings";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.settingsTitle };
export const dynamic = "force-dynamic";

export default async function Page() {
  const db = await database();
  return <SettingsPlace backups={await backupState(db)} customers={await customersKept(db)} />;
}
