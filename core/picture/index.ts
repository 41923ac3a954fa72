export { tmdsRate, type Picture } from "./picture";
export { settlePicture, type PictureLimit, type PictureLoss } from "./settle-picture";
