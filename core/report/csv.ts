export type Cell = string | number;

/** What spreadsheets take for a formula when a cell begins with it, blanks and quotes before it left aside. */
const FORMULA = /^[\s"']*[=+\-@]|^[\t\r]/;

/** A cell that no spreadsheet computes: quoted, and held as text where it could be a formula. Source: RFC 4180 for the quotes. */
const cell = (value: Cell): string =>
  typeof value === "number" ? String(value) : `"${(FORMULA.test(value) ? `'${value}` : value).replaceAll('"', '""')}"`;

/** Rows as comma-separated values. */
export const csvOf = (rows: readonly (readonly Cell[])[]): string => `${rows.map((row) => row.map(cell).join(",")).join("\r\n")}\r\n`;
