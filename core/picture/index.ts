export { activeRate, frlPayload, linkNeed, whetherFits, type LinkNeed } from "./link-need";
export { tmdsRate, type Chroma, type Depth, type Picture } from "./picture";
export type { PictureLimit, PictureLoss } from "./picture-limit";
export { isSameForm, settlePicture, type PlayerManners, type SettledPicture } from "./settle-picture";
