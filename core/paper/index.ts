export type { PrintBlock, PrintColumn, PrintDocument, TitleBlock } from "./print-document";
