import type { Question } from "@/core/chain";
import { effectiveSetting, type Device } from "@/core/device";
import { AnswerTree } from "./answer-tree";

/** Answers on one topology, each of which holds while the hub settings that were asked about for it are the same, whatever the others are. */
export class SettingMemo<Answer> {
  private readonly tree = new AnswerTree<Question, { readonly answer: Answer }>();

  /** The answer for hubs as they are set, where it is known. */
  known(hubs: readonly Device[]): { readonly answer: Answer } | undefined {
    return this.tree.find((question) => settingOf(hubs, question));
  }

  /** The answer for hubs as they are set, computed only where none is known. */
  of(hubs: readonly Device[], work: () => { readonly answer: Answer; readonly asked: readonly Question[] }): Answer {
    const found = this.known(hubs);
    if (found) return found.answer;
    const { answer, asked } = work();
    const settings = asked.filter((question) => settingOf(hubs, question) !== undefined);
    this.tree.keep(settings, (question) => settingOf(hubs, question), { answer });
    return answer;
  }
}

/** How a setting of a hub stands; undefined where the question is about anything else. */
function settingOf(hubs: readonly Device[], question: Question): string | null | undefined {
  const [what, device, key] = partsOf(question);
  const hub = what === "setting" ? hubs.find(({ id }) => id === device) : undefined;
  const setting = hub?.settings.find((row) => row.key === key);
  return hub && setting ? effectiveSetting(hub, setting.key, "planned") : undefined;
}

/** Questions are asked over and over, so each is taken apart once. */
const parts = new Map<Question, readonly string[]>();

function partsOf(question: Question): readonly string[] {
  const known = parts.get(question) ?? question.split(" ");
  parts.set(question, known);
  return known;
}
