export { makeFinder, type Findable } from "./find-rows";
