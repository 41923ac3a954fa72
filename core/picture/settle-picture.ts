import { certainLength, timingFact, TMDS_MAX_GBPS, type PictureMode } from "@/core/facts";
import type { Device, PictureWish } from "@/core/device";
import { linkNeed, whetherFits } from "./link-need";
import { inHd, lowerModes } from "./lower-modes";
import { hdcpAtLeast, olderHdcp, tmdsRate, type Hdcp, type Picture } from "./picture";
import type { PictureLimit, PictureLoss } from "./picture-limit";

type Form = Pick<Picture, "mode" | "depth" | "chroma">;

/** What a player does when its picture does not fit. */
export interface PlayerManners {
  /** It shows nothing where HDCP is too old, instead of stepping down. */
  readonly blanks: boolean;
  /** The player, where it is set to send one format whatever fits; null: it steps down. */
  readonly forced: string | null;
}
const OBLIGING: PlayerManners = { blanks: false, forced: null };

export interface SettledPicture {
  /** Null: black. */
  readonly picture: Picture | null;
  readonly losses: readonly PictureLoss[];
}

/**
 * The best picture that every socket, cable and box on the way, and the screen, allow.
 * Protected 2160p needs HDCP 2.2 at every hop, else the player drops to 1080p; anything protected is black where a hop has none.
 * Then depth, chroma, rate and size step down until the link carries it. Source: HDCP 2.2 on HDMI §1; HDMI 2.1 §6.
 */
export function settlePicture(
  wish: PictureWish,
  limits: readonly PictureLimit[],
  display: NonNullable<Device["display"]>,
  screen: string,
  manners: PlayerManners = OBLIGING,
): SettledPicture {
  const losses: PictureLoss[] = gaps(limits);
  const protection = settleHdcp(wish, limits, manners.blanks);
  losses.push(...protection.losses);
  if (protection.mode === null) return { picture: null, losses };
  const shown = settleMode(protection.mode, limits, display, screen);
  losses.push(...shown.losses);
  // Once it has dropped to another mode, a player sends the plain form: 8 bit, full chroma.
  const form = shown.mode === wish.mode ? { depth: wish.depth, chroma: wish.chroma } : ({ depth: 8, chroma: "444" } as const);
  const wished: Picture = {
    mode: shown.mode,
    ...form,
    hdr: wish.hdr,
    hdcp: protection.hdcp,
    gaming: wish.gaming,
    lines: Math.min(timingFact(wish.mode).height, timingFact(shown.mode).height),
  };
  const { picture, loss } = settleRate(wished, limits);
  if (loss) losses.push(loss);
  if (manners.forced !== null && !isSameForm(picture, wish))
    return { picture: null, losses: [...losses, { code: "picture-forced", device: manners.forced }] };
  losses.push(...lengths(picture, limits));
  const dynamic = settleHdr(picture, wish, limits, display, screen);
  losses.push(...dynamic.losses);
  return { picture: dynamic.picture, losses };
}

/** Whether two pictures are the same on the wire. */
export const isSameForm = (a: Form, b: Form): boolean => a.mode === b.mode && a.depth === b.depth && a.chroma === b.chroma;

const gaps = (limits: readonly PictureLimit[]): PictureLoss[] =>
  limits.flatMap((limit): PictureLoss[] =>
    limit.kind === "socket" && (limit.hdcp === null || limit.gbps === null)
      ? [{ code: "picture-unknown", device: limit.device, port: limit.port }]
      : [],
  );

/** Cables longer than what is certain at the rate of the picture they carry. */
function lengths(picture: Picture, limits: readonly PictureLimit[]): PictureLoss[] {
  const { tmdsGbps, frl } = linkNeed(picture);
  const rate = tmdsGbps <= TMDS_MAX_GBPS ? tmdsGbps : (frl ?? tmdsGbps);
  return limits.flatMap((limit): PictureLoss[] => {
    if (limit.kind !== "cable") return [];
    const certain = limit.passive ? certainLength(rate) : limit.certainM;
    return limit.lengthM > certain ? [{ code: "picture-length", cable: limit.cable, need: limit.lengthM, have: certain, unit: "m" }] : [];
  });
}

function settleHdcp(
  wish: PictureWish,
  limits: readonly PictureLimit[],
  blanks: boolean,
): { mode: PictureMode | null; hdcp: Hdcp; losses: readonly PictureLoss[] } {
  const losses: PictureLoss[] = [];
  let mode: PictureMode | null = wish.mode;
  let hdcp: Hdcp = "2.3";
  for (const limit of limits) {
    if (limit.kind !== "socket") continue;
    const { device, port } = limit;
    const have = limit.hdcp;
    // What nobody has noted counts as unknown, not as a loss.
    if (have === null) continue;
    hdcp = olderHdcp(hdcp, have);
    if (!wish.protected || mode === null) continue;
    if (have === "none") {
      losses.push({ code: "picture-hdcp", device, port, need: "1.4", have, then: "black" });
      mode = null;
    } else if (timingFact(mode).height > 1080 && !hdcpAtLeast(have, "2.2")) {
      losses.push({ code: "picture-hdcp", device, port, need: "2.2", have, then: blanks ? "black" : "drops" });
      mode = blanks ? null : inHd(mode);
    }
  }
  return { mode, hdcp, losses };
}

/** What the screen shows, what the other screens of a splitter show, and what a converter makes. */
function settleMode(
  wished: PictureMode,
  limits: readonly PictureLimit[],
  display: NonNullable<Device["display"]>,
  screen: string,
): { mode: PictureMode; losses: readonly PictureLoss[] } {
  const losses: PictureLoss[] = [];
  let mode = wished;
  for (const limit of limits) {
    if (limit.kind !== "converter") continue;
    losses.push({ code: "picture-lines", device: limit.device, need: limit.makes, have: timingFact(wished).height });
    mode = limit.makes;
  }
  const shows = [
    { device: screen, maxMode: display.maxMode },
    ...limits.flatMap((limit) => (limit.kind === "other-screen" ? [{ device: limit.device, maxMode: limit.maxMode }] : [])),
  ];
  for (const { device, maxMode } of shows) {
    if (isWithin(mode, maxMode)) continue;
    losses.push({ code: "picture-mode", device, need: mode, have: maxMode });
    mode = lowerModes(mode).find((lower) => isWithin(lower, maxMode)) ?? maxMode;
  }
  return { mode, losses };
}

function isWithin(mode: PictureMode, most: PictureMode): boolean {
  const [a, b] = [timingFact(mode), timingFact(most)];
  return a.height <= b.height && (a.refreshHz <= b.refreshHz || (a.height < b.height && a.refreshHz <= 60));
}

interface Narrow {
  readonly limit: PictureLimit;
  readonly gbps: number;
}

function settleRate(wished: Picture, limits: readonly PictureLimit[]): { picture: Picture; loss: PictureLoss | null } {
  const narrowest = limits.reduce<Narrow | null>((least, limit) => {
    const gbps = limit.kind === "socket" || limit.kind === "cable" ? limit.gbps : null;
    return gbps !== null && (!least || gbps < least.gbps) ? { limit, gbps } : least;
  }, null);
  if (!narrowest) return { picture: wished, loss: null };
  const fit = whetherFits(wished, narrowest.gbps);
  if (fit === "fits") return { picture: wished, loss: null };
  const need = tmdsRate(wished);
  if (fit === "tight") return { picture: wished, loss: { code: "picture-tight", need, have: narrowest.gbps, unit: "Gb/s" } };
  const picture = ladder(wished).find((step) => whetherFits(step, narrowest.gbps) !== "no") ?? wished;
  return { picture, loss: { code: "picture-rate", at: narrowest.limit, need, have: narrowest.gbps, unit: "Gb/s" } };
}

/** What a source tries in turn: less chroma at the same mode, less depth, then a lower mode. 4:2:0 exists at 50 and 60 Hz from 2160 lines up. Source: HDMI 2.0 §7.1. */
function ladder(wished: Picture): readonly Picture[] {
  const steps = (mode: PictureMode): Picture[] => {
    const { height, refreshHz } = timingFact(mode);
    const isThinnable = height > 1080 && refreshHz >= 50 && refreshHz <= 60;
    const base = { ...wished, mode, lines: Math.min(wished.lines, height) };
    const plain = { ...base, depth: 8, chroma: "444" } as const;
    const deep =
      wished.depth === 8
        ? []
        : ([{ ...base, depth: 12, chroma: "422" }, ...(isThinnable ? [{ ...base, depth: 10, chroma: "420" } as const] : [])] as const);
    const thin = isThinnable ? [{ ...base, depth: 8, chroma: "420" } as const] : [];
    return [base, ...deep, plain, ...thin];
  };
  return [wished.mode, ...lowerModes(wished.mode)].flatMap(steps);
}

/** HDR and the gaming features pass only where every hop and the screen have them. */
function settleHdr(
  picture: Picture,
  wish: PictureWish,
  limits: readonly PictureLimit[],
  display: NonNullable<Device["display"]>,
  screen: string,
): { picture: Picture; losses: readonly PictureLoss[] } {
  const losses: PictureLoss[] = [];
  const stoppers = [
    ...limits.flatMap((limit) =>
      (limit.kind === "route" && limit.hdr) || limit.kind === "other-screen" ? [{ device: limit.device, hdr: limit.hdr ?? [] }] : [],
    ),
    { device: screen, hdr: display.hdr as readonly Picture["hdr"][] },
  ].filter(({ hdr }) => wish.hdr !== "sdr" && !hdr.includes(wish.hdr));
  for (const { device } of stoppers) losses.push({ code: "picture-hdr", device, need: wish.hdr });
  // A dynamic format that is not shared all the way leaves HDR10, which every such master carries beneath it.
  const isDynamic = wish.hdr === "dolby-vision" || wish.hdr === "hdr10-plus";
  const passesHdr10 =
    display.hdr.includes("hdr10") &&
    limits.every((limit) => (limit.kind !== "route" && limit.kind !== "other-screen") || limit.hdr === null || limit.hdr.includes("hdr10"));
  const base = stoppers.length === 0 ? wish.hdr : isDynamic && passesHdr10 ? "hdr10" : "sdr";
  // 8 bit and protected 1080p fall-backs are sent as SDR.
  const keeps = picture.depth >= 10 && timingFact(picture.mode).height >= timingFact(wish.mode).height;
  const gamingStops = [
    ...limits.flatMap((limit) => (limit.kind === "route" && !limit.gaming ? [limit.device] : [])),
    ...(display.gaming ? [] : [screen]),
  ];
  if (wish.gaming && gamingStops[0]) losses.push({ code: "picture-gaming", device: gamingStops[0] });
  return { picture: { ...picture, hdr: keeps ? base : "sdr", gaming: wish.gaming && gamingStops.length === 0 }, losses };
}
