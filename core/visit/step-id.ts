import { CABLE_CLASS_IDS, type CableClass } from "@/core/facts";
import type { Cable, CableEnd } from "@/core/job";

/** A cable of a class in two sockets. */
export interface JoinedCable {
  readonly cable: string;
  readonly sockets: readonly [CableEnd, CableEnd];
  readonly class: CableClass;
}

export const joined = ({ id, from, to, class: cableClass }: Pick<Cable, "id" | "from" | "to" | "class">): JoinedCable => ({
  cable: id,
  sockets: [from, to],
  class: cableClass,
});

/** Two cables are one and the same work where they join the same sockets and are of one class. */
export const wayOf = ({ sockets: [from, to], class: cableClass }: Omit<JoinedCable, "cable">): string =>
  `${from.device} ${from.port} ${to.device} ${to.port} ${cableClass}`;

/** The id of the step that plugs a cable or takes it out: it names the sockets, so that a cable that is moved is another piece of work. */
export const cableStepId = (act: "plug" | "unplug", cable: JoinedCable): string => `${act} ${cable.cable} ${wayOf(cable)}`;

/** What such an id names; null for the id of any other step. */
export function readCableStepId(step: string): (JoinedCable & { readonly act: "plug" | "unplug" }) | null {
  const [act, cable, fromDevice, fromPort, toDevice, toPort, named, ...rest] = step.split(" ");
  const cableClass = CABLE_CLASS_IDS.find((id) => id === named);
  if ((act !== "plug" && act !== "unplug") || !cable || !fromDevice || !fromPort || !toDevice || !toPort || !cableClass || rest.length)
    return null;
  return {
    act,
    cable,
    class: cableClass,
    sockets: [
      { device: fromDevice, port: fromPort },
      { device: toDevice, port: toPort },
    ],
  };
}
