import { CEC_MESSAGES, type CecMessageName, type CecMessageRow, type CecOperand } from "@/core/facts";
import { addressOfBytes, bytesOfAddress, isPossible, type PhysicalAddress } from "./address";

/** Loudness as an audio system reports it: 0 to 100, null where it cannot tell. Source: CEC 1.4 table 29 [Audio Status]. */
export interface AudioStatus {
  readonly muted: boolean;
  readonly volume: number | null;
}

interface OperandValues {
  readonly "physical-address": PhysicalAddress;
  readonly "device-type": number;
  readonly "power-status": number;
  readonly key: number;
  readonly text: string;
  readonly "vendor-id": number;
  readonly "audio-status": AudioStatus;
  readonly "on-off": boolean;
  readonly opcode: number;
  readonly "abort-reason": number;
  readonly version: number;
  readonly bytes: readonly number[];
}

type Fields<Row extends CecMessageRow> = {
  readonly [Operand in Row["operands"][number] as Operand[0]]: OperandValues[Operand[1]];
};
type MessageOf<Row> = Row extends CecMessageRow ? { readonly kind: Row["name"] } & Fields<Row> : never;

/** A message of the bus with its operands by name; made from the table of facts, so that every row there is one here. */
export type Message = MessageOf<CecMessageRow>;

/** One member of the messages by its name. */
export type Named<Kind extends CecMessageName> = Extract<Message, { kind: Kind }>;

/** What is wrong with the operands of a message. */
export type OperandFinding =
  | { readonly code: "operands-missing"; readonly field: string }
  | { readonly code: "impossible-address"; readonly address: PhysicalAddress };

const ROWS = new Map<CecMessageName, CecMessageRow>(CEC_MESSAGES.map((row) => [row.name, row]));

export const rowOf = (name: CecMessageName): CecMessageRow => {
  const row = ROWS.get(name);
  if (!row) throw new Error(`No message ${name}`);
  return row;
};

const FIXED: Readonly<Record<Exclude<CecOperand, "text" | "bytes">, number>> = {
  "physical-address": 2,
  "device-type": 1,
  "power-status": 1,
  key: 1,
  "vendor-id": 3,
  "audio-status": 1,
  "on-off": 1,
  opcode: 1,
  "abort-reason": 1,
  version: 1,
};
const NO_VOLUME = 0x7f;

/** The operand bytes of a message, opcode first. */
export function bytesOfMessage(message: Message): readonly number[] {
  const row = rowOf(message.kind);
  const fields = message as unknown as Readonly<Record<string, unknown>>;
  return [row.opcode, ...row.operands.flatMap(([field, holds]) => bytesOf(holds, fields[field]))];
}

function bytesOf(holds: CecOperand, value: unknown): readonly number[] {
  switch (holds) {
    case "physical-address":
      return bytesOfAddress(value as PhysicalAddress);
    case "text":
      return [...(value as string)].map((letter) => letter.charCodeAt(0) & 0xff);
    case "bytes":
      return value as readonly number[];
    case "vendor-id":
      return [((value as number) >> 16) & 0xff, ((value as number) >> 8) & 0xff, (value as number) & 0xff];
    case "audio-status": {
      const { muted, volume } = value as AudioStatus;
      return [(muted ? 0x80 : 0) | (volume ?? NO_VOLUME)];
    }
    case "on-off":
      return [value ? 1 : 0];
    default:
      return [value as number];
  }
}

/** A message read from its bytes, opcode first, with what is wrong in it; null for an opcode that no standard has. Bytes beyond its operands are passed over. */
export function readMessage(
  bytes: readonly number[],
): { readonly message: Message | null; readonly findings: readonly OperandFinding[] } | null {
  const row = CEC_MESSAGES.find(({ opcode }) => opcode === bytes[0]);
  if (!row) return null;
  const fields: Record<string, unknown> = { kind: row.name };
  const findings: OperandFinding[] = [];
  let at = 1;
  for (const [field, holds] of row.operands) {
    const length = holds === "text" || holds === "bytes" ? Math.max(0, bytes.length - at) : FIXED[holds];
    const part = bytes.slice(at, at + length);
    if (part.length < length) return { message: null, findings: [...findings, { code: "operands-missing", field }] };
    fields[field] = valueOf(holds, part);
    if (holds === "physical-address" && !isPossible(fields[field] as PhysicalAddress))
      findings.push({ code: "impossible-address", address: fields[field] as PhysicalAddress });
    at += length;
  }
  // Built from the row's own fields, each read as the row says it holds.
  return { message: fields as unknown as Message, findings };
}

function valueOf(holds: CecOperand, part: readonly number[]): OperandValues[CecOperand] {
  const [first = 0, second = 0, third = 0] = part;
  switch (holds) {
    case "physical-address":
      return addressOfBytes(first, second);
    case "text":
      return String.fromCharCode(...part);
    case "bytes":
      return part;
    case "vendor-id":
      return (first << 16) | (second << 8) | third;
    case "audio-status":
      return { muted: (first & 0x80) !== 0, volume: (first & 0x7f) > 100 ? null : first & 0x7f };
    case "on-off":
      return first === 1;
    default:
      return first;
  }
}
