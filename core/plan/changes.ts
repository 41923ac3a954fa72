import { cableClassFact, certainLength, POWER_SETTINGS } from "@/core/facts";
import { effectiveSetting, type SettingState } from "@/core/device";
import { freeJoins, plugMoves, type Command, type Job, type SingleCommand } from "@/core/job";

/** The kinds of change in the order of their cost. */
export const CHANGE_KINDS = ["setting", "plug", "cable", "box"] as const;
export type ChangeKind = (typeof CHANGE_KINDS)[number];

/**
 * What a change of each kind weighs against another: a menu is quicker than a plug, a plug than a cable to lay, a cable than a box to buy.
 * Chosen so that three menus weigh as much as one plug; only sums are ever compared.
 */
export const CHANGE_COST: Readonly<Record<ChangeKind, number>> = { setting: 1, plug: 3, cable: 10, box: 40 };

/** One change that could be made. */
export interface Change {
  readonly kind: ChangeKind;
  readonly command: Command;
  /** How many settings, plugs or cables it touches: an exchange of two plugs counts two. */
  readonly count: number;
  /** What it decides, by name: two changes that decide the same thing are never made together. */
  readonly decides: readonly string[];
}

export const costOf = (changes: readonly Pick<Change, "kind" | "count">[]): number =>
  changes.reduce((sum, { kind, count }) => sum + CHANGE_COST[kind] * count, 0);

/** Every single setting, plug and cable that could be otherwise, without buying more than a cable. */
export function possibleChanges(job: Job, state: SettingState = "planned"): readonly Change[] {
  return [...settingChanges(job, state), ...plugChanges(job), ...cableChanges(job), ...newCables(job)];
}

function settingChanges(job: Job, state: SettingState): Change[] {
  return job.devices.flatMap((device) =>
    device.settings.flatMap((setting) => {
      if (POWER_SETTINGS.has(setting.key)) return [];
      const now = effectiveSetting(device, setting.key, state);
      return setting.options
        .filter((value) => value !== now)
        .map((value): Change => ({
          kind: "setting",
          count: 1,
          decides: [`setting ${device.id} ${setting.key}`],
          command: { kind: "set-setting", device: device.id, setting: setting.key, state, value },
        }));
    }),
  );
}

/** Moving one end of a cable to a free socket, or exchanging two that could sit in each other's place. */
const plugChanges = (job: Job): Change[] =>
  plugMoves(job).map(({ cables, command }) => ({ kind: "plug", count: cables.length, decides: cables.map((id) => `plug ${id}`), command }));

/** Copper longer than this may need light in its place at the highest rate. */
const LONG_M = certainLength(48);

/** In place of an HDMI cable one that assures return wires and rate; in place of a long one also a hybrid, which carries any picture and no return. */
function cableChanges(job: Job): Change[] {
  return job.cables.flatMap((cable): Change[] => {
    if (cableClassFact(cable.class).ends[0] !== "hdmi") return [];
    const change = (fields: Extract<SingleCommand, { kind: "edit-cable" }>["fields"]): Change => ({
      kind: "cable",
      count: 1,
      decides: [`cable ${cable.id}`],
      command: { kind: "edit-cable", cable: cable.id, fields },
    });
    const isBest = cable.returnWires === "earc" && cable.class === "ultra-high-speed" && cable.controlWire;
    const isLight = cable.class === "hybrid-optical-hdmi";
    return [
      ...(isBest ? [] : [change({ class: "ultra-high-speed", returnWires: "earc", controlWire: true, direction: "either" })]),
      ...(isLight || cable.lengthM <= LONG_M ? [] : [change({ class: "hybrid-optical-hdmi", returnWires: "none", direction: "one-way" })]),
    ];
  });
}

/** One cable more, between two sockets that are both free. */
const newCables = (job: Job): Change[] =>
  freeJoins(job).map(({ from, command }) => ({ kind: "cable", count: 1, decides: [`new cable ${from.device} ${from.port}`], command }));
