import { cableClassFact } from "@/core/facts";
import type { Content, Device } from "@/core/device";
import type { CableEnd } from "@/core/job";
import { settlePicture, type Picture, type PictureLimit, type PictureLoss } from "@/core/picture";
import { addDelays, milliseconds, type Milliseconds } from "@/core/units";
import type { Rig } from "./rig";

/** The picture of a content on the screen it reaches. */
export interface PictureArrival {
  readonly screen: string;
  readonly entry: string;
  readonly picture: Picture | null;
  readonly losses: readonly PictureLoss[];
  readonly delayMs: Milliseconds | null;
}

/** Follows the picture of a source through cables and picture routes to the first screen; null when it reaches none. */
export function pictureArrival(rig: Rig, device: Device, source: string, content: Content): PictureArrival | null {
  const found = search(rig, device, source, [], milliseconds(0), new Set([device.id]));
  if (!found) return null;
  const display = found.screen.display;
  const settled = content.picture && display ? settlePicture(content.picture, found.limits, display, found.screen.id) : null;
  const own = content.kind === "game" ? display?.gameDelayMs : display?.delayMs;
  const delayMs = found.delayMs === null || own === null || own === undefined ? null : addDelays(found.delayMs, milliseconds(own));
  return { screen: found.screen.id, entry: found.entry, picture: settled?.picture ?? null, losses: settled?.losses ?? [], delayMs };
}

interface Found {
  readonly screen: Device;
  readonly entry: string;
  readonly limits: readonly PictureLimit[];
  readonly delayMs: Milliseconds | null;
}

function search(
  rig: Rig,
  here: Device,
  from: string,
  limits: readonly PictureLimit[],
  delayMs: Milliseconds | null,
  seen: ReadonlySet<string>,
): Found | null {
  for (const route of here.routes) {
    if (route.kind !== "picture" || !route.from.includes(from)) continue;
    const after = delayMs === null || route.delayMs === null ? null : addDelays(delayMs, milliseconds(route.delayMs));
    if (route.to.includes("display")) return { screen: here, entry: from, limits, delayMs: after };
    for (const to of route.to) {
      const cable = rig.cableAt({ device: here.id, port: to });
      const next = cable && cable.from.device === here.id ? rig.device(cable.to.device) : undefined;
      if (!cable || !next || seen.has(next.id)) continue;
      const fact = cableClassFact(cable.class);
      const along: PictureLimit[] = [
        ...socketLimit(rig, cable.from),
        ...(fact.pictureGbps === null
          ? []
          : [{ kind: "cable", cable: cable.id, gbps: fact.pictureGbps, lengthM: cable.lengthM, certainM: fact.certainM } as const]),
        ...socketLimit(rig, cable.to),
      ];
      const found = search(rig, next, cable.to.port, [...limits, ...along], after, new Set([...seen, next.id]));
      if (found) return found;
    }
  }
  return null;
}

function socketLimit(rig: Rig, end: CableEnd): PictureLimit[] {
  const port = rig.port(end);
  return port?.connector === "hdmi" ? [{ kind: "socket", ...end, gbps: port.maxGbps, hdcp: port.hdcp }] : [];
}
