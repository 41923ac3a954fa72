import { effectiveSetting, type Device } from "@/core/device";
import type { Question } from "@/core/chain";
import type { Cable, Job } from "@/core/job";

/** An answer with the questions that it depends on: where these have the same answers, so has it. */
export interface MemoEntry<Answer> {
  readonly answer: Answer;
  readonly asked: readonly Question[];
}

/** What was asked next after the same answers, and the result of each answer to it. */
interface MemoNode<Answer> {
  readonly question: Question;
  readonly then: Map<unknown, MemoNode<Answer> | MemoEntry<Answer>>;
}

const isTold = <Answer>(found: MemoNode<Answer> | MemoEntry<Answer>): found is MemoEntry<Answer> => "asked" in found;

/**
 * Remembers answers from room to room of a search. An answer is a function of the answers to the questions that were asked for it, and
 * which question comes next is a function of the answers before it: so what is known is a tree, walked by answers.
 */
export class DependencyMemo<Answer> {
  private readonly known = new Map<string, MemoNode<Answer>>();

  /** The answer for a device, from the memo where every question has the same answer, else computed and stored. */
  of(room: JobFacts, device: string, work: () => { readonly answer: Answer; readonly asked: Iterable<Question> }): MemoEntry<Answer> {
    let at: MemoNode<Answer> | MemoEntry<Answer> | undefined = this.known.get(device);
    while (at && !isTold(at)) at = at.then.get(room.answerTo(at.question));
    if (at) return at;
    const { answer, asked } = work();
    const told = { answer, asked: [...asked] };
    this.keep(device, room, told);
    return told;
  }

  private keep(device: string, room: JobFacts, told: MemoEntry<Answer>): void {
    const { asked } = told;
    const [first] = asked;
    if (first === undefined) return;
    const root = this.known.get(device) ?? { question: first, then: new Map() };
    this.known.set(device, root);
    let at: MemoNode<Answer> | MemoEntry<Answer> = root;
    for (const [index, question] of asked.entries()) {
      // An order of questions that does not fit the tree is not stored; the answer is computed again next time.
      if (isTold(at) || at.question !== question) return;
      const next = asked[index + 1];
      const value = room.answerTo(question);
      const found: MemoNode<Answer> | MemoEntry<Answer> =
        at.then.get(value) ?? (next === undefined ? told : { question: next, then: new Map() });
      at.then.set(value, found);
      at = found;
    }
  }
}

/** Cables are never changed in place, so each is put into words once. */
const wordsOf = new WeakMap<Cable, string>();

/** What is true of a cable, whatever it is called and wherever it comes from. */
function cableKey(cable: Cable): string {
  const known = wordsOf.get(cable);
  if (known !== undefined) return known;
  const { id: _id, label: _label, tags: _tags, supply: _supply, ...facts } = cable;
  const words = JSON.stringify(facts);
  wordsOf.set(cable, words);
  return words;
}

/** A room that answers questions, so that equal answers are the same value. */
export class JobFacts {
  private readonly devices = new Map<string, Device>();
  private readonly cables = new Map<string, Cable>();

  /** @param others a room in which what is named here stands besides */
  constructor(
    { devices, cables }: Pick<Job, "devices" | "cables">,
    private readonly others: JobFacts | null = null,
  ) {
    for (const device of devices) this.devices.set(device.id, device);
    for (const cable of cables) {
      this.cables.set(`${cable.from.device} ${cable.from.port}`, cable);
      this.cables.set(`${cable.to.device} ${cable.to.port}`, cable);
    }
  }

  private device(id: string): Device | undefined {
    return this.devices.get(id) ?? this.others?.device(id);
  }

  private cable(end: string): Cable | undefined {
    return this.cables.get(end) ?? this.others?.cable(end);
  }

  answerTo(question: Question): unknown {
    const at = question.indexOf(" ");
    const about = question.slice(at + 1);
    switch (question.slice(0, at)) {
      // Everything of a device but its settings; a search only ever changes these, and its list of sockets stays the same object.
      case "device":
        return this.device(about)?.ports;
      case "cable": {
        const cable = this.cable(about);
        return cable && cableKey(cable);
      }
      default: {
        const [id = "", key = ""] = about.split(" ");
        const device = this.device(id);
        const setting = device?.settings.find((row) => row.key === key);
        return device && setting ? `${effectiveSetting(device, setting.key, "planned")} ${setting.found}` : undefined;
      }
    }
  }
}
