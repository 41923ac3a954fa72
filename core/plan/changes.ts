import { cableClassFact, certainLength, ONE_WAY_CLASSES, settingFact, type CableClass } from "@/core/facts";
import { effectiveSetting, mayReturn, type SettingState } from "@/core/device";
import { findPort, freeJoins, plugMoves, type Cable, type Command, type Job, type SingleCommand } from "@/core/job";

/** The kinds of change in the order of their cost. */
export const CHANGE_KINDS = ["setting", "plug", "cable", "box"] as const;
export type ChangeKind = (typeof CHANGE_KINDS)[number];

/**
 * What a change of each kind weighs against another: a menu is quicker than a plug, a plug than a cable to run, a cable than a box to buy.
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
  return [...settingChanges(job, state), ...wiringChanges(job)];
}

/** Jobs are never changed in place, so what could be plugged otherwise is considered once for the same cables and sockets. */
const remembered = new WeakMap<
  Job["cables"],
  { readonly sockets: readonly unknown[]; readonly brief: Job["brief"]; readonly changes: readonly Change[] }
>();

function wiringChanges(job: Job): readonly Change[] {
  const known = remembered.get(job.cables);
  const sockets = job.devices.map(({ ports }) => ports);
  const isSame =
    known?.brief === job.brief &&
    known.sockets.length === sockets.length &&
    sockets.every((ports, index) => ports === known.sockets[index]);
  if (known && isSame) return known.changes;
  const changes = [...plugChanges(job), ...cableChanges(job), ...newCables(job)];
  remembered.set(job.cables, { sockets, brief: job.brief, changes });
  return changes;
}

function settingChanges(job: Job, state: SettingState): Change[] {
  return job.devices.flatMap((device) =>
    device.settings.flatMap((setting) => {
      // Who wakes whom is no matter of sound and picture; a delay is proposed for the whole board at once.
      const { concern, usual } = settingFact(setting.key);
      if (concern !== "signal") return [];
      const now = effectiveSetting(device, setting.key, state);
      return setting.options
        .filter((value) => value !== now && (usual === null || value === usual))
        .map((value): Change => ({
          kind: "setting",
          count: 1,
          decides: [`setting ${device.id} ${setting.key}`],
          command: { kind: "set-setting", device: device.id, setting: setting.key, state, value },
        }));
    }),
  );
}

/**
 * Moving one end of a cable to a free socket, exchanging two that could sit in each other's place, turning one that is backwards,
 * and pulling one out, an undone pairing among them.
 */
function plugChanges(job: Job): Change[] {
  const moves = plugMoves(job).map(({ cables, command }): Change => ({
    kind: "plug",
    count: cables.length,
    decides: cables.map((id) => `plug ${id}`),
    command,
  }));
  const turns = job.cables
    .filter(({ backwards }) => backwards)
    .map(({ id }): Change => ({
      kind: "plug",
      count: 1,
      decides: [`turn ${id}`],
      command: { kind: "edit-cable", cable: id, fields: { backwards: false } },
    }));
  const pulls = job.cables.map(({ id }): Change => ({
    kind: "plug",
    count: 1,
    decides: [`plug ${id}`, `cable ${id}`],
    command: { kind: "unplug", cable: id },
  }));
  return [...moves, ...turns, ...pulls];
}

/** Copper longer than this may need light or electronics in its place at the highest rate. */
const LONG_M = certainLength(48);

/**
 * In place of an HDMI cable one that is certain at its length: passive copper with return wires and the full rate, and where the run is
 * long a hybrid, with the return wires where the sockets have a return. Lengths are those of the run.
 */
function cableChanges(job: Job): Change[] {
  return job.cables.flatMap((cable): Change[] => {
    if (cableClassFact(cable.class).ends[0] !== "hdmi" || cable.class === "direct-plug") return [];
    const replacements: readonly CableClass[] =
      cable.lengthM <= LONG_M
        ? ["ultra-high-speed"]
        : ["ultra-high-speed", hasReturn(job, cable) ? "hybrid-optical-hdmi-earc" : "hybrid-optical-hdmi"];
    return replacements.flatMap((id): Change[] => {
      const fields = replacementFields(id);
      if (cable.class === id && cable.returnWires === fields.returnWires && cable.controlWire) return [];
      return [{ kind: "cable", count: 1, decides: [`cable ${cable.id}`], command: { kind: "edit-cable", cable: cable.id, fields } }];
    });
  });
}

const hasReturn = (job: Job, { from, to }: Cable): boolean => [from, to].every((end) => mayReturn(findPort(job, end)));

const replacementFields = (id: CableClass): Extract<SingleCommand, { kind: "edit-cable" }>["fields"] => ({
  class: id,
  returnWires: cableClassFact(id).assures,
  controlWire: true,
  direction: ONE_WAY_CLASSES.has(id) ? "one-way" : "either",
  backwards: false,
});

/** One cable more, between two sockets that are both free. */
const newCables = (job: Job): Change[] =>
  freeJoins(job).map(({ from, command }) => ({ kind: "cable", count: 1, decides: [`new cable ${from.device} ${from.port}`], command }));
