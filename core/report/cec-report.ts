import { castOf, curesOf, eventOf, volumeOwner, type Household, type JudgedAct } from "@/core/cec";
import type { SettingState } from "@/core/device";
import { addressNamesOf, actVerdictSentence, cureWords, frameBytes, frameWords, stepWords } from "@/core/text";

/** The machine form of an act on the control bus: the outside contract of `octachord cec --json`. */
export function cecReport(household: Household, judged: JudgedAct, state: SettingState = "planned") {
  const { job } = household;
  const { act, played, verdict, pictureMs, soundMs, remotes } = judged;
  const cast = castOf({ ...household, stations: played.trace.end });
  const screen = cast.screen?.nature.device;
  return {
    event: eventOf(act),
    frames: played.trace.frames.map(({ tMs, endMs, wire, device, frame, bytes, acknowledged, again, gaveWay }) => ({
      t_ms: rounded(tMs),
      end_ms: rounded(endMs),
      wire,
      device,
      from: frame.from,
      to: frame.to,
      bytes: frameBytes(bytes),
      opcode: bytes[1] ?? null,
      says: frameWords(frame, addressNamesOf(household, wire)),
      acknowledged,
      again,
      gaveWay,
    })),
    changes: played.trace.changes.map((change) => ({ ...change, tMs: rounded(change.tMs) })),
    end: {
      power: Object.fromEntries([...played.trace.end.values()].map(({ nature, power }) => [nature.device, power])),
      source: cast.screen?.source ?? null,
      systemAudio: cast.screen?.systemAudio ?? false,
      arc: cast.screen?.arc ?? false,
      volumeOwner: volumeOwner(household.soundWays, cast),
    },
    verdict: verdict.verdict,
    misses: "misses" in verdict ? verdict.misses : [],
    steps: verdict.verdict === "with-a-step" ? verdict.steps.map((step) => ({ ...step, words: stepWords(job, step) })) : [],
    words: actVerdictSentence(job, verdict),
    pictureMs: pictureMs === null ? null : rounded(pictureMs),
    soundMs: soundMs === null ? null : rounded(soundMs),
    remotes,
    cures: curesOf(household, judged, state).map((cure) => ({ ...cure, words: cureWords(job, cure, screen) })),
  };
}

const rounded = (ms: number): number => Number(ms.toFixed(1));
