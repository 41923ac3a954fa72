export { folded } from "./folded";
export { makeFinder, type Findable } from "./find-rows";
