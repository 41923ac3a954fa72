import type { SettingKey } from "@/core/facts";
import { effectiveSetting, type Device, type Port, type SettingState } from "@/core/device";
import type { Cable, CableEnd, Job } from "@/core/job";

/**
 * A job made ready for questions: everything found by name in one step, at one moment of its settings.
 * Every question is noted, so that it can be told which settings and sockets an answer depends on: an answer whose questions
 * would all be answered alike in another job is the same there. A rig is never kept across an edit.
 */
export interface Rig {
  readonly job: Job;
  readonly state: SettingState;
  /** For a box with several outputs: the one that leads to the screen in use. */
  readonly litOutputs: ReadonlyMap<string, string>;
  device(id: string): Device | undefined;
  port(end: CableEnd): Port | undefined;
  cableAt(end: CableEnd): Cable | undefined;
  setting(device: Device, key: SettingKey): string | null | undefined;
  /** The same job at another moment of its settings; what is asked of it is noted here too. */
  at(state: SettingState): Rig;
  /** Computes once and remembers, together with the questions that were asked meanwhile; a question within itself gets `meanwhile`. */
  recall<Answer>(key: string, compute: () => Answer, meanwhile: Answer): Answer;
  /** Runs with a list of questions of its own. */
  traced<Answer>(compute: () => Answer): { readonly answer: Answer; readonly asked: ReadonlySet<Question> };
}

/** A question that was asked of the job: `device tv`, `cable tv hdmi1`, `setting tv earc`. */
export type Question = string;

export const deviceQuestion = (device: string): Question => `device ${device}`;
export const cableQuestion = (end: CableEnd): Question => `cable ${endKey(end)}`;
export const settingQuestion = (device: string, key: SettingKey): Question => `setting ${device} ${key}`;

export const endKey = (end: CableEnd): string => `${end.device} ${end.port}`;

interface Remembered {
  answer: unknown;
  asked: ReadonlySet<Question>;
}

/** What is found under a device's name, with the questions spelled out once: they are asked many thousand times. */
interface Shelved {
  readonly device: Device;
  readonly question: Question;
  readonly sockets: ReadonlyMap<string, { readonly port: Port; readonly question: Question; readonly cable: Cable | undefined }>;
}

function shelve(job: Job): ReadonlyMap<string, Shelved> {
  const cables = new Map(job.cables.flatMap((cable) => [[endKey(cable.from), cable] as const, [endKey(cable.to), cable] as const]));
  return new Map(
    job.devices.map((device) => {
      const sockets = device.ports.map((port) => {
        const end = { device: device.id, port: port.id };
        return [port.id, { port, question: cableQuestion(end), cable: cables.get(endKey(end)) }] as const;
      });
      return [device.id, { device, question: deviceQuestion(device.id), sockets: new Map(sockets) }] as const;
    }),
  );
}

export function makeRig(job: Job, state: SettingState): Rig {
  const shelf = shelve(job);
  let asked = new Set<Question>();
  const rigs = new Map<SettingState, Rig>();
  const rigAt = (moment: SettingState): Rig => {
    const rig = rigs.get(moment) ?? rigOf(moment);
    rigs.set(moment, rig);
    return rig;
  };
  return rigAt(state);

  function rigOf(moment: SettingState): Rig {
    const memory = new Map<string, Remembered>();
    const rig: Rig = {
      job,
      state: moment,
      at: rigAt,
      litOutputs: new Map(),
      device(id) {
        const found = shelf.get(id);
        asked.add(found?.question ?? deviceQuestion(id));
        return found?.device;
      },
      port({ device, port }) {
        const found = shelf.get(device);
        asked.add(found?.question ?? deviceQuestion(device));
        return found?.sockets.get(port)?.port;
      },
      cableAt(end) {
        const socket = shelf.get(end.device)?.sockets.get(end.port);
        asked.add(socket?.question ?? cableQuestion(end));
        return socket?.cable;
      },
      setting(device, key) {
        asked.add(settingQuestion(device.id, key));
        return effectiveSetting(device, key, moment);
      },
      recall<Answer>(key: string, compute: () => Answer, meanwhile: Answer): Answer {
        const known = memory.get(key);
        if (known) {
          for (const question of known.asked) asked.add(question);
          return known.answer as Answer;
        }
        memory.set(key, { answer: meanwhile, asked: new Set() });
        const found = rig.traced(compute);
        memory.set(key, found);
        for (const question of found.asked) asked.add(question);
        return found.answer;
      },
      traced(compute) {
        const outer = asked;
        const own = new Set<Question>();
        asked = own;
        try {
          return { answer: compute(), asked: own };
        } finally {
          asked = outer;
        }
      },
    };
    return rig;
  }
}

/** The same rig while another screen is in use; what it remembers is shared. */
export const litBy = (rig: Rig, litOutputs: ReadonlyMap<string, string>): Rig => ({ ...rig, litOutputs });
