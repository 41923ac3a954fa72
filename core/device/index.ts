export type { Archetype } from "./archetype";
export { Content, type PictureWish, type Track } from "./content";
export { CONTENT_CATALOGUE, findContent } from "./content-catalogue";
export { Control, INFRARED, MOST_WAKE_MS, QUIRKS, QUIRKS_OF, type Infrared, type Quirk } from "./control";
export {
  BluetoothPort,
  Decoder,
  Device,
  HDR_FORMATS,
  HdmiPort,
  Port,
  ROLES,
  Source,
  SUPPLIES,
  VOLUMES,
  type Condition,
  type Habit,
  type PictureRoute,
  type PortInput,
  type Presents,
  type Setting,
  type SoundDescriptor,
  SoundRoute,
  type Supply,
} from "./device";
export {
  CABLE_STATES,
  DEVICE_STATES,
  UNIT_STATES,
  asDeviceStands,
  toneOf,
  type CableState,
  type DeviceState,
  type ToneHeard,
  type UnitState,
} from "./device-state";
export { deviceFromParts, DeviceParts } from "./device-from-parts";
export { differencesFromArchetype, type Difference } from "./differences";
export { effectiveSetting, failsBySettings, type SettingState } from "./effective-setting";
export { PASS_SETTING, passesAsleep } from "./standby-pass";
export { hearsVolumeByInfrared } from "./infrared";
export { obeysVolumeKeys, volumeKeyTaker, type VolumeKeyTaker } from "./volume-keys";
export { findArchetype, fromShelfOrThrow, SHELF } from "./shelf";
export { expandDevice } from "./expand-device";
export { isProtected, plainerSockets } from "./plainer-sockets";
export { hasReturn, isTurning, mayReturn, mayTakeReturn } from "./return-sockets";
export { withMoreSockets } from "./more-sockets";
export { Dials, LevelDial, TimeDial } from "./dials";
export { unitsOf } from "./units-of";
export { busKind, joinsControlAt } from "./on-the-bus";
export { Slug } from "./slug";
export { SpeakerUnit, UNIT_SIDES, type SpeakerDriver, type SpeakerUnitInput, type UnitFeed } from "./unit";
export { socketLikeness } from "./socket-likeness";
