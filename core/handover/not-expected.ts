import type { Arrival, Reason } from "@/core/chain";
import { bedChannels } from "@/core/facts";
import type { Job } from "@/core/job";
import { deviceName } from "@/core/text";
import type { Missing, PlainCause, SheetFact, SheetLine, Use } from "./sheet-facts";
import { sheetLine } from "./sheet-line";
import { whatFor, type PlayerRows } from "./used-players";

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

/** At most so many kinds of disappointment stand on the sheet: the worst first. */
const MOST = 5;
const WORST_FIRST: readonly Missing[] = ["sound", "picture", "surround", "height", "some-speakers"];

/** What a household must not expect, each with its reason: from the ceilings and the losses that are left. */
export function notExpected(job: Job, players: readonly PlayerRows[]): readonly SheetLine[] {
  const found = new Map<string, Extract<SheetFact, { says: "not-expected" }>>();
  for (const { device, rows } of players)
    for (const row of rows) {
      const missing = missingOf(row);
      if (!missing) continue;
      const loss = row.losses.find(({ scope }) => scope === "path") ?? row.losses[0];
      // More channels than a room has speakers are spread over those that there are: no loss that is heard.
      if (!loss && missing === "some-speakers") continue;
      const cause = loss ? causeOf(job, loss.reason) : null;
      const name = deviceName(job, device);
      const key = JSON.stringify([missing, cause]);
      const known = found.get(key);
      found.set(key, {
        says: "not-expected",
        missing,
        cause,
        players: [...new Set([...(known?.players ?? []), name])],
        uses: [...new Set<Use>([...(known?.uses ?? []), whatFor(row)])],
      });
    }
  return [...found.values()]
    .toSorted((a, b) => WORST_FIRST.indexOf(a.missing) - WORST_FIRST.indexOf(b.missing))
    .slice(0, MOST)
    .map((fact) =>
      sheetLine("sentence", `not-expected ${fact.missing} ${fact.cause ? Object.values(fact.cause).join(" ") : "unknown"}`, fact),
    );
}
