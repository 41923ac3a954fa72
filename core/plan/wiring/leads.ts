import { classesJoining, type CableClass } from "@/core/facts";
import type { Device } from "@/core/device";
import { runBetween, type CableEnd, type Job } from "@/core/job";
import { isTaken, takenBy } from "./sockets";
import type { WiringSpace } from "./space";
import { wiresBetween, type Wire } from "./wires";

/** Sockets that carry sound alone. */
export const SOUND_LEADS: ReadonlySet<string> = new Set(["optical", "coaxial", "rca", "minijack"]);
/** What joins without a cable, late and in stereo: thought of only where no cable can run. */
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
  /** Leads with the same words differ only in which of some equal sockets they lead into. */
  readonly likeness: string;
  readonly wires: readonly Wire[];
}

/** The leads for sound alone between hubs that stand in a room. */
export class Leads {
  private readonly known = new Map<string, readonly Possible[]>();
  private readonly isCutOff: boolean;

  /** @param room the hubs with nothing plugged */
  constructor(
    private readonly space: WiringSpace,
    private readonly room: Job,
    private readonly hubs: readonly Device[],
  ) {
    this.isCutOff = isCutOff(space.job, space.system.id);
  }

  /** Some wires with no lead, and with each lead from a screen or box into the sound system, straight or through a box. */
  with(wires: readonly Wire[]): readonly (readonly Wire[])[] {
    const { system } = this.space;
    const into = [
      ...this.into(wires, this.hubs, system, SOUND_LEADS),
      ...(this.isCutOff ? this.into(wires, this.hubs, system, THROUGH_AIR) : []),
    ];
    const screens = this.hubs.filter(({ role }) => role === "screen");
    const through = into.flatMap((wire) => {
      const box = this.hubs.find(({ id }) => id === wire.cable.from.device);
      return box?.role === "box" ? this.into([...wires, wire], screens, box, SOUND_LEADS).map((first) => [...wires, first, wire]) : [];
    });
    return [wires, ...into.map((wire) => [...wires, wire]), ...through];
  }

  /** Every lead from one of some hubs into a device, one for each pair of plugs that differs. */
  private into(wires: readonly Wire[], hubs: readonly Device[], target: Device, kinds: ReadonlySet<string>): readonly Wire[] {
    const taken = takenBy([...this.space.fixedCables, ...wires.map(({ cable }) => cable)]);
    return hubs.flatMap((hub) => {
      const possible = this.possible(hub, target, kinds);
      if (possible.length === 0) return [];
      // What leads into it by HDMI already needs no lead beside that, nor does a box from whose return socket it takes sound.
      if (wires.some(({ cable }) => cable.from.device === hub.id && cable.to.device === target.id)) return [];
      if (hub.role === "box" && wires.some(({ cable }) => cable.from.device === target.id && cable.to.device === hub.id)) return [];
      const free = possible.filter(({ from, to }) => !isTaken(taken, from) && !isTaken(taken, to));
      const different = free.filter(({ likeness }, index) => free.findIndex((other) => other.likeness === likeness) === index);
      return worthLaying(
        target,
        different.flatMap((lead) => lead.wires),
      );
    });
  }

  private possible(hub: Device, target: Device, kinds: ReadonlySet<string>): readonly Possible[] {
    const key = `${hub.id} ${target.id} ${String(kinds === THROUGH_AIR)}`;
    const known = this.known.get(key) ?? this.between(hub, target, kinds);
    this.known.set(key, known);
    return known;
  }

  private between(hub: Device, target: Device, kinds: ReadonlySet<string>): readonly Possible[] {
    if (hub.id === target.id) return [];
    const outputs = hub.ports.filter(({ direction, connector }) => direction === "out" && kinds.has(connector));
    const inputs = target.ports.filter(({ direction, connector }) => direction === "in" && kinds.has(connector));
    return outputs.flatMap((port) =>
      inputs.flatMap((input): Possible[] => {
        if (classesJoining(port.connector, input.connector).length === 0) return [];
        const [from, to] = [
          { device: hub.id, port: port.id },
          { device: target.id, port: input.id },
        ];
        return [{ from, to, likeness: `${port.id} ${input.connector}`, wires: wiresBetween(this.space, this.room, from, to) }];
      }),
    );
  }
}

const DIGITAL: ReadonlySet<CableClass> = new Set<CableClass>(["optical", "coaxial"]);
/** What comes over a digital lead for sound. Source: IEC 60958-3, IEC 61937-3 and -5. */
const OVER_DIGITAL = ["lpcm", "ac3", "dts"] as const;

/**
 * Of new leads between the same two devices those that differ in what they bring: an analogue one carries nothing that a digital one does
 * not, where the far end decodes all that can come over it; and two analogue ones are alike.
 */
function worthLaying({ decodes }: Device, leads: readonly Wire[]): readonly Wire[] {
  const isDigital = ({ cable }: Wire) => DIGITAL.has(cable.class);
  const decodesAll = OVER_DIGITAL.every((coding) => decodes?.some((row) => row.coding === coding));
  const isSpared = decodesAll && leads.some(isDigital);
  const [firstAnalogue] = leads.filter((lead) => !isDigital(lead) && !lead.lying && lead.cable.class !== "bluetooth");
  return leads.filter((lead) => lead.lying || isDigital(lead) || lead.cable.class === "bluetooth" || (!isSpared && lead === firstAnalogue));
}
