import { classesJoining, type CableClass } from "@/core/facts";
import type { Device, Port } from "@/core/device";
import { endKey, runBetween, type CableEnd, type Job } from "@/core/job";
import { type FarEnd, isTaken, isUnchanged, type LeadsFrom, takenBy, type Wire, wiresBetween, type WiringSpace } from "../space";

/** Sockets that carry sound alone. */
export const SOUND_LEADS: ReadonlySet<string> = new Set(["optical", "coaxial", "rca", "minijack"]);
/** What joins without a cable, late and in stereo: considered only where no cable can run. */
export const THROUGH_AIR: ReadonlySet<string> = new Set(["bluetooth"]);

/** Whether the brief allows no cable from any screen to the sound system. */
export const isCutOff = (job: Job, system: string): boolean =>
  job.devices.every(({ id, role, display }) => role !== "screen" || !display || isForbidden(job, id, system));

/** Whether the brief forbids a cable between the rooms of two devices. */
export const isForbidden = (job: Job, a: string, b: string): boolean => a !== b && runBetween(job, a, b)?.allowed === false;

/** A lead for sound alone that could be laid from a hub into a device, where both sockets are free. */
interface Possible {
  readonly from: CableEnd;
  readonly to: CableEnd;
  readonly far: FarEnd;
  /** Leads with the same words differ only in which of some equal sockets they lead into. */
  readonly likeness: string;
  readonly wires: readonly Wire[];
}

/** The leads from a hub into one device. */
interface FromHub {
  readonly hub: Device;
  readonly leads: readonly Possible[];
}

/** The leads for sound that are still open. */
export interface OpenLeads {
  /** By their outputs: those to the sound system, straight or through a box. */
  readonly leadsFrom: LeadsFrom;
  /** Those that are there now and may stay. */
  readonly leadsThere: readonly Wire[];
}

/** The leads for sound alone between hubs that stand in a room. */
export class Leads {
  private readonly intoSystem: readonly FromHub[];
  private readonly throughAir: readonly FromHub[];
  /** From the screens into boxes of which a lead goes on. */
  private readonly intoBoxes = new Map<Device, readonly FromHub[]>();

  /** @param room the hubs with nothing plugged */
  constructor(
    private readonly space: WiringSpace,
    private readonly room: Job,
    private readonly hubs: readonly Device[],
  ) {
    const { job, system } = space;
    this.intoSystem = this.between(hubs, system, SOUND_LEADS);
    const air = this.between(hubs, system, THROUGH_AIR);
    // A pairing that there is may stay; a new one is considered only where no cable can run.
    this.throughAir = isCutOff(job, system.id)
      ? air
      : air.map(({ hub, leads }) => ({ hub, leads: leads.filter(({ wires }) => wires.some(({ existing }) => existing !== null)) }));
  }

  /** The leads that could be laid beside some wires into the sound system, or into a box from which such a lead goes on. */
  beside(wires: readonly Wire[]): OpenLeads {
    const { system } = this.space;
    const intoSystem = [...this.intoSystem, ...this.throughAir].filter(({ hub }) => !isSpared(wires, hub, system));
    const intoBoxes = intoSystem.flatMap(({ hub: box }) =>
      box.role === "box" ? this.intoBox(box).filter(({ hub }) => !isSpared(wires, hub, box)) : [],
    );
    const leads = [...intoSystem, ...intoBoxes].flatMap((from) => from.leads);
    return {
      leadsFrom: openFrom(leads),
      leadsThere: leads.flatMap((lead) => lead.wires.filter(isUnchanged)),
    };
  }

  /** Some wires with every set of leads into the sound system, at most one from each screen or box, straight or through a box. */
  *with(wires: readonly Wire[], from = 0): Generator<readonly Wire[]> {
    const { system } = this.space;
    yield wires;
    for (const lead of [...this.into(wires, system, this.intoSystem), ...this.into(wires, system, this.throughAir)]) {
      // Of sets that differ only in their order one is listed.
      const place = this.hubs.findIndex(({ id }) => id === lead.cable.from.device);
      if (place < from) continue;
      yield* this.with([...wires, lead], place + 1);
      const hub = this.hubs[place];
      if (hub?.role !== "box") continue;
      for (const first of this.into([...wires, lead], hub, this.intoBox(hub))) yield* this.with([...wires, first, lead], place + 1);
    }
  }

  /** Every lead into a device, one for each pair of plugs that differs. */
  private into(wires: readonly Wire[], target: Device, from: readonly FromHub[]): readonly Wire[] {
    if (from.length === 0) return [];
    const taken = takenBy([...this.space.fixedCables, ...wires.map(({ cable }) => cable)]);
    return from.flatMap(({ hub, leads }) => {
      if (isSpared(wires, hub, target)) return [];
      const free = leads.filter(({ from: out, to }) => !isTaken(taken, out) && !isTaken(taken, to));
      const different = oneOfEach(free);
      return worthLaying(
        target,
        different.flatMap((lead) => lead.wires),
      );
    });
  }

  private intoBox(box: Device): readonly FromHub[] {
    const screens = this.hubs.filter(({ role }) => role === "screen");
    const known = this.intoBoxes.get(box) ?? this.between(screens, box, SOUND_LEADS);
    this.intoBoxes.set(box, known);
    return known;
  }

  private between(hubs: readonly Device[], target: Device, kinds: ReadonlySet<string>): readonly FromHub[] {
    const inputs = target.ports.filter(({ direction, connector }) => direction === "in" && kinds.has(connector));
    return hubs.flatMap((hub): FromHub[] => {
      if (hub.id === target.id) return [];
      const outputs = hub.ports.filter(({ direction, connector }) => direction === "out" && kinds.has(connector));
      const leads = outputs.flatMap((port) => inputs.flatMap((input) => this.possible(hub, port, target, input)));
      return leads.length ? [{ hub, leads }] : [];
    });
  }

  private possible(hub: Device, port: Port, target: Device, input: Port): readonly Possible[] {
    if (classesJoining(port.connector, input.connector).length === 0) return [];
    const [from, to] = [
      { device: hub.id, port: port.id },
      { device: target.id, port: input.id },
    ];
    return [
      {
        from,
        to,
        far: { device: target.id, socket: endKey(to), isLead: true },
        likeness: `${port.id} ${input.connector}`,
        wires: wiresBetween(this.space, this.room, from, to),
      },
    ];
  }
}

function openFrom(leads: readonly Possible[]): LeadsFrom {
  const open = new Map<string, FarEnd[]>();
  for (const { from, far } of leads) {
    const key = endKey(from);
    open.set(key, [...(open.get(key) ?? []), far]);
  }
  return open;
}

/** What leads into a device by HDMI already needs no lead beside that, nor does a box from whose return socket it takes sound. */
const isSpared = (wires: readonly Wire[], hub: Device, target: Device): boolean =>
  wires.some(({ cable: { from, to } }) =>
    from.device === hub.id ? to.device === target.id : hub.role === "box" && from.device === target.id && to.device === hub.id,
  );

/** Of leads that differ only in which of some equal sockets they lead into one: that which is there already, else the first. */
function oneOfEach(leads: readonly Possible[]): readonly Possible[] {
  const kept = new Map<string, Possible>();
  for (const lead of leads) if (!kept.has(lead.likeness) || lead.wires.some(isUnchanged)) kept.set(lead.likeness, lead);
  return [...kept.values()];
}

const DIGITAL: ReadonlySet<CableClass> = new Set<CableClass>(["optical", "coaxial"]);
/** What comes over a digital lead for sound. Source: IEC 60958-3, IEC 61937-3 and -5. */
const OVER_DIGITAL = ["lpcm", "ac3", "dts"] as const;

/**
 * Of new leads between the same two devices those that differ in what they bring: an analogue one carries nothing that a digital one does
 * not, where the far end decodes all that can come over it; and two analogue ones are equal.
 */
function worthLaying({ decodes }: Device, leads: readonly Wire[]): readonly Wire[] {
  const isDigital = ({ cable }: Wire) => DIGITAL.has(cable.class);
  const decodesAll = OVER_DIGITAL.every((coding) => decodes?.some((row) => row.coding === coding));
  const isSpared = decodesAll && leads.some(isDigital);
  const [firstAnalogue] = leads.filter((lead) => !isDigital(lead) && !lead.existing && lead.cable.class !== "bluetooth");
  return leads.filter(
    (lead) => lead.existing || isDigital(lead) || lead.cable.class === "bluetooth" || (!isSpared && lead === firstAnalogue),
  );
}
