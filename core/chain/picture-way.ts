import { cableClassFact, type SettingKey } from "@/core/facts";
import type { Device, PictureRoute } from "@/core/device";
import type { Cable, CableEnd } from "@/core/job";
import type { PictureLimit, PictureLoss } from "@/core/picture";
import { addDelays, milliseconds, type Milliseconds } from "@/core/units";
import { isBackwards } from "./backwards";
import { gateOf, type Gate } from "./conditions";
import type { Rig } from "./rig";
import { MOST_VISITS } from "./way";

/** A way of the picture from a source to one screen. */
export interface PictureWay {
  readonly screen: Device;
  readonly limits: readonly PictureLimit[];
  readonly cables: readonly Cable[];
  /** For each device passed, the output it leaves by. */
  readonly outputs: ReadonlyMap<string, string>;
  /** What shuts it; empty when it is open. */
  readonly shut: readonly PictureLoss[];
  /** From this of the limits on, the player does not hear of them: a box shows it another screen's list; null: it hears of all. */
  readonly unheardFrom: number | null;
  /** What nobody knows that could shut it. */
  readonly doubts: readonly PictureLoss[];
  /** What the ways through it add before the screen's own delay; null where nobody knows. */
  readonly delayMs: Milliseconds | null;
}

/** Every screen that the picture of a source reaches through cables and picture routes, each once, the nearest first. */
export const pictureWays = (rig: Rig, device: Device, source: string): readonly PictureWay[] =>
  rig.recall(`pictures ${device.id} ${source}`, () => findPictureWays(rig, device, source), []);

function findPictureWays(rig: Rig, device: Device, source: string): readonly PictureWay[] {
  const found = new Map<string, PictureWay>();
  let visits = 0;
  const visit = (here: Device, from: string, trail: Omit<PictureWay, "screen">, seen: ReadonlySet<string>) => {
    if (visits >= MOST_VISITS) return;
    visits += 1;
    for (const route of here.routes) {
      if (route.kind !== "picture" || !route.from.includes(from)) continue;
      const after = { ...trail, ...throughRoute(rig, here, route, trail) };
      if (route.to.includes("display")) {
        const known = found.get(here.id);
        if (!known || (known.shut.length > 0 && after.shut.length === 0)) found.set(here.id, { ...after, screen: here });
        continue;
      }
      for (const to of route.to) {
        const cable = rig.cableAt({ device: here.id, port: to });
        const next = cable?.from.device === here.id ? rig.device(cable.to.device) : undefined;
        if (!cable || !next || seen.has(next.id)) continue;
        // The player hears of the screens at these other outputs.
        const heard = route.copies === null ? route.to : [route.copies];
        const siblings = route.scaler ? [] : heard.filter((port) => port !== to).flatMap((port) => branchLimits(rig, here, port, seen));
        const upTo = [...after.limits, ...siblings];
        const isUnheard = !route.scaler && route.copies !== null && route.copies !== to;
        visit(
          next,
          cable.to.port,
          {
            ...after,
            limits: [...upTo, ...alongCable(rig, cable)],
            unheardFrom: after.unheardFrom ?? (isUnheard ? upTo.length : null),
            shut: [...after.shut, ...(isBackwards(cable) ? [{ code: "picture-backwards", cable: cable.id } as const] : [])],
            cables: [...after.cables, cable],
            outputs: new Map([...after.outputs, [here.id, to]]),
          },
          new Set([...seen, next.id]),
        );
      }
    }
  };
  visit(
    device,
    source,
    { limits: [], cables: [], outputs: new Map(), shut: [], doubts: [], unheardFrom: null, delayMs: milliseconds(0) },
    new Set([device.id]),
  );
  return [...found.values()].sort((a, b) => a.cables.length - b.cables.length);
}

function throughRoute(
  rig: Rig,
  device: Device,
  route: PictureRoute,
  trail: Omit<PictureWay, "screen">,
): Pick<PictureWay, "limits" | "shut" | "doubts" | "delayMs"> {
  const gate = gateOf(rig, device, route.opens);
  const own: PictureLimit[] = [
    ...(route.hdr || !route.gaming ? [{ kind: "route", device: device.id, hdr: route.hdr, gaming: route.gaming } as const] : []),
    ...(route.makes ? [{ kind: "converter", device: device.id, makes: route.makes } as const] : []),
  ];
  return {
    limits: [...trail.limits, ...own],
    shut: [...trail.shut, ...shutBy(device, gate)],
    doubts: [...trail.doubts, ...doubtsOf(gate)],
    delayMs: trail.delayMs === null || route.delayMs === null ? null : addDelays(trail.delayMs, milliseconds(route.delayMs)),
  };
}

function shutBy(device: Device, { reason }: Gate): readonly PictureLoss[] {
  if (reason === null) return [];
  if (reason.code === "plug-mutes") return [{ code: "picture-plug", device: reason.device, port: reason.port }];
  return reason.code === "setting-shuts"
    ? [{ code: "picture-shut", device: device.id, setting: reason.setting, value: reason.value }]
    : [{ code: "picture-no-way", device: device.id }];
}

export const unknownSetting = (device: string, setting: SettingKey): PictureLoss => ({ code: "picture-setting-unknown", device, setting });

const doubtsOf = ({ reason, fact }: Gate): readonly PictureLoss[] =>
  reason === null && fact?.fact === "setting" ? [unknownSetting(fact.device, fact.setting)] : [];

/** Where the picture of a source comes to an end when it reaches no screen: the last device it gets to. */
export function furthestSeen(rig: Rig, device: Device, source: string): string {
  let furthest = { device: device.id, depth: 0 };
  const visit = (here: Device, from: string, depth: number, seen: ReadonlySet<string>) => {
    if (depth > furthest.depth) furthest = { device: here.id, depth };
    for (const route of here.routes) {
      if (route.kind !== "picture" || !route.from.includes(from)) continue;
      for (const to of route.to) {
        const cable = rig.cableAt({ device: here.id, port: to });
        const next = cable?.from.device === here.id ? rig.device(cable.to.device) : undefined;
        if (cable && next && !seen.has(next.id)) visit(next, cable.to.port, depth + 1, new Set([...seen, next.id]));
      }
    }
  };
  visit(device, source, 0, new Set([device.id]));
  return furthest.device;
}

/** What the other screens behind a splitter without scaler impose on all. */
function branchLimits(rig: Rig, device: Device, port: string, seen: ReadonlySet<string>): readonly PictureLimit[] {
  const cable = rig.cableAt({ device: device.id, port });
  const next = cable?.from.device === device.id ? rig.device(cable.to.device) : undefined;
  if (!cable || !next || seen.has(next.id)) return [];
  const deeper = new Set([...seen, next.id]);
  const behind = next.routes.flatMap((route): readonly PictureLimit[] => {
    if (route.kind !== "picture" || !route.from.includes(cable.to.port)) return [];
    if (route.to.includes("display"))
      return next.display ? [{ kind: "other-screen", device: next.id, maxMode: next.display.maxMode, hdr: next.display.hdr }] : [];
    return route.to.flatMap((to) => branchLimits(rig, next, to, deeper));
  });
  return [...alongCable(rig, cable), ...behind];
}

/** What the two sockets of a cable and the cable itself can do. */
function alongCable(rig: Rig, cable: Cable): readonly PictureLimit[] {
  const { pictureGbps, passive, certainM } = cableClassFact(cable.class);
  return [
    ...socketLimit(rig, cable.from),
    ...(pictureGbps === null
      ? []
      : [{ kind: "cable", cable: cable.id, gbps: pictureGbps, lengthM: cable.lengthM, passive, certainM } as const]),
    ...socketLimit(rig, cable.to),
  ];
}

function socketLimit(rig: Rig, end: CableEnd): PictureLimit[] {
  const port = rig.port(end);
  const device = rig.device(end.device);
  if (port?.connector !== "hdmi" || !device) return [];
  const mode = port.standardGbps === null ? undefined : rig.setting(device, "signal-format");
  const standard = mode === "standard";
  const perhapsGbps = mode === null ? port.standardGbps : null;
  return [{ kind: "socket", ...end, gbps: standard ? port.standardGbps : port.maxGbps, hdcp: port.hdcp, standard, perhapsGbps }];
}
