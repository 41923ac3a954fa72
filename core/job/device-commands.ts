import { z } from "zod";
import { BED_IDS, SETTING_KEYS } from "@/core/facts";
import { BluetoothPort, Content, Device, HdmiPort, Slug, Source } from "@/core/device";
import { at } from "./command-place";

/** What can be corrected of a device once its class is chosen; sockets, settings and contents have edits of their own. */
const deviceFields = z.strictObject({
  maker: Device.shape.maker.unwrap(),
  state: Device.shape.state.unwrap(),
  note: Device.shape.note.unwrap(),
  decodes: Device.shape.decodes.unwrap(),
  display: Device.shape.display.unwrap(),
  routes: Device.shape.routes.unwrap(),
  presents: Device.shape.presents.unwrap(),
  speaksCec: Device.shape.speaksCec.unwrap(),
  control: Device.shape.control.unwrap(),
  habits: Device.shape.habits.unwrap(),
  displayWords: Device.shape.displayWords.unwrap(),
  volume: Device.shape.volume.unwrap(),
  units: Device.shape.units.unwrap(),
  dials: Device.shape.dials.unwrap(),
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
  dead: HdmiPort.shape.dead.unwrap(),
  lowDelay: z.boolean().nullable(),
  delayMs: BluetoothPort.shape.delayMs.unwrap(),
});

/** Edits of the devices of a job. */
export const DeviceCommand = z.discriminatedUnion("kind", [
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
]);
export type DeviceCommand = z.infer<typeof DeviceCommand>;
