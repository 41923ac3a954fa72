import { CODING_IDS, codingFact } from "@/core/facts";
import { contentOf, type Seen } from "./seen";

/** What a household can tell of a room that is not as it should be. */
export const TROUBLES = ["silent", "own-speakers", "no-picture", "less", "early", "late", "drifts", "lesser-picture"] as const;
export type Trouble = (typeof TROUBLES)[number];

/** A complaint: of everything, of one player, of one content, of one everyday act or of one speaker. */
export type Symptom =
  | { readonly id: string; readonly of: "all"; readonly trouble: Trouble }
  | { readonly id: string; readonly of: "player"; readonly trouble: Trouble; readonly player: string }
  | { readonly id: string; readonly of: "row"; readonly trouble: Trouble; readonly row: string; readonly player: string }
  | { readonly id: string; readonly of: "act"; readonly event: string }
  | { readonly id: string; readonly of: "speaker"; readonly unit: string; readonly heard: string };

/** What is wrong with a row against how it should be; null where it is as it should be, or better. */
export function troubleOf(now: string, healthy: string): Trouble | null {
  // What was silent by plan cannot be missed.
  if (now === healthy || isMute(healthy)) return null;
  if (now === "silent" || now === "own-speakers" || now === "no-picture") return now;
  const words = new Set(now.split(" "));
  const was = new Set(healthy.split(" "));
  for (const sign of ["drifts", "early", "late", "lesser-picture"] as const) if (words.has(sign) && !was.has(sign)) return sign;
  return isLess(now, healthy) ? "less" : null;
}

const isMute = (shown: string): boolean => shown === "silent" || shown === "own-speakers" || shown === "no-picture";

/** Fewer speakers, no objects, spread over all, or a lossy coding in place of a lossless one. */
function isLess(now: string, healthy: string): boolean {
  // Of a room as recorded it is only known that more would be possible.
  if (healthy === BETTER) return true;
  const [a, b] = [heardOf(now), heardOf(healthy)];
  return a.speakers < b.speakers || (b.objects && !a.objects) || (a.spread && !b.spread) || (b.lossless && !a.lossless);
}

/** What a row that could be better would show, without saying what. */
export const BETTER = "better";

function heardOf(shown: string) {
  const [coding = "", ...words] = shown.split(" ");
  const plays = words.find((word) => word.startsWith("plays-")) ?? "";
  return {
    speakers: (plays.split("-")[1] ?? "0").split(".").reduce((sum, count) => sum + Number(count), 0),
    spread: plays.endsWith("-spread"),
    objects: words.includes("objects"),
    lossless: CODING_IDS.some((id) => id === coding && codingFact(id).lossless),
  };
}

/** Everything that a household could tell of a room as it is seen, the broadest first. A complaint about all is not repeated for each. */
export function symptomsOf(seen: Seen, healthy: Seen): readonly Symptom[] {
  const rows = [...healthy.rows].map(([row, was]) => ({
    row,
    player: contentOf(row).split("/")[0] ?? "",
    trouble: troubleOf(seen.rows.get(row) ?? "silent", was),
  }));
  const players = [...new Set(rows.map(({ player }) => player))];
  return [
    ...TROUBLES.flatMap((trouble): Symptom[] => {
      const isAll = players.length > 1 && rows.every((row) => row.trouble === trouble);
      if (isAll) return [{ id: `${trouble}:all`, of: "all", trouble }];
      return players.flatMap((player): Symptom[] => {
        const own = rows.filter((row) => row.player === player);
        if (own.every((row) => row.trouble === trouble)) return [{ id: `${trouble}:${player}`, of: "player", trouble, player }];
        return own
          .filter((row) => row.trouble === trouble)
          .map(({ row }): Symptom => ({ id: `${trouble}:${row}`, of: "row", trouble, row, player }));
      });
    }),
    ...[...healthy.acts].flatMap(([event, was]): Symptom[] => {
      const shows = seen.acts.get(event) ?? "nothing";
      return shows === was || shows === "as-wished" ? [] : [{ id: `act:${event}`, of: "act", event }];
    }),
    ...[...healthy.tones].flatMap(([unit, was]): Symptom[] => {
      const heard = seen.tones.get(unit) ?? "nothing";
      // Where every unit is silent, nobody speaks of one of them.
      const isOne = [...seen.tones.values()].some((tone) => tone !== "nothing");
      return heard === was || !isOne ? [] : [{ id: `speaker:${unit}=${heard}`, of: "speaker", unit, heard }];
    }),
  ];
}

/** How well a complaint fits what is seen: they would say just this, they would say it more broadly, or it is not so. */
export function fitsSymptom(symptom: Symptom, seen: Seen, healthy: Seen): "told" | "broader" | "not-so" {
  switch (symptom.of) {
    case "act":
      return complaintsOf(seen, healthy).has(symptom.id) ? "told" : "not-so";
    case "speaker":
      return seen.tones.get(symptom.unit) === symptom.heard ? "told" : "not-so";
    case "all":
    case "player":
    case "row": {
      const complaints = complaintsOf(seen, healthy);
      if (complaints.has(symptom.id)) return "told";
      const broader =
        symptom.of === "all" ? [] : [`${symptom.trouble}:all`, ...(symptom.of === "row" ? [`${symptom.trouble}:${symptom.player}`] : [])];
      return broader.some((id) => complaints.has(id)) ? "broader" : "not-so";
    }
  }
}

const told = new WeakMap<Seen, ReadonlySet<string>>();

/** The complaints that a room as it is seen gives rise to; worked out once for each. */
function complaintsOf(seen: Seen, healthy: Seen): ReadonlySet<string> {
  const known = told.get(seen);
  if (known) return known;
  const made = new Set(symptomsOf(seen, healthy).map(({ id }) => id));
  told.set(seen, made);
  return made;
}
