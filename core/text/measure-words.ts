import type { Doubt, HeardChannel, RecordingTrouble, WavTrouble } from "@/core/measure";
import { unreachable } from "@/core/outcome";
import { channelName } from "./room-words";
import { decibelWords, signed } from "./room-sheet-words";
import { formatMegabytes, upperFirst } from "./names";

const LOOKS: Readonly<Record<Extract<WavTrouble, { code: "not-wav" }>["looksLike"], string>> = {
  mp3: "It is an MP3 by its first bytes",
  ogg: "It is an Ogg file by its first bytes",
  flac: "It is a FLAC file by its first bytes",
  m4a: "It is an MPEG-4 file by its first bytes",
  "something-else": "It is no sound file that is known here",
};

/** Why a file cannot be read as a recording, and what to do. */
export function wavTroubleSentence(trouble: WavTrouble): string {
  switch (trouble.code) {
    case "not-wav":
      return `This is not a WAV file. ${LOOKS[trouble.looksLike]}; save the recording as WAV, 16 or 24 bit.`;
    case "cut-short":
      return `The file is cut: it should hold ${formatMegabytes(trouble.expectedBytes)} of sound and holds ${formatMegabytes(trouble.bytes)}. Copy it again from the recorder.`;
    case "unknown-format":
      return `This WAV file is coded in a way that is not read here (format ${trouble.format}, ${trouble.bits} bit); save it as PCM, 16 or 24 bit.`;
    case "empty":
      return "There is no sound in this file; record again.";
    default:
      return unreachable(trouble);
  }
}

/** Why a recording does not show the test signal, and what to do. */
export function recordingTroubleSentence(trouble: RecordingTrouble): string {
  switch (trouble.code) {
    case "too-short":
      return `The recording lasts ${Math.round(trouble.seconds)}\u2009s; the signal needs ${Math.ceil(trouble.needed)}\u2009s from mark to mark. Start recording before playing, and stop after the second mark.`;
    case "no-mark":
      return "The test signal is not in this recording: check that it is the right file, move the microphone to the seat and play a little louder.";
    case "one-mark":
      return `Only one mark of the signal was found, at ${trouble.atSeconds.toFixed(1)}\u2009s: the recording stops too early, or it is of another layout's signal.`;
    default:
      return unreachable(trouble);
  }
}

const doubtWords = (doubt: Doubt): string => {
  switch (doubt.code) {
    case "silent":
      return "not heard: check its power, its wire, and that the player passes all channels on";
    case "near-the-noise":
      return `only ${Math.round(doubt.overNoiseDb)}\u2009dB above the noise: quieten the room or play louder`;
    case "weak":
      return `${Math.round(doubt.belowDb)}\u2009dB weaker than the loudest`;
    case "as-another":
      return `arrives exactly with ${channelName(doubt.channel)}: the player may be folding channels together`;
    case "subwoofer":
      return "low notes have no sharp beginning: take its time with caution, and its polarity is not known";
    default:
      return unreachable(doubt);
  }
};

/** What was heard of a channel: "Left surround: 11.20 ms later, −6 dB; inverted: swap + and − at one end of its wire." */
export function heardSentence({ channel, heard, arrivalMs, levelDb, polarity, why }: HeardChannel): string {
  const name = upperFirst(channelName(channel));
  if (!heard || arrivalMs === null || levelDb === null) return `${name}: ${why ? doubtWords(why) : "not heard"}.`;
  const when =
    Math.abs(arrivalMs) < 0.005
      ? "the others are compared with it"
      : `${Math.abs(arrivalMs).toFixed(2)}\u2009ms ${arrivalMs > 0 ? "later" : "earlier"}`;
  const turned = polarity === "inverted" ? "; inverted: swap + and \u2212 at one end of its wire" : "";
  return `${name}: ${when}, ${decibelWords(levelDb)}${turned}${why ? `; ${doubtWords(why)}` : ""}.`;
}

/**
 * How well the recording as a whole can be trusted.
 * @param noiseDb of full scale, so below 0
 */
export const recordingSentence = ({
  driftPpm,
  noiseDb,
  clipped,
}: {
  readonly driftPpm: number;
  readonly noiseDb: number;
  readonly clipped: boolean;
}): string =>
  `The recorder's clock is off by ${signed(driftPpm)} parts in a million, which is taken out. Room noise ${Math.round(-noiseDb)}\u2009dB below full scale.${clipped ? " The recording is overdriven: lower the recorder's level and repeat." : ""}`;

export const SIGNAL_CAUTION =
  "Start with the volume at zero and raise it until the noise is as loud as speech. Keep everyone's ears away from the speakers; above 85\u2009dB hearing is at risk within hours.";
