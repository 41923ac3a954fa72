export type Cell = string | number;

/** What spreadsheets take for a formula when a cell begins with it, blanks and quotes before it left aside. */
const FORMULA = /^[\s"']*[=+\-@]|^[\t\r]/;

/** A cell that no spreadsheet computes: quoted, and held as text where it could be a formula. Source: RFC 4180 for the quotes. */
const cell = (value: Cell): string =>
  typeof value === "number" ? String(value) : `"${(FORMULA.test(value) ? `'${value}` : value).replaceAll('"', '""')}"`;

export interface CsvOptions {
  /** Begins with a byte order mark. */
  readonly mark?: boolean;
}

/** What some spreadsheets need at the front of a file to read it as UTF-8. Source: Unicode 15 §23.8. */
const BYTE_ORDER_MARK = "\ufeff";

/** Rows as comma-separated values; with a byte order mark where the spreadsheet that opens them needs one. */
export const csvOf = (rows: readonly (readonly Cell[])[], { mark = false }: CsvOptions = {}): string =>
  `${mark ? BYTE_ORDER_MARK : ""}${rows.map((row) => row.map(cell).join(",")).join("\r\n")}\r\n`;
