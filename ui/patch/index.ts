export { PatchPlace } from "./patch-place";
