import { actsAlike, eventOf, householdOf, isOnPurpose, judgeAll, type Act, type ActVerdict } from "@/core/cec";
import { compareArrivals, solve, solveAgain, type Arrival } from "@/core/chain";
import { applyCommand, type Job } from "@/core/job";
import type { VisitStep } from "./step";

/** What rests on a menu: a row that would fare worse were it left as found, or an act that would go otherwise. */
export type SettingNeed =
  | { readonly need: "row"; readonly row: Arrival; readonly without: Arrival; readonly more: number }
  | { readonly need: "act"; readonly act: Act; readonly without: ActVerdict["verdict"]; readonly more: number };

/** Why a menu is set: what the planned room would lose with it left as it was found. Null where nothing rests on this menu alone. */
export function needOfSetting(job: Job, { device, setting }: Pick<VisitStep, "device" | "setting">): SettingNeed | null {
  const found = job.devices.find(({ id }) => id === device)?.settings.find(({ key }) => key === setting?.key)?.found ?? null;
  if (!setting || device === null || found === null || found === setting.value) return null;
  const without = applyCommand(job, { kind: "set-setting", device, setting: setting.key, state: "planned", value: found });
  if (!without.ok) return null;
  const planned = solve(job, "planned");
  const left = solveAgain(planned, without.value.job, { told: "arrivals-only" });
  const after = new Map(left.rows.map((row) => [row.id, row]));
  const worse = planned.rows.flatMap((row) => {
    const other = after.get(row.id);
    const isWorse = other && (compareArrivals(other, row) < 0 || (other.verdict === "no-picture" && row.verdict !== "no-picture"));
    return other && isWorse ? [{ row, without: other }] : [];
  });
  const [first] = worse;
  if (first) return { need: "row", ...first, more: worse.length - 1 };
  return actNeed(householdOf(job, "planned", { solved: planned }), householdOf(without.value.job, "planned", { solved: left }));
}

function actNeed(planned: ReturnType<typeof householdOf>, left: ReturnType<typeof householdOf>): SettingNeed | null {
  if (actsAlike(planned, left)) return null;
  const after = new Map(judgeAll(left).map(({ act, verdict }) => [eventOf(act), verdict.verdict]));
  const worse = judgeAll(planned).flatMap(({ act, verdict }) => {
    const other = after.get(eventOf(act));
    return isOnPurpose(act) && other && RANK[other] > RANK[verdict.verdict] ? [{ act, without: other }] : [];
  });
  const [first] = worse;
  return first ? { need: "act", ...first, more: worse.length - 1 } : null;
}

const RANK: Readonly<Record<ActVerdict["verdict"], number>> = { "as-wished": 0, "with-a-step": 1, fails: 2, unstable: 3 };
