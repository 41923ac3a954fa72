import { BACKUP_ADDRESSES, CEC_DEVICE_TYPES, CEC_VERSIONS, EVERYONE } from "@/core/facts";
import { rowOf, type Message } from "./message";
import { become, isPlayer, send, stay, andThen, wait, type Happening, type Station, type Step, type Wish } from "./station";

const TV = 0;

type Heard = Extract<Happening, { kind: "hears" }>;

/** Begins to wake, or only adds a wish where it is waking already. A device that is on does the wish at once. */
export function wake(station: Station, wish: Wish, act: (station: Station, wish: Wish) => Step): Step {
  if (station.power === "on") return act(station, wish);
  const waking = become(station, { power: "waking", pending: [...station.pending.filter((other) => other.wish !== wish.wish), wish] });
  return station.power === "waking" ? waking : andThen(waking, (next) => wait(next, "awake", next.nature.wakeMs));
}

/** Is awake: does what was asked for meanwhile, in that order. */
export const awake = (station: Station, act: (station: Station, wish: Wish) => Step): Step =>
  station.power !== "waking"
    ? stay(station)
    : station.pending.reduce((step, wish) => andThen(step, (next) => act(next, wish)), become(station, { power: "on", pending: [] }));

/** The answers that every device gives, asleep or awake. Null where the message asks for none of them. Source: CEC 1.4 §12.1, §13.6 to §13.14. */
export function answer(station: Station, { from, toAll, message }: Heard): Step | null {
  const { nature, power } = station;
  // Before 2.0 the backup addresses were reserved: what comes from them to one device is not understood. Source: CEC 1.4 table 5.
  if (!toAll && nature.version === "1.4" && BACKUP_ADDRESSES.includes(from)) return stay(station);
  switch (message.kind) {
    case "give-physical-address":
      return send(station, EVERYONE, { kind: "report-physical-address", address: nature.physical, type: CEC_DEVICE_TYPES[nature.kind] });
    case "give-osd-name":
      return send(station, from, { kind: "set-osd-name", text: nature.device.slice(0, 14) });
    case "give-power-status":
      return send(station, from, { kind: "report-power-status", power: power === "on" ? 0 : power === "standby" ? 1 : 2 });
    case "get-cec-version":
      return send(station, from, { kind: "cec-version", version: CEC_VERSIONS.find(({ words }) => words === nature.version)?.code ?? 5 });
    default:
      return toAll ? null : (isReport(message) && stay(station)) || null;
  }
}

const REPORTS: ReadonlySet<Message["kind"]> = new Set<Message["kind"]>([
  "feature-abort",
  "report-physical-address",
  "report-power-status",
  "set-osd-name",
  "cec-version",
  "device-vendor-id",
  "key-released",
  "system-audio-mode-status",
  "report-short-audio-descriptor",
  "report-features",
]);
const isReport = ({ kind }: Message): boolean => REPORTS.has(kind);

/** What is not understood is refused to the one that asked, never to everyone. Source: CEC 1.4 §12.3. */
export const refuse = (station: Station, { from, toAll, message }: Heard, reason: number): Step =>
  toAll || message.kind === "feature-abort" || from === EVERYONE
    ? stay(station)
    : send(station, from, { kind: "feature-abort", of: rowOf(message.kind).opcode, reason });

/** Switches the screen on, where its own switch for that says so. Source: CEC 1.4 §13.1 one touch play. */
export const wakeScreen = (station: Station): Step =>
  station.nature.wakesOthers ? send(station, TV, { kind: "image-view-on" }) : stay(station);

/**
 * The EDID appears: the device takes its address again, says where it is, and does what it was switched on for. It goes: so does the
 * address. Source: CEC 1.4 §10.2.1 (address after a new physical address), §10.1 (report).
 */
export function readsPlace(station: Station, shown: boolean): Step {
  const { logical, physical, kind } = station.nature;
  const found = become(station, { placed: shown });
  if (!shown || station.placed || logical === null || logical === EVERYONE) return found;
  const told = andThen(found, (next) => send(next, logical, null));
  const stands = andThen(told, (next) =>
    send(next, EVERYONE, { kind: "report-physical-address", address: physical, type: CEC_DEVICE_TYPES[kind] }),
  );
  return station.power === "on" && isPlayer(kind) && station.source === physical
    ? andThen(stands, (next) => send(next, EVERYONE, { kind: "active-source", address: physical }))
    : stands;
}
