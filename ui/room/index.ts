export { RoomPlace } from "./room-place";
