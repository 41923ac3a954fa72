import { randomUUID } from "node:crypto";
import { Device } from "@/core/device";
import { breachesOf, emptyJob, readShelfFile, type Breach, type JobTrouble } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { STORED_VERSION } from "@/core/versions";
import type { Database } from "./database";
import { readKept, type DamagedRow } from "./stored";

/** A device of one's own, kept for other jobs. */
export interface OwnDevice {
  readonly id: string;
  readonly device: Device;
}

/** Every device of one's own, by name; those whose row no longer reads stand apart. */
export interface OwnDevices {
  readonly own: readonly OwnDevice[];
  readonly damaged: readonly DamagedRow[];
}

export async function ownDevices(db: Database): Promise<OwnDevices> {
  const rows = await db.models.shelfDevices.findAll({ order: [["name", "ASC"]] });
  const own: OwnDevice[] = [];
  const damaged: DamagedRow[] = [];
  for (const { id, device, version } of rows) {
    const read = readKept("device", Device, { version, text: device });
    if (read.sound) own.push({ id, device: read.value });
    else damaged.push({ id, text: device });
  }
  return { own, damaged };
}

const kept = (device: Device) => ({ device: JSON.stringify(device), version: STORED_VERSION });

/** Keeps a device on the shelf; one whose parts do not hold together is refused with the first breach. */
export async function keepOwnDevice(db: Database, device: Device): Promise<Outcome<OwnDevice, Breach>> {
  const [breach] = breachesOf({ ...emptyJob("shelf"), devices: [device] });
  if (breach) return refused(breach);
  const id = randomUUID();
  await db.transact((transaction) =>
    db.models.shelfDevices.create({ id, name: device.name, ...kept(device), createdAt: new Date().toISOString() }, { transaction }),
  );
  return done({ id, device });
}

/** Keeps every device of a shelf file that is wanted, or none; gives how many. */
export async function importOwnDevices(
  db: Database,
  text: string,
  isWanted: (device: Device) => boolean = () => true,
): Promise<Outcome<number, readonly JobTrouble[]>> {
  const read = readShelfFile(text);
  if (!read.ok) return read;
  const createdAt = new Date().toISOString();
  const rows = read.value.filter(isWanted).map((device) => ({ id: randomUUID(), name: device.name, ...kept(device), createdAt }));
  await db.transact((transaction) => db.models.shelfDevices.bulkCreate(rows, { transaction }));
  return done(rows.length);
}

/** Puts a corrected device in the place of one on the shelf; jobs keep the copy they have. Null where there is none. */
export async function changeOwnDevice(db: Database, id: string, device: Device): Promise<Outcome<OwnDevice, Breach> | null> {
  const [breach] = breachesOf({ ...emptyJob("shelf"), devices: [device] });
  if (breach) return refused(breach);
  const [changed] = await db.transact((transaction) =>
    db.models.shelfDevices.update({ name: device.name, ...kept(device) }, { where: { id }, transaction }),
  );
  return changed > 0 ? done({ id, device }) : null;
}

/** Takes one off the shelf; jobs that use it keep their own copy. False where there is none. */
export async function dropOwnDevice(db: Database, id: string): Promise<boolean> {
  return (await db.transact((transaction) => db.models.shelfDevices.destroy({ where: { id }, transaction }))) > 0;
}
