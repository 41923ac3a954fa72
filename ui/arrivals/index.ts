export { ArrivalsPlace } from "./arrivals-place";
