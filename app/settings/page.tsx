import { cookies } from "next/headers";
import { accessOfServer, backupState, COOKIE, customersKept, database, firmFaults, firmMinutes } from "@/server";
import { SettingsPlace } from "@/ui/settings";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.settingsTitle };
export const dynamic = "force-dynamic";

export default async function Page() {
  const db = await database();
  const access = accessOfServer();
  const here = access?.sessionOf((await cookies()).get(COOKIE)?.value);
  const sessions =
    access?.sessions.map(({ id, at, seen, address, agent }) => ({ at, seen, address, agent, isHere: id === here?.id })) ?? null;
  const { learned } = await firmMinutes(db);
  const { solved } = await firmFaults(db, null);
  return (
    <SettingsPlace
      learned={learned}
      solved={solved}
      backups={await backupState(db)}
      customers={await customersKept(db)}
      sessions={sessions?.toReversed() ?? null}
    />
  );
}
