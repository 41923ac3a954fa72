import type { FaultKind, SettingKey } from "@/core/facts";
import type { Command } from "@/core/job";
import { stepId, type CableSide, type Cure } from "./step";

/** Where a fault is: what a person would point at. */
export interface FaultPlace {
  readonly device?: string;
  readonly cable?: string;
  readonly side?: CableSide;
  readonly port?: string;
  readonly setting?: SettingKey;
  /** The value that the setting has, or the socket that the plug is in. */
  readonly value?: string;
  readonly unit?: string;
  readonly row?: string;
}

/** Something that may be wrong in a room: a pure change of it, and what mends it. */
export interface Fault {
  /** Stable from one look at a job to the next: its kind and its place. */
  readonly id: string;
  readonly kind: FaultKind;
  readonly at: FaultPlace;
  /** The edit that makes it in a room that is as planned; null: it is the room as recorded, or nothing that the model knows. */
  readonly plant: Command | null;
  /** What mends it, the cheapest for a person to try first. */
  readonly cures: readonly Cure[];
  /** How many times likelier than elsewhere it is here, by a known habit of a device; left out: once. */
  readonly likelier?: number;
}

/** A fault as `plant` would make it, before it is known whether this job can have it. */
export const fault = (kind: FaultKind, at: FaultPlace, plant: Command, cures: readonly Cure[]): Fault => ({
  id: faultId(kind, at),
  kind,
  at,
  plant,
  cures,
});

/** Whether a cure, by its id, puts a fault right. */
export const isMendedBy = ({ cures }: Fault, cure: string): boolean => cures.some((one) => stepId(one) === cure);

/** For instance `half-in:c1/from`, `unknown`, `return-off:tv/earc=off`, `dead-device:box`. */
export function faultId(kind: FaultKind, { device, cable, side, port, setting, value, unit, row }: FaultPlace): string {
  const place = [cable, side, device, port, setting, unit, row].filter((part) => part !== undefined).join("/");
  return place ? `${kind}:${place}${value === undefined ? "" : `=${value}`}` : kind;
}
