import { CURE_ANSWERS, type Observed } from "./belief";
import { showsIn, type CureRow, type LookRow, type Suspect } from "./case";
import { isCure } from "./choose";
import { isMendedBy, type Fault } from "./fault";
import { standOf, type Finder } from "./finder";
import { playFault } from "./job-faults";
import { generator, type Draw } from "./random";
import { symptomsOf } from "./symptom";

/** How a search for a planted fault went. */
export interface PlayedOut {
  readonly symptoms: readonly string[];
  readonly line: readonly { readonly check: string; readonly answer: string; readonly minutes: number }[];
  readonly found: string | null;
  /** Faults that no look of this room tells from the planted one, or that the same cures mend. */
  readonly alikeWith: readonly string[];
  readonly minutes: number;
  readonly cured: boolean;
}

/** No search goes on for longer than this many steps. */
const MOST_STEPS = 120;

/**
 * Plays the finder against a rig in which a fault was planted: the rig answers as the room would.
 * @param symptom what the household tells; left out: one of all that it could, by the seed
 * @param misread the share of answers that are wrong
 */
export function playOut(
  finder: Finder,
  planted: Fault,
  { seed = 1, misread = 0, symptom }: { readonly seed?: number; readonly misread?: number; readonly symptom?: string } = {},
): PlayedOut {
  const draw = generator(seed);
  const rig = rigWith(finder, planted);
  const told = rig ? symptomsOf(rig.seen, finder.healthy.seen) : [];
  const drawn = told[Math.floor(draw() * told.length)];
  const first = told.find(({ id }) => id === symptom) ?? drawn;
  const alikeWith = rig ? alikeTo(finder, rig) : [];
  if (!rig || !first) return { symptoms: [], line: [], found: null, alikeWith, minutes: 0, cured: false };
  const symptoms = [first.id];
  const observed: Observed[] = [];
  const line: { check: string; answer: string; minutes: number }[] = [];
  while (line.length < MOST_STEPS) {
    const stand = standOf(finder, symptoms, observed);
    const row = stand.ok ? stand.value.next?.row : undefined;
    if (!row) break;
    const answer = answerOf(finder, rig, row, draw, misread);
    observed.push({ check: row.id, answer });
    line.push({ check: row.id, answer, minutes: row.minutes });
    if (answer === "mended") {
      const after = standOf(finder, symptoms, observed);
      const found = seesWhatItWas(row as CureRow)
        ? planted.id
        : after.ok
          ? likeliestMended(after.value.given.suspects, after.value.belief, row as CureRow)
          : null;
      return { symptoms, line, found, alikeWith, minutes: minutesOf(line), cured: true };
    }
  }
  return { symptoms, line, found: null, alikeWith, minutes: minutesOf(line), cured: false };
}

const minutesOf = (line: readonly { readonly minutes: number }[]): number => line.reduce((sum, { minutes }) => sum + minutes, 0);

/** A room with one fault in it, as a suspect; null where the job cannot have it or nobody would notice. */
export function rigWith({ healthy, played }: Finder, planted: Fault): Suspect | null {
  const known = played.find(({ fault }) => fault.id === planted.id);
  const seen = known?.seen ?? playFault(healthy, planted);
  return seen ? { id: planted.id, faults: [planted], seen } : null;
}

/** What the room answers to a step. A part of the answers may be wrong. */
export function answerOf(finder: Finder, { faults, seen }: Suspect, row: LookRow | CureRow, draw: Draw, misread: number): string {
  const isWrong = draw() < misread;
  if (isCure(row)) {
    const mended = faults.filter((fault) => isMendedBy(fault, row.id)).length;
    const right = mended === 0 ? "was-right" : mended === faults.length ? "mended" : "changed-nothing";
    // Nobody takes a silent room for mended: what goes wrong at a cure is that the fault is overlooked.
    return isWrong && right !== "was-right" ? CURE_ANSWERS[1] : right;
  }
  const { look, answers } = row;
  const right = look.does === "ask" ? askedOf(finder, faults, row, draw) : showsIn(seen, finder.healthy, look);
  const others = answers.filter((answer) => answer !== right);
  return isWrong ? (others[Math.floor(draw() * others.length)] ?? right) : right;
}

/** What the household says when it is asked, drawn as often as each answer is given. */
function askedOf({ singles }: Finder, faults: readonly Fault[], row: LookRow, draw: Draw): string {
  const index = singles.suspects.findIndex(({ id }) => id === faults[0]?.id);
  const likely = row.likelihood[index] ?? row.likelihood[0];
  let rest = draw();
  for (const [answer, words] of row.answers.entries()) {
    rest -= likely?.[answer] ?? 0;
    if (rest < 0) return words;
  }
  return row.answers[0] ?? "nothing";
}

/** At these a person sees with their own eyes what was wrong; of the others only that it helped. */
const seesWhatItWas = ({ cure }: CureRow): boolean =>
  cure.does === "set" ||
  cure.does === "seat" ||
  cure.does === "turn" ||
  cure.does === "power" ||
  cure.does === "unpair" ||
  cure.does === "own-key" ||
  cure.does === "unit";

function likeliestMended(suspects: readonly Suspect[], belief: Float64Array, row: CureRow): string | null {
  let best: { readonly id: string; readonly share: number } | null = null;
  for (const [index, { faults }] of suspects.entries()) {
    if (!faults.some((fault) => isMendedBy(fault, row.id))) continue;
    const share = belief[index] ?? 0;
    if (faults.length === 1 && (best === null || share > best.share)) best = { id: faults[0]?.id ?? "", share };
  }
  return best?.id ?? null;
}

/** Single faults that nobody can tell, or needs to tell, from a planted one: every look shows the same, or the same cures mend both. */
export function alikeTo({ singles }: Finder, { id }: Suspect): readonly string[] {
  const index = singles.suspects.findIndex((one) => one.id === id);
  if (index < 0) return [];
  const looks = singles.looks.filter(({ look }) => look.does !== "ask");
  const isAlike = (at: number) =>
    looks.every(({ shows }) => shows[at] === shows[index]) || singles.cures.every(({ mends }) => mends[at] === mends[index]);
  return singles.suspects.flatMap((other, at) => (at !== index && other.faults[0]?.kind !== "unknown" && isAlike(at) ? [other.id] : []));
}
