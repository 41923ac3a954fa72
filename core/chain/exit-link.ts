import { connectorFact, type LinkKind } from "@/core/facts";
import type { CableEnd } from "@/core/job";
import type { ReturnLimit } from "./reason";
import { returnChannel } from "./return-channel";
import { isAt, type Rig } from "./rig";

/** The link that a socket's plug leads sound onto. Sockets without one have no sound route, so none is ever asked for. */
export const forwardLink = (rig: Rig, from: CableEnd): LinkKind => {
  const port = rig.port(from);
  return (port && connectorFact(port.connector).link) ?? "hdmi";
};

/** The link behind a socket, and why it is no better. */
export interface ExitLink {
  readonly link: LinkKind;
  readonly because: readonly ReturnLimit[];
}

/**
 * The link behind a socket: forward by its plug, back by what the return is at the moment, or is at most where nobody knows; null where
 * there is none.
 */
export function exitLink(rig: Rig, exit: CableEnd): ExitLink | null {
  const cable = rig.cableAt(exit);
  if (!cable) return null;
  if (isAt(cable.from, exit)) return { link: forwardLink(rig, exit), because: [] };
  const channel = returnChannel(rig, cable);
  return channel.kind === "closed" ? null : channel;
}
