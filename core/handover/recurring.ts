import { FAULT_KIND_IDS, type FaultKind } from "@/core/facts";
import { findArchetype, type Device, type Habit, type Quirk } from "@/core/device";
import type { VisitEntry } from "@/core/job";
import type { Miss } from "@/core/cec";
import { foundIn } from "@/core/diagnose";
import { countedEntries } from "./visits";

/** A device of a job with what is known of it beyond its class. */
export interface KindOfDevice {
  readonly archetype: string;
  readonly device: string;
  readonly quirks: readonly Quirk[];
  readonly habits: readonly Habit["habit"][];
}

/** The devices of a job that came from the shelf, each with habits that somebody noted and that its class does not have. */
export const kindsOf = (devices: readonly Device[]): readonly KindOfDevice[] =>
  devices.flatMap(({ id, archetype, control, habits }): KindOfDevice[] => {
    const known = archetype === null ? undefined : findArchetype(archetype);
    if (!known) return [];
    const ofClass = new Set([...(known.control?.quirks ?? []), ...(known.habits ?? []).map(({ habit }) => habit)] as string[]);
    return [
      {
        archetype: known.archetype,
        device: id,
        quirks: control.quirks.filter((quirk) => !ofClass.has(quirk)),
        habits: habits.flatMap(({ habit }) => (ofClass.has(habit) ? [] : [habit])),
      },
    ];
  });

/** What went wrong with a device: a habit, something seen in an everyday act, or a fault that was found at it. */
export type TroubleOfKind =
  | { readonly of: "quirk"; readonly quirk: Quirk }
  | { readonly of: "habit"; readonly habit: Habit["habit"] }
  | { readonly of: "miss"; readonly miss: Miss["miss"] }
  | { readonly of: "fault"; readonly fault: FaultKind };

/** A job as it is looked at across all of them. */
export interface JobHistory {
  readonly id: string;
  readonly name: string;
  readonly kinds: readonly KindOfDevice[];
  readonly record: readonly VisitEntry[];
}

/** A class of device with the troubles that several of its kind had. */
export interface KindHistory {
  readonly archetype: string;
  /** Of this class in all jobs. */
  readonly devices: number;
  readonly troubles: readonly {
    readonly trouble: TroubleOfKind;
    readonly devices: number;
    readonly jobs: readonly Pick<JobHistory, "id" | "name">[];
  }[];
}

/** A trouble that was seen, and that a habit explains once it is noted: then the habit alone counts. */
const EXPLAINED_BY: Readonly<Record<Miss["miss"], Quirk | null>> = {
  "screen-off": null,
  "player-off": null,
  "shows-other": null,
  "passes-no-picture": null,
  "hub-elsewhere": null,
  "system-off": null,
  "sound-from-screen": null,
  "sound-from-system": null,
  "no-sound": null,
  "still-on": "ignores-standby",
  woke: "wakes-by-itself",
  "went-off": null,
  "loudness-stays": "volume-by-remote-only",
};

/** The habit that a trouble can be taken over as; null: none of those that the control bus knows. */
export function quirkOf(trouble: TroubleOfKind): Quirk | null {
  if (trouble.of === "quirk") return trouble.quirk;
  return trouble.of === "miss" ? EXPLAINED_BY[trouble.miss] : null;
}

/** Faults that lie in a device itself; a menu or a plug is somebody's doing. */
const OF_A_DEVICE: ReadonlySet<FaultKind> = new Set<FaultKind>([
  ...(["drifting", "old-firmware", "hdcp-old", "stale"] as const),
  ...(["unit-unpaired", "unit-flat", "dead-device", "dead-socket", "dead-unit"] as const),
]);

/** What happens once may be an accident. */
const LEAST_DEVICES = 2;

/** The troubles that two or more devices of one class had, by class, the most frequent first. */
export function recurringTroubles(jobs: readonly JobHistory[]): readonly KindHistory[] {
  const kinds = new Map<
    string,
    { devices: number; troubles: Map<string, { trouble: TroubleOfKind; jobs: Map<string, string>; devices: number }> }
  >();
  for (const job of jobs)
    for (const one of job.kinds) {
      const kind = kinds.get(one.archetype) ?? { devices: 0, troubles: new Map() };
      kinds.set(one.archetype, kind);
      kind.devices += 1;
      for (const trouble of troublesOf(one, job.record)) {
        const key = JSON.stringify(trouble);
        const known = kind.troubles.get(key) ?? { trouble, jobs: new Map<string, string>(), devices: 0 };
        kind.troubles.set(key, known);
        known.devices += 1;
        known.jobs.set(job.id, job.name);
      }
    }
  return [...kinds]
    .map(([archetype, { devices, troubles }]) => ({
      archetype,
      devices,
      troubles: [...troubles.values()]
        .filter((one) => one.devices >= LEAST_DEVICES)
        .toSorted((a, b) => b.devices - a.devices)
        .map((one) => ({ trouble: one.trouble, devices: one.devices, jobs: [...one.jobs].map(([id, name]) => ({ id, name })) })),
    }))
    .filter(({ troubles }) => troubles.length > 0)
    .toSorted((a, b) => (b.troubles[0]?.devices ?? 0) - (a.troubles[0]?.devices ?? 0));
}

/** Each trouble of one device, once. */
function troublesOf({ device, quirks, habits }: KindOfDevice, record: readonly VisitEntry[]): readonly TroubleOfKind[] {
  const misses = countedEntries(record).flatMap(({ sees }) =>
    sees !== null && typeof sees !== "string" && "miss" in sees && sees.device === device ? [sees.miss] : [],
  );
  const faults = foundIn(record).flatMap((id) => {
    const kind = FAULT_KIND_IDS.find((one) => id === one || id.startsWith(`${one}:`));
    return kind &&
      OF_A_DEVICE.has(kind) &&
      id
        .slice(kind.length + 1)
        .split(/[/=]/)
        .includes(device)
      ? [kind]
      : [];
  });
  return [
    ...quirks.map((quirk): TroubleOfKind => ({ of: "quirk", quirk })),
    ...habits.map((habit): TroubleOfKind => ({ of: "habit", habit })),
    ...[...new Set(misses)]
      .filter((miss) => !quirks.some((quirk) => quirk === EXPLAINED_BY[miss]))
      .map((miss): TroubleOfKind => ({ of: "miss", miss })),
    ...[...new Set(faults)].map((fault): TroubleOfKind => ({ of: "fault", fault })),
  ];
}
