import { classesJoining, type CableClass } from "@/core/facts";
import type { Device } from "@/core/device";
import { runBetween, type Job } from "@/core/job";
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

/**
 * The wires with no lead, and with each lead from a screen or box into the sound system, straight or through a box.
 * @param room the hubs with nothing plugged
 */
export function withLeads(space: WiringSpace, room: Job, hubs: readonly Device[], wires: readonly Wire[]): readonly (readonly Wire[])[] {
  const into = [
    ...leadsInto(space, room, wires, hubs, space.system, SOUND_LEADS),
    ...(isCutOff(space.job, space.system.id) ? leadsInto(space, room, wires, hubs, space.system, THROUGH_AIR) : []),
  ];
  const screens = hubs.filter(({ role }) => role === "screen");
  const through = into.flatMap((wire) => {
    const box = hubs.find(({ id }) => id === wire.cable.from.device);
    return box?.role === "box"
      ? leadsInto(space, room, [...wires, wire], screens, box, SOUND_LEADS).map((first) => [...wires, first, wire])
      : [];
  });
  return [wires, ...into.map((wire) => [...wires, wire]), ...through];
}

/** Every lead for sound alone from one of the hubs into a device, one for each pair of plugs that differs. */
function leadsInto(
  space: WiringSpace,
  room: Job,
  wires: readonly Wire[],
  hubs: readonly Device[],
  target: Device,
  kinds: ReadonlySet<string>,
): readonly Wire[] {
  const inputs = target.ports.filter(({ direction, connector }) => direction === "in" && kinds.has(connector));
  if (inputs.length === 0) return [];
  const taken = takenBy([...space.fixedCables, ...wires.map(({ cable }) => cable)]);
  const seen = new Set<string>();
  return hubs.flatMap((hub) => {
    if (hub.id === target.id) return [];
    // What leads into it by HDMI already needs no lead beside that, nor does a box from whose return socket it takes sound.
    if (wires.some(({ cable }) => cable.from.device === hub.id && cable.to.device === target.id)) return [];
    if (hub.role === "box" && wires.some(({ cable }) => cable.from.device === target.id && cable.to.device === hub.id)) return [];
    const outputs = hub.ports.filter(({ direction, connector }) => direction === "out" && kinds.has(connector));
    const leads = outputs.flatMap((port) =>
      inputs.flatMap((input) => {
        const [from, to] = [
          { device: hub.id, port: port.id },
          { device: target.id, port: input.id },
        ];
        const key = `${hub.id} ${port.id} ${input.connector}`;
        if (seen.has(key) || isTaken(taken, from) || isTaken(taken, to)) return [];
        if (classesJoining(port.connector, input.connector).length === 0) return [];
        seen.add(key);
        return wiresBetween(space, room, from, to);
      }),
    );
    return worthLaying(target, leads);
  });
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
