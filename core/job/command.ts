import { z } from "zod";
import { BED_IDS, SETTING_KEYS } from "@/core/facts";
import { BluetoothPort, Content, Device, HdmiPort, Slug, Source } from "@/core/device";
import { Attachment } from "./attachment";
import { Brief } from "./brief";
import { Cable, Job, Snapshot } from "./job";

const at = z.number().int().min(0).nullable().default(null);
// Without the document's defaults: a field that an edit does not name must stay as it is.
const jobFields = z.strictObject({
  name: Job.shape.name,
  customer: Job.shape.customer.unwrap(),
  visitOn: Job.shape.visitOn.unwrap(),
  phase: Job.shape.phase.unwrap(),
  brief: Brief,
});
const cableFields = z.strictObject({
  class: Cable.shape.class,
  lengthM: Cable.shape.lengthM,
  direction: Cable.shape.direction.unwrap(),
  backwards: Cable.shape.backwards.unwrap(),
  returnWires: Cable.shape.returnWires,
  controlWire: Cable.shape.controlWire.unwrap(),
  label: Cable.shape.label.unwrap(),
  tags: Cable.shape.tags.unwrap(),
  supply: Cable.shape.supply.unwrap(),
});
const briefFields = z.strictObject({
  soundSystem: Brief.shape.soundSystem.unwrap(),
  wishes: Brief.shape.wishes.unwrap(),
  household: Brief.shape.household.unwrap(),
  remotes: Brief.shape.remotes.unwrap(),
  newsFrom: Brief.shape.newsFrom.unwrap(),
  screensAtOnce: Brief.shape.screensAtOnce.unwrap(),
  surround: Brief.shape.surround.unwrap(),
  clearSpeech: Brief.shape.clearSpeech.unwrap(),
  budget: Brief.shape.budget.unwrap(),
  mayBuy: Brief.shape.mayBuy.unwrap(),
  mustStay: Brief.shape.mustStay.unwrap(),
  runs: Brief.shape.runs.unwrap(),
  weighing: Brief.shape.weighing.unwrap(),
  bonds: Brief.shape.bonds.unwrap(),
  musts: Brief.shape.musts.unwrap(),
  hopes: Brief.shape.hopes.unwrap(),
});
/** What can be corrected of a device once its class is chosen; sockets, settings and contents have edits of their own. */
const deviceFields = z.strictObject({
  maker: Device.shape.maker.unwrap(),
  note: Device.shape.note.unwrap(),
  decodes: Device.shape.decodes.unwrap(),
  display: Device.shape.display.unwrap(),
  routes: Device.shape.routes.unwrap(),
  presents: Device.shape.presents.unwrap(),
  speaksCec: Device.shape.speaksCec.unwrap(),
  control: Device.shape.control.unwrap(),
  habits: Device.shape.habits.unwrap(),
  volume: Device.shape.volume.unwrap(),
  heardFrom: Device.shape.heardFrom.unwrap(),
  room: Device.shape.room.unwrap(),
  supply: Device.shape.supply.unwrap(),
  edid: Device.shape.edid.unwrap(),
});
/** What can be corrected of a socket; which of them it has depends on its kind. */
const portFields = z.strictObject({
  label: z.string().trim().min(1).max(40),
  maxGbps: HdmiPort.shape.maxGbps,
  hdcp: HdmiPort.shape.hdcp,
  returns: HdmiPort.shape.returns,
  lowDelay: z.boolean().nullable(),
  delayMs: BluetoothPort.shape.delayMs.unwrap(),
});

/** The edits that stand alone. */
export const SingleCommand = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("edit-job"), fields: jobFields.partial() }),
  z.strictObject({ kind: z.literal("edit-brief"), fields: briefFields.partial() }),
  z.strictObject({ kind: z.literal("set-rooms"), rooms: Job.shape.rooms.unwrap() }),
  z.strictObject({ kind: z.literal("add-device"), device: Device, at }),
  z.strictObject({ kind: z.literal("remove-device"), device: Slug }),
  z.strictObject({ kind: z.literal("rename-device"), device: Slug, name: z.string() }),
  z.strictObject({ kind: z.literal("edit-device"), device: Slug, fields: deviceFields.partial() }),
  z.strictObject({ kind: z.literal("edit-port"), device: Slug, port: Slug, fields: portFields.partial() }),
  z.strictObject({
    kind: z.literal("set-setting"),
    device: Slug,
    setting: z.enum(SETTING_KEYS),
    state: z.enum(["found", "planned", "left"]),
    value: z.string().nullable(),
  }),
  z.strictObject({ kind: z.literal("set-speakers"), device: Slug, bed: z.enum(BED_IDS), heights: z.number() }),
  z.strictObject({ kind: z.literal("set-contents"), device: Slug, source: Slug, contents: z.array(Content) }),
  z.strictObject({
    kind: z.literal("edit-source"),
    device: Slug,
    source: Slug,
    fields: z.strictObject({ name: Source.shape.name, failsOver: Source.shape.failsOver.unwrap() }).partial(),
  }),
  z.strictObject({ kind: z.literal("plug"), cable: Cable, at }),
  z.strictObject({ kind: z.literal("unplug"), cable: Slug }),
  z.strictObject({ kind: z.literal("edit-cable"), cable: Slug, fields: cableFields.partial() }),
  z.strictObject({ kind: z.literal("arrange"), device: Slug, to: z.strictObject({ x: z.number(), y: z.number() }).nullable() }),
  z.strictObject({ kind: z.literal("keep-snapshot"), snapshot: Snapshot, at }),
  z.strictObject({ kind: z.literal("drop-snapshot"), snapshot: Slug }),
  z.strictObject({ kind: z.literal("attach"), attachment: Attachment, at }),
  z.strictObject({ kind: z.literal("detach"), attachment: z.uuid() }),
]);
export type SingleCommand = z.infer<typeof SingleCommand>;

/** An edit of a job as data. A batch is done completely or not at all, and undone as one. */
export const Command = z.discriminatedUnion("kind", [
  ...SingleCommand.options,
  z.strictObject({ kind: z.literal("batch"), commands: z.array(SingleCommand).max(1000) }),
]);
export type Command = z.infer<typeof Command>;

/** The single commands that a command is made of. */
export const stepsOf = (command: Command): readonly SingleCommand[] => (command.kind === "batch" ? command.commands : [command]);
