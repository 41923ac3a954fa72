import { effectiveSetting, type Device } from "@/core/device";
import { returnTakers, type Question, type ReturnTakers } from "@/core/chain";
import type { Cable, Job } from "@/core/job";
import { AnswerTree } from "./answer-tree";

/** An answer with the questions that it depends on: where these have the same answers, so has it. */
export interface MemoEntry<Answer> {
  readonly answer: Answer;
  readonly asked: readonly Question[];
}

/** Remembers answers about devices from room to room of a search: where every question has the same answer, so has it. */
export class DependencyMemo<Answer> {
  private readonly known = new Map<string, AnswerTree<Question, MemoEntry<Answer>>>();

  /** The answer for a device, from the memo where every question has the same answer, else computed and stored. */
  of(room: JobFacts, device: string, work: () => { readonly answer: Answer; readonly asked: Iterable<Question> }): MemoEntry<Answer> {
    const tree = this.known.get(device) ?? new AnswerTree();
    this.known.set(device, tree);
    const answerTo = (question: Question) => room.answerTo(question);
    const known = tree.find(answerTo);
    if (known) return known;
    const { answer, asked } = work();
    const told = { answer, asked: [...asked] };
    tree.keep(told.asked, answerTo, told);
    return told;
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
  private laidOut: ReturnTakers | undefined;

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

  /** At which inputs something takes returns, here and in the other room. */
  private get takers(): ReturnTakers {
    return (this.laidOut ??= returnTakers((id) => this.device(id), [...this.allCables.values()]));
  }

  private get allCables(): ReadonlyMap<string, Cable> {
    return new Map([...(this.others?.allCables ?? []), ...this.cables].filter(([end, { to }]) => end === `${to.device} ${to.port}`));
  }

  answerTo(question: Question): unknown {
    const at = question.indexOf(" ");
    const about = question.slice(at + 1);
    switch (question.slice(0, at)) {
      // Everything of a device but its settings; a search only ever changes these, and its list of sockets stays the same object.
      case "device":
        return this.device(about)?.ports;
      case "takers":
        return this.takers.get(about);
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
