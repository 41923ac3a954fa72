import type { SettingKey } from "@/core/facts";
import { gateOf } from "./conditions";
import { effectiveSetting, type Device, type Port, type SettingState } from "@/core/device";
import { cableQuestion, deviceQuestion, type Question, ReadSet, settingQuestion, takersQuestion } from "./read-set";
import { takersIn } from "./return-takers";
import { asItStands, type Cable, type CableEnd, type Job } from "@/core/job";

/**
 * A job made ready for questions: everything found by name in one step, at one moment of its settings.
 * Every question is noted, so that it can be told which settings and sockets an answer depends on: an answer whose questions
 * would all be answered alike in another job is the same there. A rig is never kept across an edit.
 */
export interface Rig {
  readonly job: Job;
  readonly state: SettingState;
  /** For a box with several outputs whose sound can follow the screen in use: the one that leads there. */
  readonly litOutputs: ReadonlyMap<string, string>;
  /** A device as it is, with the decoders that its settings and modules leave it. */
  device(id: string): Device | undefined;
  /** A device with every decoder that any setting or module would give it. */
  atWill(id: string): Device | undefined;
  port(end: CableEnd): Port | undefined;
  cableAt(end: CableEnd): Cable | undefined;
  /** The inputs of a device at which something takes returns. */
  takersAt(device: Device): ReadonlySet<string>;
  setting(device: Device, key: SettingKey): string | null | undefined;
  /** The same job at another moment of its settings; what is asked of it is noted here too. */
  at(state: SettingState): Rig;
  /** Computes once and remembers, together with the questions that were asked meanwhile; a question within itself gets `meanwhile`. */
  recall<Answer>(key: string, compute: () => Answer, meanwhile: Answer): Answer;
  /** The same rig while another screen is in use; what it remembers is shared. */
  litBy(outputs: ReadonlyMap<string, string>): Rig;
  /** Runs with a read set of its own. */
  traced<Answer>(compute: () => Answer): { readonly answer: Answer; readonly asked: ReadSet };
}

/** Whether two ends are the same socket. */
export const isAt = (a: CableEnd, b: CableEnd): boolean => a.device === b.device && a.port === b.port;

interface Remembered {
  answer: unknown;
  asked: ReadSet;
}

/** The questions about a device and its sockets, spelled out once: they are asked many thousand times. */
interface Questions {
  readonly device: string;
  readonly about: Question;
  readonly sockets: ReadonlyMap<string, { readonly port: Port; readonly question: Question }>;
  readonly settings: Map<SettingKey, Question>;
}

/** By the sockets of a device, which are the same object however it is set. */
const spelled = new WeakMap<readonly Port[], Questions>();

function questionsOf({ id, ports }: Device): Questions {
  const known = spelled.get(ports);
  // Devices may have been made with the same sockets.
  if (known?.device === id) return known;
  const sockets = ports.map((port) => [port.id, { port, question: cableQuestion({ device: id, port: port.id }) }] as const);
  const fresh = { device: id, about: deviceQuestion(id), sockets: new Map(sockets), settings: new Map() };
  spelled.set(ports, fresh);
  return fresh;
}

interface ShelfDevice {
  readonly device: Device;
  readonly questions: Questions;
  /** Some of its decoders depend on a setting or a module. */
  readonly hasGatedDecoders: boolean;
  /** Its sound can follow the screen in use. */
  readonly followsScreen: boolean;
}

const shelved = (device: Device): ShelfDevice => ({
  device,
  questions: questionsOf(device),
  hasGatedDecoders: device.decodes?.some(({ opens }) => opens?.length) ?? false,
  followsScreen: device.settings.some(({ key }) => key === "sound-follows"),
});

/** What rigs of one job at several moments share. */
class Shelf {
  readonly devices: ReadonlyMap<string, ShelfDevice>;
  /** By the question about the socket in which they sit. */
  readonly cables: ReadonlyMap<Question, Cable>;
  readonly rigs = new Map<SettingState, Rig>();
  readonly withDecoders = new Map<string, Device>();
  private known: ReadonlyMap<string, ReadonlySet<string>> | undefined;
  asked = new ReadSet();

  constructor(readonly job: Job) {
    const { devices, cables } = asItStands(job);
    this.devices = new Map(devices.map((device) => [device.id, shelved(device)]));
    this.cables = new Map(
      // Through a cable that was found in two outputs or two inputs nothing goes.
      cables
        .filter(({ miswired }) => !miswired)
        .flatMap((cable) => [[cableQuestion(cable.from), cable] as const, [cableQuestion(cable.to), cable] as const]),
    );
  }

  at(state: SettingState): Rig {
    const rig = this.rigs.get(state) ?? new ShelfRig(this, state, new Map(), new Map());
    this.rigs.set(state, rig);
    return rig;
  }

  /** The inputs at which something takes returns, by their device. */
  get takers(): ReadonlyMap<string, ReadonlySet<string>> {
    this.known ??= new Map([...takersIn(this.job)].map(([device, ports]) => [device, new Set(ports.split(" "))]));
    return this.known;
  }
}

class ShelfRig implements Rig {
  constructor(
    private readonly shelf: Shelf,
    readonly state: SettingState,
    private readonly memory: Map<string, Remembered>,
    readonly litOutputs: ReadonlyMap<string, string>,
  ) {}

  get job(): Job {
    return this.shelf.job;
  }

  at(state: SettingState): Rig {
    return this.shelf.at(state);
  }

  device(id: string): Device | undefined {
    const found = this.find(id);
    return found?.hasGatedDecoders ? this.withOpenDecoders(found.device) : found?.device;
  }

  atWill(id: string): Device | undefined {
    return this.find(id)?.device;
  }

  private find(id: string): ShelfDevice | undefined {
    const found = this.shelf.devices.get(id);
    this.shelf.asked.note(found?.questions.about ?? deviceQuestion(id));
    return found;
  }

  /** The same object for the same open decoders, so that what is remembered of a device holds. */
  private withOpenDecoders(device: Device): Device {
    const gates = (device.decodes ?? []).map(({ opens }) => gateOf(this, device, opens ?? []));
    const isUnsure = gates.some(({ fact }) => fact !== null);
    const key = `${device.id} ${isUnsure ? "unsure" : gates.map(({ reason }) => Number(reason === null)).join("")}`;
    const known = this.shelf.withDecoders.get(key);
    if (known) return known;
    const open = (device.decodes ?? []).filter((_row, index) => gates[index]?.reason === null);
    const made = { ...device, decodes: isUnsure ? null : open };
    this.shelf.withDecoders.set(key, made);
    return made;
  }

  port({ device, port }: CableEnd): Port | undefined {
    return this.find(device)?.questions.sockets.get(port)?.port;
  }

  cableAt(end: CableEnd): Cable | undefined {
    const question = this.shelf.devices.get(end.device)?.questions.sockets.get(end.port)?.question ?? cableQuestion(end);
    this.shelf.asked.note(question);
    return this.shelf.cables.get(question);
  }

  takersAt({ id }: Device): ReadonlySet<string> {
    this.shelf.asked.note(takersQuestion(id));
    return this.shelf.takers.get(id) ?? NOWHERE;
  }

  setting(device: Device, key: SettingKey): string | null | undefined {
    const { settings } = questionsOf(device);
    const question = settings.get(key) ?? settingQuestion(device.id, key);
    settings.set(key, question);
    this.shelf.asked.note(question);
    return effectiveSetting(device, key, this.state);
  }

  recall<Answer>(key: string, compute: () => Answer, meanwhile: Answer): Answer {
    const known = this.memory.get(key);
    if (known) {
      this.shelf.asked.note(known.asked);
      return known.answer as Answer;
    }
    this.memory.set(key, { answer: meanwhile, asked: new ReadSet() });
    const found = this.traced(compute);
    this.memory.set(key, found);
    this.shelf.asked.note(found.asked);
    return found.answer;
  }

  traced<Answer>(compute: () => Answer): { readonly answer: Answer; readonly asked: ReadSet } {
    const outer = this.shelf.asked;
    const own = new ReadSet();
    this.shelf.asked = own;
    try {
      return { answer: compute(), asked: own };
    } finally {
      this.shelf.asked = outer;
    }
  }

  litBy(outputs: ReadonlyMap<string, string>): Rig {
    const lit = [...outputs].filter(([device]) => this.shelf.devices.get(device)?.followsScreen);
    return lit.length === 0 && this.litOutputs.size === 0 ? this : new ShelfRig(this.shelf, this.state, this.memory, new Map(lit));
  }
}

const NOWHERE: ReadonlySet<string> = new Set();

export const makeRig = (job: Job, state: SettingState): Rig => new Shelf(job).at(state);
