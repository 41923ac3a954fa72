import { cableQuestion, deviceQuestion, settingQuestion, takersQuestion, takesReturnsAt, type Question } from "@/core/chain";
import { stepsOf, type CableEnd, type Job } from "@/core/job";
import type { Change } from "./changes";

/** What a change is known by, and what it may give another answer to. */
export interface ChangeQuestions {
  readonly key: string;
  readonly questions: ReadonlySet<Question>;
}

/** Changes are never changed in place, so what they ask about is computed once for the cables they were considered for. */
const askedBy = new WeakMap<Change, ChangeQuestions>();

/** What a change may give another answer to, by the cables of the job that it was considered for. */
export function asked(job: Job, change: Change): ChangeQuestions {
  const known = askedBy.get(change) ?? { key: JSON.stringify(change.command), questions: questionsOf(job, change) };
  askedBy.set(change, known);
  return known;
}

/** Every question to which a change may give another answer. */
function questionsOf(job: Job, { command }: Change): ReadonlySet<Question> {
  const bought = stepsOf(command).flatMap((step) => (step.kind === "add-device" ? [step.device] : []));
  // What takes returns at an input changes with a cable from something that takes them.
  const takes = ({ device, port }: CableEnd) => [...job.devices, ...bought].some((one) => one.id === device && takesReturnsAt(one, port));
  const ends = (cable: { from: CableEnd; to: CableEnd } | undefined) =>
    cable ? [cableQuestion(cable.from), cableQuestion(cable.to), ...(takes(cable.from) ? [takersQuestion(cable.to.device)] : [])] : [];
  return new Set(
    stepsOf(command).flatMap((step): readonly Question[] => {
      switch (step.kind) {
        case "set-setting":
          return [settingQuestion(step.device, step.setting)];
        case "edit-cable":
        case "unplug":
          return ends(job.cables.find(({ id }) => id === step.cable));
        case "plug":
          return ends(step.cable);
        case "add-device":
          return [deviceQuestion(step.device.id)];
        case "remove-device":
          return [deviceQuestion(step.device)];
        default:
          return [];
      }
    }),
  );
}

/** The sockets in which a change decides what is plugged. */
export const socketsOf = ({ command }: Change): readonly Question[] =>
  stepsOf(command).flatMap((step) => (step.kind === "plug" ? [cableQuestion(step.cable.from), cableQuestion(step.cable.to)] : []));

/** Whether two sets of questions have one in common. */
export function meets(asked: ReadonlySet<Question>, questions: ReadonlySet<Question>): boolean {
  for (const question of questions) if (asked.has(question)) return true;
  return false;
}
