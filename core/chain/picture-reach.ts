import { classesJoining } from "@/core/facts";
import type { Content, Device } from "@/core/device";
import { endKey, type CableEnd } from "@/core/job";
import { settlePicture, type Picture, type PictureLimit, type PictureLoss } from "@/core/picture";
import { pictureWays } from "./picture-way";
import { cableQuestion, type Question } from "./read-set";
import type { Rig } from "./rig";

/** The pictures that the ways as they are plugged could bring to a screen if every setting were at its best. */
export function picturesAsWired(
  rig: Rig,
  player: Device,
  source: string,
  content: Content,
  screen: string,
): readonly { readonly picture: Picture | null; readonly losses: readonly PictureLoss[] }[] {
  const { picture } = content;
  if (!picture) return [];
  return pictureWays(rig, player, source).flatMap((way) =>
    way.screen.display && (screen === "" || way.screen.id === screen)
      ? [
          settlePicture(
            picture,
            way.limits.map((limit) => atBest(rig, limit)),
            way.screen.display,
            way.screen.id,
          ),
        ]
      : [],
  );
}

/** A socket that is slow only because of its picture mode, in its better mode. */
function atBest(rig: Rig, limit: PictureLimit): PictureLimit {
  if (limit.kind !== "socket" || !limit.standard) return limit;
  const port = rig.port({ device: limit.device, port: limit.port });
  return port?.connector === "hdmi" ? { ...limit, gbps: port.maxGbps, standard: false } : limit;
}

/**
 * The screens that the picture of a source could reach if every plug and cable but those in the fixed sockets were free, and every gate
 * was open.
 */
export function screensInReach(rig: Rig, player: Device, source: string, fixed: ReadonlySet<Question>): ReadonlySet<string> {
  const screens = new Set<string>();
  const seen = new Set<string>();
  const visit = (device: Device, from: string) => {
    for (const route of device.routes) {
      if (route.kind !== "picture" || !route.from.includes(from)) continue;
      for (const to of route.to) {
        if (to === "display") screens.add(device.id);
        for (const end of to === "display" ? [] : endsFrom(rig, { device: device.id, port: to }, fixed)) {
          const next = seen.has(endKey(end)) ? undefined : rig.atWill(end.device);
          seen.add(endKey(end));
          if (next) visit(next, end.port);
        }
      }
    }
  };
  visit(player, source);
  return screens;
}

function endsFrom(rig: Rig, exit: CableEnd, fixed: ReadonlySet<Question>): readonly CableEnd[] {
  const port = rig.port(exit);
  if (!port) return [];
  if (fixed.has(cableQuestion(exit))) {
    const cable = rig.cableAt(exit);
    return cable ? [cable.to] : [];
  }
  return rig.job.devices.flatMap(({ id, ports }) =>
    id === exit.device
      ? []
      : ports.flatMap((other) => {
          const end = { device: id, port: other.id };
          const isFree = other.direction === "in" && !fixed.has(cableQuestion(end));
          return isFree && classesJoining(port.connector, other.connector).length > 0 ? [end] : [];
        }),
  );
}
