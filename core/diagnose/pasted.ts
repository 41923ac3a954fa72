import { readTrace } from "@/core/cec";
import { bytesOfHex, readEdid, soundListOf } from "@/core/edid";
import { done, refused, type Outcome } from "@/core/outcome";
import { OTHER } from "./belief";
import type { LookRow } from "./case";
import type { Healthy } from "./seen";

/** What can be pasted in place of reading a list: the EDID that a player sees, or a trace of the control bus. */
export type Pasteable = "edid" | "trace";

/** What a look takes as a pasted text; null: nothing. */
export const pasteableOf = ({ look }: Pick<LookRow, "look">): Pasteable | null =>
  look.does === "format-list" ? "edid" : look.does === "found-list" ? "trace" : null;

/** Why a pasted text answers nothing. */
export type PastedTrouble = { readonly code: "no-edid" } | { readonly code: "no-frame" };

/** The answer to a look that a pasted text gives: the one that says the same, else something else. */
export function answerOfPasted(healthy: Healthy, row: LookRow, text: string): Outcome<string, PastedTrouble> {
  return pasteableOf(row) === "trace" ? answerOfTrace(healthy, row, text) : answerOfEdid(row, text);
}

/** One block of an EDID. Source: VESA E-EDID §3. */
const LEAST_BYTES = 128;

/** Which codings an EDID lists, whatever the number of channels: the answer with the same ones. */
function answerOfEdid({ answers }: LookRow, text: string): Outcome<string, PastedTrouble> {
  const { bytes } = bytesOfHex(text);
  const listed = bytes.length >= LEAST_BYTES ? soundListOf(readEdid(bytes).edid) : null;
  if (!listed) return refused({ code: "no-edid" });
  const codings = setWords(listed.map(({ coding }) => coding));
  const same = answers.find((answer) => setWords(answer.split("+").map((one) => one.split(" ")[0] ?? "")) === codings);
  return done(same ?? OTHER);
}

/** The devices whose addresses send anything in a trace, but for the screen that listens. */
function answerOfTrace({ household: { claims, network } }: Healthy, row: LookRow, text: string): Outcome<string, PastedTrouble> {
  const senders = new Set(readTrace(text).flatMap(({ frame }) => (frame ? [frame.from] : [])));
  if (senders.size === 0) return refused({ code: "no-frame" });
  const screen = row.look.does === "found-list" ? row.look.device : "";
  // A device without an address of its own sends as nobody: a trace cannot tell whether it is there.
  const named = network.nodes
    .map(({ device }) => device)
    .filter((device) => device !== screen && typeof claims.held.get(device) === "number");
  const heard = setWords(named.filter((device) => senders.has(claims.held.get(device) ?? -1)));
  const same = row.answers.find((answer) => setWords(named.filter((device) => answer.split("+").includes(device))) === heard);
  return done(same ?? OTHER);
}

const setWords = (words: readonly string[]): string => [...new Set(words)].toSorted().join("+");
