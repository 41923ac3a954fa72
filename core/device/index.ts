export type { Archetype } from "./archetype";
export { Content, type PictureWish, type Track } from "./content";
export { CONTENT_CATALOGUE, findContent } from "./content-catalogue";
export {
  Device,
  ROLES,
  Slug,
  type HdmiPort,
  type PictureRoute,
  type Port,
  type Presents,
  type Setting,
  type SoundDescriptor,
  type SoundRoute,
  type Source,
} from "./device";
export { effectiveSetting, type SettingState } from "./effective-setting";
export { findArchetype, fromShelfOrThrow, SHELF } from "./shelf";
export { expandDevice } from "./expand-device";
