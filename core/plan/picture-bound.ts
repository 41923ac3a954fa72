import { scorePicture } from "@/core/chain";
import { cableClassFact } from "@/core/facts";
import type { Content, Device, HdmiPort } from "@/core/device";
import { reaches, sameEnd, type CableEnd, type Job } from "@/core/job";
import { settlePicture, type PictureLimit } from "@/core/picture";

/**
 * No picture of a content can be better on a screen than that of the player's best output straight in the screen's best input: whatever
 * is between can only take away. 0 where the screen has no display, or nobody has said what it shows.
 */
export function bestPictureScore(player: Device, content: Content, screen: Device): number {
  if (!content.picture) return 0;
  // What nobody knows of a screen bounds nothing: its picture is black until it is known.
  if (!screen.display) return 0;
  const limits = player.id === screen.id ? [] : [...bestSocket(player, "out"), ...bestSocket(screen, "in")];
  return scoreOver(content.picture, limits, screen.display, screen.id);
}

/** What a picture is worth over these limits, where whatever nobody knows of them takes nothing away. */
function scoreOver(...settled: Parameters<typeof settlePicture>): number {
  const { picture, losses } = settlePicture(...settled);
  return scorePicture(
    picture,
    losses.filter(({ code }) => code !== "picture-unknown"),
  );
}

/**
 * No picture of a content can be better on a screen without another cable than over the best of those there are that reaches the screen:
 * whatever else is moved, the last of its way is one of them.
 */
export function bestPictureByPlugs(job: Job, player: Device, content: Content, screen: Device): number {
  if (!content.picture || !screen.display || player.id === screen.id) return bestPictureScore(player, content, screen);
  const { picture: wish } = content;
  const { display } = screen;
  const ends = [...bestSocket(player, "out"), ...bestSocket(screen, "in")];
  const inputs = screen.ports.filter(({ direction }) => direction === "in").map(({ id }): CableEnd => ({ device: screen.id, port: id }));
  const scores = job.cables.flatMap((cable) => {
    const { pictureGbps, passive, certainM } = cableClassFact(cable.class);
    if (!inputs.some((end) => sameEnd(cable.to, end) || reaches(job, cable, cable.from, end))) return [];
    const own: readonly PictureLimit[] =
      pictureGbps === null ? [] : [{ kind: "cable", cable: cable.id, gbps: pictureGbps, lengthM: cable.lengthM, passive, certainM }];
    return [scoreOver(wish, [...ends, ...own], display, screen.id)];
  });
  return Math.max(0, ...scores);
}

const HDCP_ORDER = ["none", "1.4", "2.2", "2.3"] as const;

/** A socket as good as any that the device has in that direction; none where any of them is not known. */
function bestSocket(device: Device, direction: "in" | "out"): readonly PictureLimit[] {
  const sockets = device.ports.filter((port): port is HdmiPort => port.connector === "hdmi" && port.direction === direction);
  const isOpen = device.ports.some(({ connector }) => connector === "composite") || sockets.length === 0;
  const rates = sockets.map(({ maxGbps }) => maxGbps);
  const hdcps = sockets.map(({ hdcp }) => hdcp);
  if (isOpen) return [];
  return [
    {
      kind: "socket",
      device: device.id,
      port: sockets[0]?.id ?? "",
      gbps: rates.includes(null) ? null : Math.max(...rates.map((rate) => rate ?? 0)),
      hdcp: hdcps.includes(null) ? null : (HDCP_ORDER.findLast((version) => hdcps.includes(version)) ?? null),
      standard: false,
      perhapsGbps: null,
    },
  ];
}
