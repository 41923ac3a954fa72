import { applyCommand, type Command, type Job } from "@/core/job";
import { UNREGISTERED, type SettingKey } from "@/core/facts";
import type { SettingState } from "@/core/device";
import { actsOf, isOnPurpose, type Act } from "./acts";
import { judgeAct, type ActVerdict, type HandStep, type JudgedAct } from "./judge";
import { householdOf, type Household } from "./stations";

/** Something that makes an act go as wished, each played before it is offered. */
export type Cure =
  | { readonly cure: "setting"; readonly command: Command; readonly device: string; readonly setting: SettingKey; readonly value: string }
  /** Power in this order gives the addresses to those who need them. */
  | { readonly cure: "power-in-order"; readonly order: readonly string[] }
  /** Another act that ends as wished: "switch on with this one". */
  | { readonly cure: "other-act"; readonly act: Act }
  /** One key of a programmed remote that presses them all. */
  | { readonly cure: "programmed-remote"; readonly steps: readonly HandStep[] };

/** The switches of control, and the value that lets it work. */
const SWITCHES: readonly (readonly [SettingKey, string])[] = [
  ["cec", "on"],
  ["control-wakes", "on"],
  ["control-obeys", "on"],
  ["arc", "on"],
  ["earc", "on"],
  ["speakers", "external"],
  ["control-wakes", "off"],
  ["control-obeys", "off"],
];

/**
 * What makes an act better: first what makes it go best, and of those the cheapest: a switch, the order of power, another act, a
 * programmed remote. Empty where it goes as wished.
 */
export function curesOf(household: Household, judged: JudgedAct, state: SettingState = "planned"): readonly Cure[] {
  if (judged.verdict.verdict === "as-wished") return [];
  const { job } = household;
  const rankWith = (changed: Household): number => {
    const other = judgeAct(changed, judged.act);
    return other ? rankOf(other.verdict) : Infinity;
  };
  const settings = job.devices.flatMap((device) =>
    SWITCHES.flatMap(([setting, value]) => {
      const row = device.settings.find(({ key }) => key === setting);
      const command: Command = { kind: "set-setting", device: device.id, setting, state: "planned", value };
      const after = row?.options.includes(value) && (row.planned ?? row.found) !== value ? jobAfter(job, command) : null;
      return after
        ? [{ cure: { cure: "setting", command, device: device.id, setting, value } as const, rank: rankWith(householdOf(after, state)) }]
        : [];
    }),
  );
  const unheard = [...household.stations.values()]
    .filter(({ nature }) => nature.logical === UNREGISTERED)
    .map(({ nature }) => nature.device);
  const order = [...unheard, ...[...household.stations.keys()].filter((device) => !unheard.includes(device))];
  const inOrder = unheard.length
    ? [{ cure: { cure: "power-in-order", order } as const, rank: rankWith(householdOf(job, state, order)) }]
    : [];
  const better = [...settings, ...inOrder].filter(({ rank }) => rank < rankOf(judged.verdict)).sort((a, b) => a.rank - b.rank);
  const rules = judged.act.act === "screen-on" ? otherActs(household) : [];
  const remote =
    judged.verdict.verdict === "with-a-step" && isOnPurpose(judged.act)
      ? [{ cure: "programmed-remote", steps: judged.verdict.steps } as const]
      : [];
  return [...better.map(({ cure }) => cure), ...rules, ...remote];
}

/** Acts that bring picture and sound as wished, in place of the screen's remote. */
const otherActs = (household: Household): readonly Cure[] =>
  actsOf(household).flatMap((act): Cure[] =>
    act.act === "wake" && judgeAct(household, act)?.verdict.verdict === "as-wished" ? [{ cure: "other-act", act }] : [],
  );

const RANKS = { "as-wished": 0, "with-a-step": 1, fails: 2, unstable: 3 } as const;
const rankOf = (verdict: ActVerdict): number =>
  RANKS[verdict.verdict] * 10 + ("misses" in verdict ? Math.min(9, verdict.misses.length) : 0);

function jobAfter(job: Job, command: Command): Job | null {
  const applied = applyCommand(job, command);
  return applied.ok ? applied.value.job : null;
}
