export { keepOnShelf, useOwnDevices, type OwnDevice } from "./own-devices";
export { ShelfPlace } from "./shelf-place";
