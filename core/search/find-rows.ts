import MiniSearch from "minisearch";
import { folded } from "./folded";

/** Something that can be found by words: a name that counts most, and what else is said of it. */
export interface Findable {
  readonly key: string;
  readonly name: string;
  readonly detail: string;
}

/** Words that say nothing about which thing is meant. */
const SMALL_WORDS: ReadonlySet<string> = new Set([
  "a",
  "an",
  "and",
  "at",
  "for",
  "from",
  "in",
  "is",
  "of",
  "on",
  "or",
  "the",
  "to",
  "with",
]);

/** Other words under which a thing is also looked for. */
const ALSO_CALLED: Readonly<Record<string, readonly string[]>> = {
  television: ["tv", "screen", "telly"],
  projector: ["screen", "beamer"],
  monitor: ["screen", "display"],
  bar: ["soundbar"],
  soundbar: ["bar"],
  receiver: ["avr", "amp"],
  amplifier: ["amp"],
  console: ["gamebox"],
  streamer: ["streaming"],
  disc: ["disk", "bluray", "dvd"],
  optical: ["toslink", "spdif"],
};

const NAME_COUNTS = 8;

/** One word as it is compared: small letters without accents and plural. Null: it says nothing. */
function compared(word: string): string | null {
  const plain = folded(word);
  if (SMALL_WORDS.has(plain)) return null;
  return plain.length > 3 && plain.endsWith("s") && !plain.endsWith("ss") ? plain.slice(0, -1) : plain;
}

const indexed = (word: string): string[] | null => {
  const plain = compared(word);
  return plain === null ? null : [plain, ...(ALSO_CALLED[plain] ?? [])];
};

const words = (text: string): string[] => text.split(/[^\p{L}\p{M}\p{N}.]+/u).filter((word) => word !== "");

/** A list made ready to be searched while somebody types. */
export function makeFinder<Row extends Findable>(rows: readonly Row[]): (typed: string) => readonly Row[] {
  const byKey = new Map(rows.map((row) => [row.key, row]));
  const index = new MiniSearch<Findable>({
    idField: "key",
    fields: ["name", "key", "detail"],
    tokenize: words,
    processTerm: indexed,
    searchOptions: { processTerm: compared, combineWith: "AND", prefix: true, boost: { name: NAME_COUNTS, key: 2 } },
  });
  index.addAll([...byKey.values()]);
  return (typed) => {
    if (words(typed).every((word) => compared(word) === null)) return rows;
    const found = index.search(typed);
    // What is named so stands before what only mentions it.
    const inName = (match: Readonly<Record<string, readonly string[]>>) =>
      Object.values(match).filter((fields) => fields.includes("name")).length;
    return found
      .toSorted((a, b) => inName(b.match) - inName(a.match) || b.score - a.score)
      .flatMap(({ id }) => byKey.get(String(id)) ?? []);
  };
}
