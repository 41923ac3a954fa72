export { SHEET_WORDS } from "./languages";
export { lineWords, sentencesWithoutLine, type LineWords } from "./line-words";
export { plainWordsTroubles, type PlainWordsTrouble } from "./plain-words";
export type { SheetWords } from "./sheet-words";
