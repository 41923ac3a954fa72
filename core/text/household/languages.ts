import type { SheetLanguage } from "@/core/job";
import { en } from "./en";
import { es } from "./es";
import type { SheetWords } from "./sheet-words";

/** Every language of the household's sheet; a third is a folder beside these two and a name in `SHEET_LANGUAGES`. */
export const SHEET_WORDS: Readonly<Record<SheetLanguage, SheetWords>> = { en, es };
