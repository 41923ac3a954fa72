import type { Device, Port } from "@/core/device";
import { cableAt, findDevice, type Job } from "@/core/job";

/** Sizes of the map, in its own units; the styles of a plate follow them. */
export const PLATE = { width: 216, head: 40, row: 34, gap: 26, lane: 280, wideLane: 318 } as const;

const LANES: readonly Device["role"][] = ["player", "box", "screen", "sound"];

export type Side = "left" | "right";

/** A plate on the map: where it is and on which side each socket has its plug. */
export interface PlacedPlate {
  readonly device: Device;
  readonly x: number;
  readonly y: number;
  readonly height: number;
  readonly sides: ReadonlyMap<string, Side>;
}

/**
 * Plates in lanes by role, each lane from the top in the order of the document, so that what is added stands below and nothing moves;
 * a plate that was dragged stands where it was put. The same job always looks the same.
 */
export function placePlates(job: Job): readonly PlacedPlate[] {
  const used = LANES.filter((role) => job.devices.some((device) => device.role === role));
  const lanes = used.map((role) => job.devices.filter((device) => device.role === role));
  // Three lanes have room for wide cords between them, four just fit the page.
  const step = used.length > 3 ? PLATE.lane : PLATE.wideLane;
  const heightOf = (device: Device) => PLATE.head + device.ports.length * PLATE.row + 8;
  const put = new Map(job.arrangement.map(({ device, x, y }) => [device, { x, y }]));
  return lanes.flatMap((devices, lane) => {
    let y = 0;
    return devices.map((device) => {
      const height = heightOf(device);
      const placed = {
        device,
        ...(put.get(device.id) ?? { x: lane * step, y }),
        height,
        sides: new Map(device.ports.map((port) => [port.id, sideOf(job, device, port)])),
      };
      y += height + PLATE.gap;
      return placed;
    });
  });
}

/**
 * The height at which a cable passes a lane that is between its ends, so that it is not hidden behind a plate there:
 * above or below all plates there, whichever is nearer. Null where nothing is in its way.
 */
export function passingHeight(plates: readonly PlacedPlate[], fromDevice: string, toDevice: string): number | null {
  const [from, to] = [fromDevice, toDevice].map((id) => plates.find(({ device }) => device.id === id));
  if (!from || !to) return null;
  const [left, right] = [Math.min(from.x, to.x), Math.max(from.x, to.x)];
  const [upper, lower] = [Math.min(from.y, to.y), Math.max(from.y + from.height, to.y + to.height)];
  const between = plates.filter(({ x }) => x >= left + PLATE.width && x + PLATE.width <= right);
  // Only a plate at the height of the run is in its way.
  if (!between.some(({ y, height }) => y < lower && y + height > upper)) return null;
  const top = Math.min(...between.map(({ y }) => y)) - PLATE.gap;
  const bottom = Math.max(...between.map(({ y, height }) => y + height)) + PLATE.gap;
  const middle = (from.y + from.height / 2 + to.y + to.height / 2) / 2;
  return middle - top < bottom - middle ? top : bottom;
}

/** Room between two cables that pass the same plates, eight strings of one included. */
const PASSING_GAP = 40;

/** The height at which each cable passes what is in its way, those that pass the same plates beside each other. Cables with a free way are not in it. */
export function passingHeights(plates: readonly PlacedPlate[], cables: Job["cables"]): ReadonlyMap<string, number> {
  const used = new Map<number, number>();
  return new Map(
    cables.flatMap(({ id, from, to }): [string, number][] => {
      const height = passingHeight(plates, from.device, to.device);
      if (height === null) return [];
      const count = used.get(height) ?? 0;
      used.set(height, count + 1);
      const isAbove = plates.every(({ y }) => height <= y);
      return [[id, height + (isAbove ? -1 : 1) * count * PASSING_GAP]];
    }),
  );
}

/** A plug sits on the side its cable goes to; a free socket faces where its cable would usually come from. */
function sideOf(job: Job, device: Device, port: Port): Side {
  if (device.role === "player") return "right";
  if (device.role === "sound") return "left";
  const cable = cableAt(job, { device: device.id, port: port.id });
  if (!cable) return port.direction === "out" || (port.connector === "hdmi" && port.returns !== "none") ? "right" : "left";
  const other = findDevice(job, cable.from.device === device.id ? cable.to.device : cable.from.device);
  if (!other || other.role === device.role) return port.direction === "out" ? "right" : "left";
  return LANES.indexOf(other.role) > LANES.indexOf(device.role) ? "right" : "left";
}
