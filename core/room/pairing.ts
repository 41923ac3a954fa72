import type { Device } from "@/core/device";
import { unitsOf } from "@/core/device";
import type { RoomScene, RoomUnit } from "./units-in-room";
import { spotDistance } from "./vector";

/** One step of joining wireless units, in the order that keeps what was done before. */
export type PairingStep =
  /** An update may forget pairings, so it comes first. */
  | { readonly act: "firmware"; readonly device: string }
  | { readonly act: "fit-module"; readonly device: string }
  | { readonly act: "charge"; readonly device: string; readonly unit: string; readonly hours: number }
  | { readonly act: "pairing-mode"; readonly device: string }
  /** One at a time, and its place chosen before the next is switched on. */
  | { readonly act: "pair"; readonly device: string; readonly unit: string }
  /** It joins by itself once it has power: wait for its lamp. */
  | { readonly act: "joins-by-itself"; readonly device: string; readonly unit: string }
  | { readonly act: "confirm"; readonly device: string };

/** The steps for one sound system; none where nothing of it is wireless. */
export function pairingSteps(device: Device): readonly PairingStep[] {
  const units = unitsOf(device);
  const air = units.flatMap((unit) => (unit.feed.feed === "wireless" ? [{ ...unit, pairs: unit.feed.pairs }] : []));
  if (!air.length) return [];
  const byHand = air.filter(({ pairs }) => pairs === "by-hand");
  const needsModule = device.settings.some(({ key }) => key === "module");
  return [
    { act: "firmware", device: device.id },
    ...(needsModule ? [{ act: "fit-module", device: device.id } as const] : []),
    ...units.flatMap(({ id, battery }): PairingStep[] =>
      battery ? [{ act: "charge", device: device.id, unit: id, hours: battery.chargeHours }] : [],
    ),
    ...air.flatMap(({ id, pairs }): PairingStep[] =>
      pairs === "by-itself" ? [{ act: "joins-by-itself", device: device.id, unit: id }] : [],
    ),
    ...(byHand.length ? [{ act: "pairing-mode", device: device.id } as const] : []),
    ...byHand.map(({ id }): PairingStep => ({ act: "pair", device: device.id, unit: id })),
    ...(byHand.length ? [{ act: "confirm", device: device.id } as const] : []),
  ];
}

/** Whether a charge lasts as long as the household listens. */
export interface ChargePlan {
  readonly one: RoomUnit;
  readonly hours: number;
  readonly chargeHours: number;
  /** Days of listening from one charge; null: nobody said how long they listen. */
  readonly days: number | null;
}

/** Every unit with a battery. */
export const chargePlans = ({ units, space }: RoomScene): readonly ChargePlan[] =>
  units.flatMap((one) =>
    one.unit.battery
      ? [{ one, ...one.unit.battery, days: space.hoursPerDay === null ? null : one.unit.battery.hours / space.hoursPerDay }]
      : [],
  );

/** Leads that come with a unit and do not reach, and wireless units out of range of their hub. */
export interface ReachFault {
  readonly one: RoomUnit;
  readonly by: "lead" | "wireless";
  readonly needM: number;
  readonly haveM: number;
}

/** Along the floor and down, as a lead lies: |dx| + |dy| + |dz|. */
export function leadNeed(from: RoomUnit["placement"], to: RoomUnit["placement"]): number | null {
  if (!from || !to) return null;
  return Math.abs(from.at.x - to.at.x) + Math.abs(from.at.y - to.at.y) + Math.abs(from.heightM - to.heightM);
}

export function reachFaults({ units }: RoomScene): readonly ReachFault[] {
  return units.flatMap((one): ReachFault[] => {
    const { feed } = one.unit;
    if (feed.feed === "lead") {
      const feeder = units.find(({ device, unit }) => device === one.device && unit.id === feed.from);
      const needM = leadNeed(feeder?.placement ?? null, one.placement);
      return needM !== null && needM > feed.lengthM + 1e-9 ? [{ one, by: "lead", needM, haveM: feed.lengthM }] : [];
    }
    if (feed.feed === "wireless" && feed.rangeM !== null) {
      const hub = units.find(({ device, unit }) => device === one.device && unit.feed.feed === "own");
      if (!hub?.placement || !one.placement) return [];
      const needM = spotDistance(hub.placement.at, one.placement.at);
      return needM > feed.rangeM ? [{ one, by: "wireless", needM, haveM: feed.rangeM }] : [];
    }
    return [];
  });
}
