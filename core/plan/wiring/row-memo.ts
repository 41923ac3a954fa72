import { effectiveSetting, type Device } from "@/core/device";
import type { Arrival, Question, SolvedUnit } from "@/core/chain";
import type { Cable, Job } from "@/core/job";

/** The rows of a device with the questions that they hang on: where these have the same answers, so are the rows. */
export interface ToldRows {
  readonly rows: readonly Arrival[];
  readonly asked: readonly Question[];
}

/** What was asked next after the same answers, and what came of each answer to it. */
interface Asked {
  readonly question: Question;
  readonly then: Map<unknown, Asked | ToldRows>;
}

const isTold = (found: Asked | ToldRows): found is ToldRows => "rows" in found;

/**
 * Remembers the rows of players from room to room of a search. Rows are a function of the answers to the questions that were asked for
 * them, and which question comes next is a function of the answers before it: so what is known is a tree, walked by answers.
 */
export class RowMemo {
  private readonly known = new Map<string, Asked | ToldRows>();

  /** The rows of a device with sources in a room, from another room where every question had the same answer; else worked out and remembered. */
  rowsOf(job: Job, device: string, solve: () => readonly SolvedUnit[]): ToldRows {
    const answer = answersOf(job);
    let at = this.known.get(device);
    while (at && !isTold(at)) at = at.then.get(answer(at.question));
    if (at) return at;
    const units = solve();
    const told = { rows: units.flatMap((unit) => unit.rows), asked: [...new Set(units.flatMap((unit) => [...unit.asked]))] };
    this.keep(device, answer, told);
    return told;
  }

  private keep(device: string, answer: (question: Question) => unknown, told: ToldRows): void {
    const { asked } = told;
    const [first] = asked;
    if (first === undefined) return;
    const root = this.known.get(device) ?? { question: first, then: new Map() };
    this.known.set(device, root);
    let at = root;
    for (const [index, question] of asked.entries()) {
      // An order that does not fit the tree is not remembered: it is worked out again, never taken for another.
      if (isTold(at) || at.question !== question) return;
      const next = asked[index + 1];
      const value = answer(question);
      const found = at.then.get(value) ?? (next === undefined ? told : { question: next, then: new Map() });
      at.then.set(value, found);
      at = found;
    }
  }
}

/** Cables are never changed in place, so each is put into words once. */
const wordsOf = new WeakMap<Cable, string>();

/** A cable without its name: what is true of it. */
function cableKey(cable: Cable): string {
  const known = wordsOf.get(cable);
  if (known !== undefined) return known;
  const { id: _id, ...facts } = cable;
  const words = JSON.stringify(facts);
  wordsOf.set(cable, words);
  return words;
}

/** Answers questions of a room, so that equal answers are the same value. */
function answersOf(job: Job): (question: Question) => unknown {
  const devices = new Map<string, Device>(job.devices.map((device) => [device.id, device]));
  const cables = new Map<string, string>();
  for (const cable of job.cables) {
    cables.set(`${cable.from.device} ${cable.from.port}`, cableKey(cable));
    cables.set(`${cable.to.device} ${cable.to.port}`, cableKey(cable));
  }
  return (question) => {
    const at = question.indexOf(" ");
    const about = question.slice(at + 1);
    switch (question.slice(0, at)) {
      // Everything of a device but its settings; a search only ever changes these, and its list of sockets stays the same object.
      case "device":
        return devices.get(about)?.ports;
      case "cable":
        return cables.get(about);
      default: {
        const [id = "", key = ""] = about.split(" ");
        const device = devices.get(id);
        const setting = device?.settings.find((row) => row.key === key);
        return device && setting ? `${effectiveSetting(device, setting.key, "planned")} ${setting.found}` : undefined;
      }
    }
  };
}
