import dayjs from "dayjs";
import { docketWords } from "@/ui/words";

/** How the database stands, as far as a person must know of it. */
interface Standing {
  readonly damage: readonly string[];
  readonly missing: { readonly count: number; readonly lastHere: string | null; readonly lastKept: string } | null;
}

const timeOf = (at: string): string => dayjs(at).format("D MMM YYYY, HH:mm");

/** What is wrong with the database, each in one sentence with what to do; empty where all is well. */
export function keepingWarnings({ damage, missing }: Standing): readonly string[] {
  return [
    ...(damage.length ? [docketWords.databaseDamaged] : []),
    ...(missing ? [docketWords.savesMissing(missing.count, timeOf(missing.lastKept), missing.lastHere && timeOf(missing.lastHere))] : []),
  ];
}
