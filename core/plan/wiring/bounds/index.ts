export {
  actsUpperBound,
  type ActsUpperBound,
  controlOffKey,
  type ControlReach,
  controlReachKey,
  controlReachOf,
  mayTakePart,
  type SeenFrom,
} from "./ease-bound";
export { asPlanned, pictureOnScreens, pictureUpperBound, WHOLE_ON_ALL } from "./picture-on-screens";
export { soundUpperBound } from "./sound-bound";
export { easeShare, type KeptUpperBound, type SoundsOf, upperBounds, type UpperBounds, withoutSocket } from "./upper-bounds";
