import { CEC_MESSAGES, CEC_TIMES, EVERYONE } from "@/core/facts";
import { milliseconds, type Milliseconds } from "@/core/units";
import { bytesOfMessage, readMessage, type Message, type OperandFinding } from "./message";

/** What one device sends: a message, or only a call whether somebody holds the address (a poll, null). */
export interface Frame {
  readonly from: number;
  readonly to: number;
  readonly message: Message | null;
}

/** What is strange about a frame that was read. */
export type FrameFinding =
  | OperandFinding
  | { readonly code: "empty" }
  | { readonly code: "too-long"; readonly blocks: number }
  | { readonly code: "unknown-opcode"; readonly opcode: number }
  | { readonly code: "to-everyone-only" }
  | { readonly code: "to-one-only" };

/** A frame as it was read, whatever is wrong with it. */
export interface ReadFrame extends Frame {
  readonly bytes: readonly number[];
  readonly findings: readonly FrameFinding[];
}

/** The bytes of a frame: header, opcode, operands. Source: CEC 1.4 §6. */
export const bytesOfFrame = ({ from, to, message }: Frame): readonly number[] => [
  (from << 4) | to,
  ...(message ? bytesOfMessage(message) : []),
];

/** Reads a frame; nothing stops it. What cannot be is told, and the bytes are kept. */
export function readFrame(bytes: readonly number[]): ReadFrame {
  const [header] = bytes;
  if (header === undefined) return { from: EVERYONE, to: EVERYONE, message: null, bytes, findings: [{ code: "empty" }] };
  const [from, to] = [header >> 4, header & 15];
  const findings: FrameFinding[] = bytes.length > CEC_TIMES.mostBlocks ? [{ code: "too-long", blocks: bytes.length }] : [];
  const [, opcode] = bytes;
  if (opcode === undefined) return { from, to, message: null, bytes, findings };
  const row = CEC_MESSAGES.find((one) => one.opcode === opcode);
  const read = readMessage(bytes.slice(1));
  if (!row || !read) return { from, to, message: null, bytes, findings: [...findings, { code: "unknown-opcode", opcode }] };
  if (row.to === "everyone" && to !== EVERYONE) findings.push({ code: "to-everyone-only" });
  if (row.to === "one" && to === EVERYONE) findings.push({ code: "to-one-only" });
  return { from, to, message: read.message, bytes, findings: [...findings, ...read.findings] };
}

/** How long the wire is busy with a frame: the start bit, then ten bits for each block. Source: CEC 1.4 §5.2, §6.1. */
export const frameMs = (blocks: number): Milliseconds =>
  milliseconds(CEC_TIMES.startBitMs + blocks * CEC_TIMES.bitsInBlock * CEC_TIMES.bitMs);

/** How long the wire must have rested before a frame may start. Source: CEC 1.4 §9.1. */
export function restMs(why: "again" | "new-initiator" | "same-initiator"): Milliseconds {
  const bits = {
    again: CEC_TIMES.restAgainBits,
    "new-initiator": CEC_TIMES.restNewInitiatorBits,
    "same-initiator": CEC_TIMES.restSameInitiatorBits,
  }[why];
  return milliseconds(bits * CEC_TIMES.bitMs);
}

/** Which of two frames that start together goes on: a 0 pulls the wire low over a 1, so the lower header wins. Source: CEC 1.4 §7.5. */
export const winsArbitration = (a: Frame, b: Frame): Frame => (((a.from << 4) | a.to) <= ((b.from << 4) | b.to) ? a : b);
