import { actsOf, castOf, eventOf, isOnPurpose, type Act, type Household, type Miss } from "@/core/cec";
import { solve, type Arrival } from "@/core/chain";
import { unitsOf } from "@/core/device";
import type { Channel } from "@/core/facts";
import { chosenSoundSystem, type Job, type Seen, type VisitEntry } from "@/core/job";

/** One thing that is proven on site. Its id is that of the step in the record of the visit. */
export type ProofCheck =
  | { readonly check: "row"; readonly id: string; readonly row: Arrival }
  | { readonly check: "act"; readonly id: string; readonly act: Act; readonly event: string }
  | {
      readonly check: "speaker";
      readonly id: string;
      readonly device: string;
      readonly unit: string;
      readonly channel: Channel;
      /** A recording of the room heard it in its channel. */
      readonly isMeasured: boolean;
    };

/** Everything of a job that can be proven: each row, each act that somebody does on purpose, each speaker of the chosen sound system. */
export function proofChecks(job: Job, household: Household, rows: readonly Arrival[] = solve(job, "planned").rows): readonly ProofCheck[] {
  const system = chosenSoundSystem(job);
  const heard = job.rooms.flatMap(({ space }) => space?.readings ?? []).filter(({ by }) => by === "sound");
  return [
    ...rows.map((row): ProofCheck => ({ check: "row", id: `prove ${row.id}`, row })),
    ...actsOf(household)
      .filter(isOnPurpose)
      .map((act): ProofCheck => ({ check: "act", id: `act ${eventOf(act)}`, act, event: eventOf(act) })),
    ...(system ? unitsOf(system) : []).flatMap((unit) =>
      [...new Set(unit.drivers.map(({ channel }) => channel))].map((channel): ProofCheck => ({
        check: "speaker",
        id: `speaker ${system?.id ?? ""} ${unit.id} ${channel}`,
        device: system?.id ?? "",
        unit: unit.id,
        channel,
        isMeasured: heard.some(
          (reading) =>
            reading.device === system?.id && reading.unit === unit.id && (reading.channel === null || reading.channel === channel),
        ),
      })),
    ),
  ];
}

/** Whether a check was made, and how it came out. */
export type ProofState = "open" | "proven" | "otherwise" | "put-off";

export function proofState(entry: VisitEntry | undefined): ProofState {
  if (!entry || entry.state === "open") return "open";
  if (entry.state === "put-off") return "put-off";
  return entry.sees === "as-predicted" ? "proven" : entry.sees === null ? "open" : "otherwise";
}

/** How a check stands: what a recording of the room heard counts as long as nobody entered anything else. */
export function checkState({ isMeasured }: Pick<CheckToCount, "isMeasured">, entry: VisitEntry | undefined): ProofState {
  const state = proofState(entry);
  return state === "open" && isMeasured ? "proven" : state;
}

/** A check as it is counted without its job. */
export interface CheckToCount {
  readonly id: string;
  readonly isMeasured: boolean;
}
export const toCount = (check: ProofCheck): CheckToCount => ({ id: check.id, isMeasured: check.check === "speaker" && check.isMeasured });

/** How far a proof is. */
export interface ProvenSoFar {
  readonly proven: number;
  readonly otherwise: number;
}

/** How many of these checks came out as predicted, and how many otherwise. */
export function provenSoFar(checks: readonly CheckToCount[], last: ReadonlyMap<string, VisitEntry>): ProvenSoFar {
  const states = checks.map((check) => checkState(check, last.get(check.id)));
  return { proven: states.filter((state) => state === "proven").length, otherwise: states.filter((state) => state === "otherwise").length };
}

/** What can go otherwise in an act, for a person to choose from what they saw. */
export function missesPossible(household: Household, act: Act): readonly Miss[] {
  const { screen, system, stations } = castOf(household);
  const [tv, bar] = [screen?.nature.device, system?.nature.device];
  const at = (
    miss: "screen-off" | "sound-from-screen" | "sound-from-system" | "system-off",
    device: string | undefined,
  ): readonly Miss[] => (device === undefined ? [] : [{ miss, device }]);
  const sound: readonly Miss[] = [...at("system-off", bar), ...(bar ? at("sound-from-screen", tv) : []), { miss: "no-sound" }];
  switch (act.act) {
    case "screen-on":
      return [...at("screen-off", tv), ...sound];
    case "news":
      return [...at("screen-off", tv), ...sound, ...at("sound-from-system", bar)];
    case "other-screen-on":
      return [...at("screen-off", act.device), ...sound];
    case "wake":
      return [{ miss: "player-off", device: act.device }, ...at("screen-off", tv), { miss: "shows-other", device: act.device }, ...sound];
    case "choose-input":
      return [...at("screen-off", tv), ...sound];
    case "louder":
    case "mute":
      return [bar, tv].flatMap((device): Miss[] => (device === undefined ? [] : [{ miss: "loudness-stays", device }]));
    case "screen-off":
      return [...stations.keys()].map((device) => ({ miss: "still-on", device }));
    case "music":
      return [...at("system-off", bar), ...(tv ? [{ miss: "woke", device: tv } as const] : [])];
    case "put-away":
    case "night-update":
    case "wrong-remote":
      return [];
  }
}

/** What was seen, from what could go otherwise. */
export const seenOfMiss = (miss: Miss): Seen => ("device" in miss ? { miss: miss.miss, device: miss.device } : { miss: miss.miss });
