import { cableQuestion, deviceQuestion, settingQuestion, takersQuestion, takesReturnsAt, type Question } from "@/core/chain";
import { cableAt, stepsOf, whyNotLay, type CableEnd, type Job } from "@/core/job";
import { socketLikeness, type Device } from "@/core/device";
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

/** Jobs are never changed in place, so what is in the way of plugs into a device is found once for the same cables. */
const inTheWay = new WeakMap<Job["cables"], WeakMap<Device, Map<Question, readonly Question[]>>>();

/**
 * Questions, and about each output among them also what is in the way of its plug: a socket that is taken, the wide stick beside one, a loop. A
 * change there gives no other answer by itself, but lets another change give one.
 */
export function withWhatIsInTheWay(job: Job, questions: ReadonlySet<Question>): ReadonlySet<Question> {
  const known = inTheWay.get(job.cables) ?? new WeakMap<Device, Map<Question, readonly Question[]>>();
  inTheWay.set(job.cables, known);
  const all = new Set(questions);
  for (const { id, ports } of job.devices)
    for (const port of ports) {
      const out = { device: id, port: port.id };
      const question = cableQuestion(out);
      if (port.direction !== "out" || !questions.has(question)) continue;
      for (const device of job.devices) {
        const ofDevice = known.get(device) ?? new Map<Question, readonly Question[]>();
        known.set(device, ofDevice);
        const found = ofDevice.get(question) ?? inTheWayInto(device, job, out);
        ofDevice.set(question, found);
        for (const one of found) all.add(one);
      }
    }
  return all;
}

/** What is in the way of a plug into the inputs of a device. Where an equal socket is open, nobody has to make room. */
function inTheWayInto(device: Device, job: Job, out: CableEnd): readonly Question[] {
  const own = cableAt(job, out);
  const leaves = (id: string) => job.cables.filter(({ from }) => from.device === id);
  const inputs = device.ports.map((port) => {
    const into = { device: device.id, port: port.id };
    return { into, likeness: socketLikeness(device, port), refusal: whyNotLay(job, out, into, own?.id) };
  });
  const open = new Set(inputs.flatMap(({ refusal, likeness }) => (refusal === null ? [likeness] : [])));
  return inputs.flatMap(({ into, likeness, refusal }): readonly Question[] => {
    if (open.has(likeness)) return [];
    switch (refusal?.code) {
      case "socket-taken":
        return [cableQuestion(into)];
      case "socket-covered":
        return leaves(refusal.by).map(({ to }) => cableQuestion(to));
      case "cable-loop":
        return refusal.devices.flatMap(leaves).flatMap(({ to }) => (refusal.devices.includes(to.device) ? [cableQuestion(to)] : []));
      default:
        return [];
    }
  });
}
