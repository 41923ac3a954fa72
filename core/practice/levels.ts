import type { FaultKind } from "@/core/facts";

/** The ladders of practice, the plainest first. */
export const LEVELS = ["back-plate", "socket", "formats", "edid", "control", "room", "mixed"] as const;
export type Level = (typeof LEVELS)[number];

interface LevelFact {
  /** What may be wrong; null: anything, and now and then two things at once. */
  readonly kinds: readonly FaultKind[] | null;
  /** How many players a made-up room has, from and to. */
  readonly players: readonly [from: number, to: number];
  readonly hasBox: boolean;
}

/** What each ladder trains. */
export const LEVEL_FACTS: Readonly<Record<Level, LevelFact>> = {
  "back-plate": { kinds: ["cable-out", "half-in", "cap-on", "no-power", "broken-cable"], players: [1, 2], hasBox: false },
  socket: { kinds: ["wrong-socket", "dead-socket", "backwards", "wrong-input", "stale"], players: [1, 3], hasBox: false },
  formats: {
    kinds: ["wrong-format", "sound-mode", "stereo-title", "wrong-output", "headphones", "slow-cable", "picture-setting", "muted"],
    players: [2, 3],
    hasBox: false,
  },
  edid: { kinds: ["wrong-edid", "no-return-wires", "old-firmware", "hdcp-old", "wrong-format"], players: [2, 3], hasBox: true },
  control: {
    kinds: ["control-off", "control-switch", "return-off", "own-speakers", "no-control-wire", "asleep", "input-sound-off"],
    players: [2, 3],
    hasBox: false,
  },
  room: {
    kinds: ["unit-unpaired", "unit-flat", "unit-misplaced", "units-swapped", "unit-reversed", "dead-unit", "delay-set"],
    players: [1, 1],
    hasBox: false,
  },
  mixed: { kinds: null, players: [2, 4], hasBox: true },
};
