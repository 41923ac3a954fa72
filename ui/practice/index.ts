export { PracticePlace } from "./practice-place";
