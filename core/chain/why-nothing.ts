import type { Coding } from "@/core/facts";
import type { Device } from "@/core/device";
import { exitLink, forwardLink } from "./exit-link";
import { carriesCodings, needsDecoding, whyNotCarry } from "./link";
import { notListed } from "./listed-by";
import type { ListedUpperBound } from "./listed-upper-bound";
import type { Reason } from "./reason";
import { isAt, type Rig } from "./rig";
import type { Stream } from "./stream";
import type { Step } from "./way";
import { whyNotPass } from "./why-not-send";
import { refusedBySetting } from "./why-not-setting";

type Inside = Extract<Step, { kind: "inside" }>;

/**
 * Why a device hands nothing on of a stream, its first, along a route to one of its sockets; null where the link after it says so itself.
 * `isPlayer`: the stream is of its own source. `listed`: what it sees listed there, or could see at most; null: anything.
 */
export function whyNothing(rig: Rig, step: Inside, stream: Stream, isPlayer: boolean, listed: ListedUpperBound): Reason | null {
  const { device, route, to } = step;
  const exit = { device: device.id, port: to };
  const plain: Stream = { ...stream, objects: "none" };
  const link = forwardLink(rig, exit);
  // Analogue sound leaves by a digital socket as LPCM, or not at all.
  if (stream.coding === "analogue" && carriesCodings(link) && !route.blind)
    return lacks(device, "analogue")
      ? { code: "cannot-decode", device: device.id, coding: "analogue" }
      : notListed(rig, exit, { ...plain, coding: "lpcm" }, isPlayer ? null : device.id);
  // A converter without a decoder makes silence or noise of a burst; one that has it, or may have it, does not use it on a blind route.
  if (needsDecoding(stream.coding, link) && lacks(device, stream.coding))
    return { code: "cannot-decode", device: device.id, coding: stream.coding };
  if (route.blind)
    return stream.coding === "lpcm"
      ? whyNotPass(device, route, plain)
      : { code: "does-not-pass", device: device.id, coding: stream.coding, objects: "none" };
  const cable = rig.cableAt(exit);
  const isReturn = cable !== undefined && isAt(cable.to, exit);
  if (isReturn && listed?.size === 0) return null;
  const isListed = listed === null || listed.has(stream.coding);
  return (
    whyNotSend(step, plain, isPlayer) ??
    tooMuch(rig, step, plain) ??
    (isListed ? refusedBySetting(rig, device, route, plain, null) : null) ??
    notListed(rig, exit, plain, isPlayer ? null : device.id)
  );
}

const lacks = ({ decodes }: Device, coding: Coding): boolean => decodes?.every((row) => row.coding !== coding) ?? false;

/** A coding that the route does not pass. LPCM it always makes narrow enough. */
function whyNotSend({ device, route }: Inside, plain: Stream, isPlayer: boolean): Reason | null {
  const refusal = whyNotPass(device, route, plain);
  if (refusal?.code !== "does-not-pass") return null;
  const { coding, channels, objects } = plain;
  return isPlayer ? { code: "cannot-emit", device: device.id, coding, objects, need: channels, have: null } : refusal;
}

function tooMuch(rig: Rig, { device, to }: Inside, stream: Stream): Reason | null {
  const exit = exitLink(rig, { device: device.id, port: to });
  return exit && stream.coding !== "lpcm" ? whyNotCarry(stream, exit.link, exit.because) : null;
}
