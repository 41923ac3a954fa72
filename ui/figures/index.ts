export { FiguresPlace } from "./figures-place";
