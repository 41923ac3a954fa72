export { PlansPlace } from "./plans-place";
