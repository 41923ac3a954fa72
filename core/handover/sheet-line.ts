import type { SheetFact, SheetLine } from "./sheet-facts";

/** An own sentence names its line by no more letters than this. */
const LONGEST_ID = 200;

/** A line of the sheet under its id. */
export const sheetLine = (as: SheetLine["as"], id: string, fact: SheetFact): SheetLine => ({ id: id.slice(0, LONGEST_ID), as, fact });
