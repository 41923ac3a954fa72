export { JoinPlace } from "./join-place";
