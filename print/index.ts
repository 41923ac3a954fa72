export type { HandoverSource } from "./handover-package";
export { pdfOfDocument } from "./pdf-of-document";
export { pdfOfPages } from "./pdf-of-pages";
export { printOut, PRINTS, type PrintKind, type PrintOrder } from "./print-out";
