import { z } from "zod";
import { CODING_IDS, BED_IDS, CONNECTOR_IDS, PICTURE_MODES, type Connector } from "@/core/facts";
import { Content } from "./content";
import { Device, HDR_FORMATS, ROLES, SoundDescriptor, type DeviceInput, type PortInput } from "./device";

/** What a person tells of a device that no archetype fits: its sockets and what it knows. Everything inside follows from that. */
export const DeviceParts = z.strictObject({
  name: z.string().trim().min(1).max(300),
  role: z.enum(ROLES),
  sockets: z
    .array(
      z.strictObject({
        label: z.string().trim().min(1).max(40),
        connector: z.enum(CONNECTOR_IDS),
        direction: z.enum(["in", "out"]),
        /** HDMI only. */
        returns: z.enum(["none", "arc", "earc"]).nullable().default("none"),
        hdcp: z.enum(["none", "1.4", "2.2", "2.3"]).nullable().default(null),
        maxGbps: z.number().positive().max(48).nullable().default(null),
      }),
    )
    .min(1)
    .max(32),
  /** What it decodes, or for a player what it can send; null: not known. */
  sounds: z.array(SoundDescriptor).max(CODING_IDS.length).nullable(),
  speakers: z.strictObject({ bed: z.enum(BED_IDS), heights: z.number().int().min(0).max(6) }).nullable(),
  display: z.strictObject({ maxMode: z.enum(PICTURE_MODES), hdr: z.array(z.enum(HDR_FORMATS)) }).nullable(),
  contents: z.array(Content).max(24),
});
export type DeviceParts = z.infer<typeof DeviceParts>;

/**
 * A device whose inner ways follow from its role: a player sends its content to every output; a screen shows its inputs and, where it
 * has speakers, plays them; a sound system plays its inputs and hands pictures on; a box hands everything on as it comes.
 * Delays are not known, and said to be so.
 */
export function deviceFromParts(parts: DeviceParts, id: string): Device {
  const ports = parts.sockets.map((socket, index) => portOf(socket, index));
  const ids = (direction: "in" | "out", sound: boolean) =>
    ports.filter((port) => port.direction === direction && (!sound || port.connector !== "composite")).map((port) => port.id);
  const returning = ports.flatMap((port) => (port.connector === "hdmi" && port.returns !== "none" ? [port] : []));
  const base = { id, name: parts.name, role: parts.role, ports, speakers: parts.speakers && { ...parts.speakers, delayMs: null } };
  const decodes = parts.sounds;
  return Device.parse({ ...base, decodes, ...insideOf(parts, ids, returning) } satisfies DeviceInput);
}

type Ids = (direction: "in" | "out", sound: boolean) => string[];

function insideOf(parts: DeviceParts, ids: Ids, returning: readonly { id: string; direction: "in" | "out" }[]): Partial<DeviceInput> {
  const passes = parts.sounds?.filter(({ coding }) => coding !== "lpcm" && coding !== "analogue") ?? null;
  const lpcm = parts.sounds?.find(({ coding }) => coding === "lpcm")?.channels ?? "2.0";
  const picture = (from: readonly string[], to: readonly string[]) =>
    from.length && to.length ? [{ kind: "picture" as const, from: [...from], to: [...to], delayMs: null }] : [];
  const sound = (from: readonly string[], to: readonly string[], rest: object = {}) =>
    from.length && to.length
      ? [{ kind: "sound" as const, from: [...from], to: [...to], passes, lpcm, pcm: lpcm, delayMs: null, ...rest }]
      : [];
  const shows = pictureIds(parts, ids, "in");
  const hands = pictureIds(parts, ids, "out");
  switch (parts.role) {
    case "player":
      return {
        sources: [{ id: "content", name: "its content", kind: "media", contents: parts.contents }],
        routes: [...sound(["content"], ids("out", true)), ...picture(["content"], hands)],
      };
    case "screen":
      return {
        display: parts.display && { ...parts.display, delayMs: null, gameDelayMs: null },
        routes: [
          ...picture(shows, ["display"]),
          ...(parts.speakers ? sound(ids("in", true), ["speakers"]) : []),
          ...returning.flatMap(({ id }) =>
            sound(
              ids("in", true).filter((one) => one !== id),
              [id],
            ),
          ),
          ...sound(ids("in", true), ids("out", true)),
        ],
        presents: [{ rule: "list", ports: shows, sound: parts.sounds, widenedBy: returning[0]?.id ?? null }],
      };
    case "sound":
      return {
        routes: [
          ...sound([...ids("in", true), ...returning.filter(({ direction }) => direction === "out").map(({ id }) => id)], ["speakers"]),
          ...picture(shows, hands),
        ],
        presents: shows.length ? [{ rule: "decoders", ports: shows }] : [],
      };
    case "box":
      return {
        routes: [...sound(ids("in", true), ids("out", true), { blind: true, lpcm: "7.1" }), ...picture(shows, hands)],
        presents: shows.length && hands[0] ? [{ rule: "copy", ports: shows, of: hands[0] }] : [],
      };
  }
}

const CARRIES_PICTURE: ReadonlySet<Connector> = new Set<Connector>(["hdmi", "composite"]);

const pictureIds = (parts: DeviceParts, ids: Ids, direction: "in" | "out"): string[] =>
  ids(direction, false).filter((id) => CARRIES_PICTURE.has(parts.sockets[Number(id.split("-")[1]) - 1]?.connector ?? "optical"));

function portOf(socket: DeviceParts["sockets"][number], index: number): PortInput {
  const shared = { id: `socket-${index + 1}`, label: socket.label, direction: socket.direction };
  if (socket.connector !== "hdmi") return { ...shared, connector: socket.connector };
  return { ...shared, connector: "hdmi", returns: socket.returns, hdcp: socket.hdcp, maxGbps: socket.maxGbps };
}
