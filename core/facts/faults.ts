/** What happened just before, as a household tells it. */
export const CHANGES = ["nothing", "a-menu", "a-plug", "moved", "an-update", "a-power-cut", "a-new-device", "a-title"] as const;
export type ChangeTold = (typeof CHANGES)[number];

/** How a fault behaves over time. */
export const COURSES = ["since-a-day", "never-worked", "comes-and-goes"] as const;
export type Course = (typeof COURSES)[number];

interface FaultKindFact {
  readonly kind: string;
  /** How often it is the cause of a call, against the other kinds; shared out over all places of a job where it can be. */
  readonly weight: number;
  /** What was changed just before, where that brings it about. */
  readonly after: readonly ChangeTold[];
  readonly course: Course;
  /** Why it has that weight. */
  readonly because: string;
}

const row = <Kind extends string>(
  kind: Kind,
  weight: number,
  after: readonly ChangeTold[],
  course: Course,
  because: string,
): FaultKindFact & { readonly kind: Kind } => ({ kind, weight, after, course, because });

/**
 * Every kind of fault with how often it happens. Source: the order of causes in the trade (wrong input or mute, then a wrong setting, a wrong
 * or loose plug, a stale handshake, the cable, firmware, a dead part); within an order, estimates that each firm corrects from its own solved faults.
 */
export const FAULT_KINDS = [
  row("wrong-input", 120, ["a-menu", "a-new-device"], "since-a-day", "One press on the wrong key; the commonest call of all."),
  row("muted", 90, ["nothing"], "since-a-day", "Pressed by accident, and many displays show it for a moment only."),
  row("volume-zero", 80, ["a-menu"], "since-a-day", "Two volumes in series, and one of them turned down."),
  row("asleep", 80, ["a-power-cut"], "since-a-day", "In standby, with nobody to wake it."),
  row("own-speakers", 60, ["a-menu", "an-update"], "since-a-day", "Screens go back to their own speakers by themselves."),
  row("wrong-format", 50, ["a-menu", "an-update"], "since-a-day", "The setting that is changed most, and reset by updates."),
  row("return-off", 45, ["a-menu", "an-update"], "since-a-day", "ARC and eARC have switches at both ends, often off from the factory."),
  row("control-off", 40, ["a-menu", "an-update"], "since-a-day", "Switched off to be rid of a nuisance, and ARC goes with it."),
  row("control-switch", 25, ["a-menu", "an-update"], "since-a-day", "Separate switches for power on and power off."),
  row("input-sound-off", 15, ["a-menu"], "since-a-day", "A switch for each socket that few know."),
  row("wrong-edid", 20, ["a-plug", "a-menu"], "never-worked", "Small switches on boxes, set from the factory for the least."),
  row("sound-mode", 25, ["a-menu"], "since-a-day", "Stereo or all-channel mode chosen by a key of the remote."),
  row("picture-setting", 25, ["a-menu", "an-update"], "since-a-day", "Standard mode from the factory; forced formats from a trial."),
  row(
    "wrong-output",
    20,
    ["a-menu", "an-update", "a-new-device"],
    "since-a-day",
    "A computer's sound output follows what was plugged in last.",
  ),
  row("delay-set", 12, ["a-menu"], "since-a-day", "A lip-sync figure that was dialled for something else."),
  row("other-setting", 10, ["a-menu", "an-update"], "since-a-day", "Any other switch on the way."),
  row("cable-out", 35, ["a-plug", "moved"], "since-a-day", "Pulled while cleaning or moving."),
  row("half-in", 35, ["a-plug", "moved"], "comes-and-goes", "Heavy leads sag out of shallow sockets."),
  row("wrong-socket", 30, ["a-plug", "moved"], "never-worked", "Plugged again into the next free socket, not the return socket."),
  row("cap-on", 6, ["a-plug"], "never-worked", "Clear caps on optical plugs are overlooked."),
  row("backwards", 10, ["a-plug"], "never-worked", "Active and optical HDMI leads work one way."),
  row("stale", 30, ["a-power-cut", "an-update"], "comes-and-goes", "A handshake that is stuck after a power cut or an update."),
  row("no-power", 25, ["moved", "a-power-cut"], "since-a-day", "A mains plug pulled, a strip switched off."),
  row("headphones", 15, ["a-menu"], "since-a-day", "Somebody listened at night, and the player stayed paired."),
  row("stereo-title", 25, ["a-title"], "since-a-day", "The title or the service has no surround."),
  row("drifting", 8, ["an-update"], "comes-and-goes", "Some players slip with one coding."),
  row("no-return-wires", 10, ["a-plug"], "never-worked", "An old lead without the pair that eARC needs."),
  row("no-control-wire", 5, ["a-plug"], "never-worked", "Adapters and a few leads leave pin 13 out."),
  row("slow-cable", 10, ["a-plug", "a-new-device"], "never-worked", "A lead of a lower class than the picture needs."),
  row("broken-cable", 10, ["moved"], "comes-and-goes", "Bent, trodden on, or pulled."),
  row("old-firmware", 8, ["a-new-device"], "never-worked", "eARC of early firmware falls back to ARC."),
  row("hdcp-old", 5, ["a-new-device"], "never-worked", "An older box in the way of protected 2160p."),
  row("unit-unpaired", 15, ["a-power-cut", "an-update"], "since-a-day", "Updates forget pairings."),
  row("unit-flat", 15, ["nothing"], "comes-and-goes", "Nobody put it back on its charger."),
  row("unit-misplaced", 8, ["moved"], "since-a-day", "Put back on the wrong shelf after cleaning."),
  row("units-swapped", 8, ["moved", "a-plug"], "never-worked", "Left and right exchanged."),
  row("unit-reversed", 8, ["a-plug"], "never-worked", "Red and black exchanged at one end."),
  row("dead-device", 4, ["a-power-cut"], "since-a-day", "The last thing to think of."),
  row("dead-socket", 4, ["moved", "a-power-cut"], "since-a-day", "Torn by a heavy lead."),
  row("dead-unit", 2, ["nothing"], "since-a-day", "Drivers last long."),
  row("as-recorded", 40, ["nothing"], "never-worked", "The room as it is written down cannot do more."),
  row("unknown", 3, ["nothing"], "comes-and-goes", "Something that this model does not know."),
] as const;

export type FaultKind = (typeof FAULT_KINDS)[number]["kind"];
export const FAULT_KIND_IDS = FAULT_KINDS.map(({ kind }) => kind) as [FaultKind, ...FaultKind[]];

const BY_KIND: ReadonlyMap<string, FaultKindFact> = new Map(FAULT_KINDS.map((fact) => [fact.kind, fact]));

/** The row of a kind of fault. Throws for one that is not there. */
export function faultKindFact(kind: FaultKind): FaultKindFact {
  const fact = BY_KIND.get(kind);
  if (!fact) throw new Error(`No kind of fault ${kind}`);
  return fact;
}

/** What was just changed is so many times likelier to be the cause. Source: the trade. */
export const JUST_CHANGED = 10;
/** One answer in so many is misread. Source: the trade. */
export const MISREAD_ONE_IN = 20;
