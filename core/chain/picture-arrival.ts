import { HDR_FORMATS, type Content, type Device, type PictureWish } from "@/core/device";
import {
  isSameForm,
  settlePicture,
  type Picture,
  type PictureLimit,
  type PictureLoss,
  type PlayerManners,
  type SettledPicture,
} from "@/core/picture";
import { addDelays, milliseconds, type Milliseconds } from "@/core/units";
import { unknownSetting, type PictureWay } from "./picture-way";
import type { Rig } from "./rig";

/** The picture of a content on a screen that it reaches. */
export interface PictureArrival {
  readonly picture: Picture | null;
  readonly losses: readonly PictureLoss[];
  readonly delayMs: Milliseconds | null;
}

/**
 * A box shows the player the list of another screen: what that one can show is sent, whether or not this one can. A form that it cannot
 * show, or that its way does not carry, stays black here.
 */
function settleUnheard(
  wish: PictureWish,
  { limits, unheardFrom, screen }: PictureWay,
  display: NonNullable<Device["display"]>,
  manners: PlayerManners,
): SettledPicture {
  const anything = { ...display, maxMode: wish.mode, hdr: [...HDR_FORMATS], gaming: true };
  const sent = settlePicture(wish, limits.slice(0, unheardFrom ?? 0), anything, screen.id, manners);
  if (!sent.picture) return sent;
  const form = { ...wish, ...sent.picture, protected: wish.protected };
  const shown = settlePicture(form, limits.slice(unheardFrom ?? 0), display, screen.id);
  const isShown = shown.picture !== null && isSameForm(shown.picture, sent.picture);
  return { picture: isShown ? shown.picture : null, losses: [...sent.losses, ...shown.losses] };
}

/** How late a screen shows a picture, by its picture mode; without one, or where it follows the content, games in the game mode. */
function ownDelay(rig: Rig, screen: Device, display: NonNullable<Device["display"]>, content: Content): number | null {
  const mode = rig.setting(screen, "picture-mode");
  if (mode === null) return null;
  if (mode === "game" || (content.kind === "game" && (mode === undefined || mode === "auto"))) return display.gameDelayMs;
  return mode === "film" ? (display.filmDelayMs ?? display.delayMs) : display.delayMs;
}

/** What a picture becomes on its way, and when it shows. */
export function pictureArrival(rig: Rig, player: Device, way: PictureWay, content: Content): PictureArrival {
  const { display } = way.screen;
  const own = display && ownDelay(rig, way.screen, display, content);
  const delayMs = way.delayMs === null || own === null || own === undefined ? null : addDelays(way.delayMs, milliseconds(own));
  if (!content.picture) return { picture: null, losses: [], delayMs };
  if (!display) return { picture: null, losses: [{ code: "picture-no-display", device: way.screen.id }], delayMs };
  if (way.shut.length) return { picture: null, losses: way.shut, delayMs: null };
  const wish = content.picture;
  const set = {
    hdr: rig.setting(player, "hdr"),
    format: rig.setting(player, "video-format"),
    limits: way.limits,
  };
  const settle = (as: typeof set) => settleAs(wish, { ...way, limits: as.limits }, display, player, as);
  const settled = settle(set);
  const isOff = wish.hdr !== "sdr" && set.hdr === "off";
  const isElse = (as: Partial<typeof set>) => JSON.stringify(settle({ ...set, ...as }).picture) !== JSON.stringify(settled.picture);
  const unsure: readonly PictureLoss[] = [
    ...(set.hdr === null && isElse({ hdr: "off" }) ? [unknownSetting(player.id, "hdr")] : []),
    ...(set.format === null && isElse({ format: "forced" }) ? [unknownSetting(player.id, "video-format")] : []),
    ...modesNotKnown(way.limits)
      .filter((device) => isElse({ limits: inStandardMode(way.limits, device) }))
      .map((device) => unknownSetting(device, "signal-format")),
  ];
  return {
    picture: settled.picture,
    losses: [
      ...(isOff ? [{ code: "picture-hdr-off", device: player.id, need: wish.hdr } as const] : []),
      ...settled.losses,
      ...way.doubts,
      ...unsure,
    ],
    delayMs,
  };
}

/** What a player sends with its menus set like this, and what becomes of it. */
function settleAs(
  wish: PictureWish,
  way: PictureWay,
  display: NonNullable<Device["display"]>,
  player: Device,
  set: { readonly hdr: string | null | undefined; readonly format: string | null | undefined },
): SettledPicture {
  const asked = set.hdr === "off" ? { ...wish, hdr: "sdr" as const } : wish;
  const manners = {
    blanks: player.habits.some(({ habit }) => habit === "blanks-without-hdcp"),
    forced: set.format === "forced" ? player.id : null,
  };
  return way.unheardFrom === null
    ? settlePicture(asked, way.limits, display, way.screen.id, manners)
    : settleUnheard(asked, way, display, manners);
}

/** Devices on the way of which nobody knows the picture mode of their sockets. */
const modesNotKnown = (limits: readonly PictureLimit[]): readonly string[] => [
  ...new Set(limits.flatMap((limit) => (limit.kind === "socket" && limit.perhapsGbps !== null ? [limit.device] : []))),
];

const inStandardMode = (limits: readonly PictureLimit[], device: string): readonly PictureLimit[] =>
  limits.map((limit) =>
    limit.kind === "socket" && limit.device === device && limit.perhapsGbps !== null ? { ...limit, gbps: limit.perhapsGbps } : limit,
  );
