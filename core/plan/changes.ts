import { cableClassFact, certainLength, POWER_SETTINGS } from "@/core/facts";
import { effectiveSetting, type SettingState } from "@/core/device";
import {
  cableAt,
  joinSockets,
  moveCableEnd,
  sameEnd,
  whyNotLay,
  type Cable,
  type CableEnd,
  type Command,
  type Job,
  type SingleCommand,
} from "@/core/job";

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
function plugChanges(job: Job): Change[] {
  const ends = job.devices.flatMap((device) => device.ports.map((port): CableEnd => ({ device: device.id, port: port.id })));
  const free = ends.filter((end) => !cableAt(job, end));
  const moves = job.cables.flatMap((cable) =>
    free
      .filter((end) => whyNotLay(job, cable.from, end, cable.id) === null)
      .map((end): Change => ({ kind: "plug", count: 1, decides: [plugName(cable)], command: moveCableEnd(job, cable, "to", end) })),
  );
  const pairs = job.cables.flatMap((a, index) => job.cables.slice(index + 1).map((b) => [a, b] as const));
  return [...moves, ...pairs.flatMap(([a, b]) => exchange(job, a, b) ?? [])];
}

const plugName = (cable: Cable): string => `plug ${cable.id}`;

function exchange(job: Job, a: Cable, b: Cable): Change | null {
  if (sameEnd(a.from, b.from) || a.from.device === b.from.device) return null;
  const without: Job = { ...job, cables: job.cables.filter((cable) => cable !== a && cable !== b) };
  if (whyNotLay(without, a.from, b.to) || whyNotLay(without, b.from, a.to)) return null;
  const at = (cable: Cable) => job.cables.indexOf(cable);
  return {
    kind: "plug",
    count: 2,
    decides: [plugName(a), plugName(b)],
    command: {
      kind: "batch",
      commands: [
        { kind: "unplug", cable: a.id },
        { kind: "unplug", cable: b.id },
        { kind: "plug", cable: { ...a, to: b.to }, at: at(a) },
        { kind: "plug", cable: { ...b, to: a.to }, at: at(b) },
      ],
    },
  };
}

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

/** One cable more, between two sockets that are both free; between two devices each pair of plugs is tried. */
function newCables(job: Job): Change[] {
  const free = job.devices.flatMap((device) =>
    device.ports.map((port) => ({ port, end: { device: device.id, port: port.id } })).filter(({ end }) => !cableAt(job, end)),
  );
  const inputs = free.filter(({ port }) => port.direction === "in");
  return free
    .filter(({ port }) => port.direction === "out")
    .flatMap((out) =>
      inputs
        .filter(({ end }) => whyNotLay(job, out.end, end) === null)
        .map(({ end }): Change => ({
          kind: "cable",
          count: 1,
          decides: [`new cable ${out.end.device} ${out.end.port}`],
          command: joinSockets(job, out.end, end),
        })),
    );
}
