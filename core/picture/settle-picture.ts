import { timingFact, type PictureMode } from "@/core/facts";
import type { Device, PictureWish } from "@/core/device";
import { hdcpAtLeast, olderHdcp, tmdsRate, type Hdcp, type Picture } from "./picture";

/** What one socket or cable on the way of a picture can do; null where nobody knows. */
export type PictureLimit =
  | { readonly kind: "socket"; readonly device: string; readonly port: string; readonly gbps: number | null; readonly hdcp: Hdcp | null }
  | { readonly kind: "cable"; readonly cable: string; readonly gbps: number; readonly lengthM: number; readonly certainM: number };

/** Why the picture is not as mastered. */
export type PictureLoss =
  | { readonly code: "picture-hdcp"; readonly device: string; readonly port: string; readonly need: string; readonly have: string }
  | { readonly code: "picture-rate"; readonly at: PictureLimit; readonly need: number; readonly have: number; readonly unit: "Gb/s" }
  | { readonly code: "picture-mode"; readonly device: string; readonly need: PictureMode; readonly have: PictureMode }
  | { readonly code: "picture-hdr"; readonly device: string; readonly need: string }
  | { readonly code: "picture-length"; readonly cable: string; readonly need: number; readonly have: number; readonly unit: "m" }
  | { readonly code: "picture-unknown"; readonly device: string; readonly port: string };

export interface SettledPicture {
  readonly picture: Picture;
  readonly losses: readonly PictureLoss[];
}

const inHd = (mode: PictureMode): PictureMode =>
  timingFact(mode).refreshHz === 24 ? "1920x1080@24" : timingFact(mode).refreshHz === 50 ? "1920x1080@50" : "1920x1080@60";

/**
 * The best picture that every socket and cable on the way, and the screen, allow.
 * Protected 2160p needs HDCP 2.2 at every hop, else the player drops to 1080p; then depth and chroma step down until the rate fits.
 */
export function settlePicture(
  wish: PictureWish,
  limits: readonly PictureLimit[],
  display: NonNullable<Device["display"]>,
  screen: string,
): SettledPicture {
  const losses: PictureLoss[] = [];
  let mode = wish.mode;
  let hdcp: Hdcp = "2.3";
  for (const limit of limits) {
    if (limit.kind === "cable") {
      if (limit.lengthM > limit.certainM)
        losses.push({ code: "picture-length", cable: limit.cable, need: limit.lengthM, have: limit.certainM, unit: "m" });
      continue;
    }
    if (limit.hdcp === null || limit.gbps === null) losses.push({ code: "picture-unknown", device: limit.device, port: limit.port });
    const have = limit.hdcp ?? "none";
    hdcp = olderHdcp(hdcp, have);
    if (wish.protected && timingFact(mode).height > 1080 && !hdcpAtLeast(have, "2.2")) {
      losses.push({ code: "picture-hdcp", device: limit.device, port: limit.port, need: "2.2", have });
      mode = inHd(mode);
    }
  }
  if (timingFact(mode).height > timingFact(display.maxMode).height) {
    losses.push({ code: "picture-mode", device: screen, need: mode, have: display.maxMode });
    mode = inHd(mode);
  }
  // Once it has dropped to 1080p, a player sends the plain form: 8 bit, full chroma.
  const form = mode === wish.mode ? { depth: wish.depth, chroma: wish.chroma } : ({ depth: 8, chroma: "444" } as const);
  const wished: Picture = { mode, ...form, hdr: wish.hdr, hdcp };
  const narrowest = narrowestOf(limits);
  const picture = narrowest ? firstThatFits(wished, narrowest.gbps) : wished;
  if (narrowest && picture !== wished) {
    losses.push({ code: "picture-rate", at: narrowest.limit, need: tmdsRate(wished), have: narrowest.gbps, unit: "Gb/s" });
  }
  const shown = picture.hdr === "sdr" || display.hdr.includes(picture.hdr);
  if (!shown) losses.push({ code: "picture-hdr", device: screen, need: picture.hdr });
  // A picture dropped below what carries it loses its HDR with it: 8 bit and protected 1080p fall-backs are sent as SDR.
  const keepsHdr = shown && picture.depth >= 10 && timingFact(picture.mode).height >= timingFact(wish.mode).height;
  return { picture: keepsHdr ? picture : { ...picture, hdr: "sdr" }, losses };
}

function narrowestOf(limits: readonly PictureLimit[]): { limit: PictureLimit; gbps: number } | null {
  let narrowest: { limit: PictureLimit; gbps: number } | null = null;
  for (const limit of limits) {
    if (limit.gbps !== null && (!narrowest || limit.gbps < narrowest.gbps)) narrowest = { limit, gbps: limit.gbps };
  }
  return narrowest;
}

function firstThatFits(wished: Picture, gbps: number): Picture {
  const stepped = (mode: PictureMode): Picture[] => {
    const fast = timingFact(mode).height > 1080 && timingFact(mode).refreshHz >= 50;
    const base = { ...wished, mode };
    return [
      base,
      { ...base, depth: 12, chroma: "422" },
      ...(fast
        ? ([
            { ...base, depth: 10, chroma: "420" },
            { ...base, depth: 8, chroma: "420" },
          ] as const)
        : []),
      { ...base, depth: 8, chroma: "444" },
    ];
  };
  const ladder = [
    ...stepped(wished.mode),
    ...stepped(inHd(wished.mode)),
    { ...wished, mode: "1280x720@60", depth: 8, chroma: "444" } as const,
  ];
  const first = ladder.find((picture) => tmdsRate(picture) <= gbps);
  return first === ladder[0] || !first ? wished : first;
}
