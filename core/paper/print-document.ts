import type { Paper } from "@/core/drawing";

/** A column of a table: its heading, and its share of the width. */
export interface PrintColumn {
  readonly head: string;
  readonly share: number;
}

/** A piece of a printed document, black on white. Sizes on paper in millimetres, of letters in points. */
export type PrintBlock =
  | { readonly block: "heading"; readonly level: 1 | 2 | 3; readonly words: string }
  | { readonly block: "text"; readonly words: string; readonly size?: "small" | "normal" }
  | { readonly block: "list"; readonly ordered: boolean; readonly items: readonly string[] }
  | { readonly block: "table"; readonly columns: readonly PrintColumn[]; readonly rows: readonly (readonly string[])[] }
  /** A drawing is as wide as the page allows, and never higher than one. */
  | { readonly block: "drawing"; readonly svg: string; readonly widthMm: number; readonly heightMm: number }
  /** A photo, as a data address of a PNG or JPEG. */
  | { readonly block: "picture"; readonly data: string; readonly words: string }
  | { readonly block: "new-page" };

/** Who made it and when, at the head or foot of each page. */
export interface TitleBlock {
  /** Name, address and phone of the firm, in lines; empty ones left out. */
  readonly firm: readonly string[];
  /** The firm's sign, as a data address; empty: none. */
  readonly picture: string;
  /** As it is to be read. */
  readonly date: string;
  /** The same day as YYYY-MM-DD. */
  readonly day: string;
}

/** A document as it is printed, whatever it is about. */
export interface PrintDocument {
  readonly title: string;
  /** BCP 47. */
  readonly language: string;
  readonly paper: Paper;
  /** Of ordinary text, in points. */
  readonly pointSize: number;
  readonly head: TitleBlock;
  readonly blocks: readonly PrintBlock[];
  readonly pageWords: (page: number, of: number) => string;
  /** What stands in place of letters that the fonts do not have, and the note that explains it at the end. */
  readonly missing: { readonly mark: (letters: number) => string; readonly note: string };
}
