import type { Arrival, Reason } from "@/core/chain";
import { bedChannels } from "@/core/facts";
import type { Job } from "@/core/job";
import type { PictureLoss } from "@/core/picture";
import { deviceName } from "@/core/text";
import type { Missing, PlainCause, SheetFact, SheetLine } from "./sheet-facts";
import { sheetLine } from "./sheet-line";
import { whatFor, withUse, type PlayerRows } from "./used-players";

/** What somebody on the sofa misses of a row; null: nothing that they would notice. */
function missingOf({ verdict, arrives, content, plays }: Arrival): Missing | null {
  if (verdict === "silent") return "sound";
  if (verdict === "no-picture") return "picture";
  const [track] = content.tracks;
  if (!arrives || !track) return null;
  const sent = bedChannels(track.channels);
  // "5.1.2": what plays in the bed is the first two figures.
  const [bed = 0, bass = 0] = (plays?.layout ?? arrives.channels).split(".").map(Number);
  const heard = Math.min(bedChannels(arrives.channels), bed + bass);
  if (sent > 2 && heard <= 2) return "surround";
  if (track.objects !== "none" && arrives.objects === "none") return "height";
  return heard < sent ? "some-speakers" : null;
}

/** The first reason in everyday words; null where it has none that would help somebody on the sofa. */
function causeOf(job: Job, reason: Reason): PlainCause | null {
  const name = (id: string) => deviceName(job, id);
  switch (reason.code) {
    case "does-not-pass":
    case "passes-fewer":
    case "cannot-emit":
    case "coded-again":
    case "no-sound-route":
    case "no-return-socket":
    case "no-cec":
      return { because: "device", device: name(reason.device) };
    case "prefers":
      return { because: "service", device: name(reason.device) };
    case "cannot-decode":
    case "not-listed":
    case "speakers-fewer":
    case "no-height-speakers":
    case "no-object-decoder":
      return { because: "speakers", device: name(reason.device) };
    case "link-capacity":
    case "link-channels":
    case "link-lossy":
    case "app-fails-over":
      return { because: "connection" };
    case "no-return-wire":
    case "no-control-wire":
    case "cable-backwards":
    case "miswired":
    case "cable-state":
      return { because: "cable" };
    case "format-setting":
    case "return-off":
    case "speakers-choice":
    case "setting-shuts":
    case "decode-mode":
    case "renders-binaural":
      return { because: "setting", device: name(reason.device) };
    case "not-connected":
    case "no-way":
    case "plug-mutes":
    case "device-state":
      return { because: "not-connected", device: name(reason.device) };
    case "no-sound-system":
    case "unknown-fact":
    case "other-way-unknown":
      return null;
  }
}

/** The same of what keeps a picture away. */
function causeOfPicture(job: Job, loss: PictureLoss): PlainCause | null {
  const name = (id: string) => deviceName(job, id);
  switch (loss.code) {
    case "picture-hdcp":
    case "picture-mode":
    case "picture-hdr":
    case "picture-gaming":
    case "picture-lines":
      return { because: "device", device: name(loss.device) };
    case "picture-rate":
    case "picture-tight":
      return { because: "connection" };
    case "picture-length":
    case "picture-backwards":
    case "picture-cable-state":
      return { because: "cable" };
    case "picture-shut":
    case "picture-forced":
    case "picture-hdr-off":
      return { because: "setting", device: name(loss.device) };
    case "picture-plug":
    case "picture-no-way":
    case "picture-device-state":
      return { because: "not-connected", device: name(loss.device) };
    case "picture-setting-unknown":
    case "picture-no-display":
    case "picture-unknown":
      return null;
  }
}

/** Why somebody misses this of a row; "no loss": nothing that they would hear. */
function whyMissing(job: Job, row: Arrival, missing: Missing): PlainCause | null | "no loss" {
  if (missing === "picture") {
    // What only makes a picture lesser is not why there is none.
    const fatal = row.pictureLosses.find(isFatal) ?? row.pictureLosses[0];
    return fatal ? causeOfPicture(job, fatal) : null;
  }
  const loss = row.losses.find(({ scope }) => scope === "path") ?? row.losses[0];
  // More channels than a room has speakers are spread over those that there are: no loss that is heard.
  if (!loss) return missing === "some-speakers" ? "no loss" : null;
  return causeOf(job, loss.reason);
}

const isFatal = (loss: PictureLoss): boolean => (loss.code === "picture-hdcp" ? loss.then === "black" : !LESSENS.has(loss.code));

const LESSENS: ReadonlySet<PictureLoss["code"]> = new Set<PictureLoss["code"]>([
  "picture-rate",
  "picture-mode",
  "picture-hdr",
  "picture-hdr-off",
  "picture-gaming",
  "picture-lines",
  "picture-length",
  "picture-tight",
  "picture-unknown",
]);

/** At most so many kinds of disappointment stand on the sheet: the worst first. */
const MOST = 5;
const WORST_FIRST: readonly Missing[] = ["sound", "picture", "surround", "height", "some-speakers"];

type NotExpected = Extract<SheetFact, { says: "not-expected" }>;

/**
 * What a household must not expect, each with its reason: from the ceilings and the losses that are left. Where other titles of the same
 * player and use are not lost in this way, it is said of some titles only.
 */
export function notExpected(job: Job, players: readonly PlayerRows[]): readonly SheetLine[] {
  const found = new Map<string, NotExpected>();
  for (const { device, rows } of players)
    for (const row of rows) {
      const missing = missingOf(row);
      const cause = missing && whyMissing(job, row, missing);
      if (!missing || cause === "no loss") continue;
      const alike = rows.filter((other) => whatFor(other) === whatFor(row));
      const isSome = alike.some((other) => missingOf(other) !== missing);
      const key = JSON.stringify([missing, cause, isSome]);
      const known = found.get(key)?.players ?? [];
      found.set(key, { says: "not-expected", missing, cause, isSome, players: withUse(known, deviceName(job, device), whatFor(row)) });
    }
  return [...found.values()]
    .toSorted((a, b) => WORST_FIRST.indexOf(a.missing) - WORST_FIRST.indexOf(b.missing))
    .slice(0, MOST)
    .map((fact) => sheetLine("sentence", idOf(fact), fact));
}

const idOf = ({ missing, cause, isSome }: NotExpected): string =>
  `not-expected ${missing} ${cause ? Object.values(cause).join(" ") : "unknown"}${isSome ? " some" : ""}`;
