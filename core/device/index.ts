export type { Archetype } from "./archetype";
export { Content, type PictureWish, type Track } from "./content";
export { CONTENT_CATALOGUE, findContent } from "./content-catalogue";
export {
  Device,
  HDR_FORMATS,
  ROLES,
  Slug,
  type Condition,
  type Habit,
  type HdmiPort,
  type PictureRoute,
  type Port,
  type PortInput,
  type Presents,
  type Setting,
  type SoundDescriptor,
  type SoundRoute,
  type Source,
} from "./device";
export { deviceFromParts, DeviceParts } from "./device-from-parts";
export { effectiveSetting, type SettingState } from "./effective-setting";
export { findArchetype, fromShelfOrThrow, SHELF } from "./shelf";
export { expandDevice } from "./expand-device";
