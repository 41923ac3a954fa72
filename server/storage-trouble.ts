/** Why something could not be kept, as a problem over HTTP. */
export interface StorageTrouble {
  readonly status: number;
  readonly title: string;
  readonly detail: string;
}

/** What SQLite and the file system say when they cannot keep something, in words with what to do. */
const STORAGE: readonly { readonly code: RegExp; readonly problem: StorageTrouble }[] = [
  {
    code: /^(SQLITE_FULL|ENOSPC)$/,
    problem: {
      status: 507,
      title: "Disk full",
      detail: "The disk of the server is full: nothing was saved. Free some space on it; your edits are kept here until then.",
    },
  },
  {
    code: /^(SQLITE_READONLY|SQLITE_CANTOPEN|EROFS|EACCES)$/,
    problem: {
      status: 503,
      title: "Read-only",
      detail:
        "The server may not write to its data folder: nothing was saved. Give it the right to, or another folder with OCTACHORD_DATA.",
    },
  },
  {
    code: /^(SQLITE_CORRUPT|SQLITE_NOTADB)$/,
    problem: {
      status: 500,
      title: "Database damaged",
      detail:
        "The database file is damaged here. Stop the server, keep a copy of the data folder, and restore the last backup with npm run restore.",
    },
  },
  {
    code: /^(SQLITE_BUSY|SQLITE_LOCKED)$/,
    problem: {
      status: 503,
      title: "Database in use",
      detail: "Another program has locked the database: nothing was saved. Close it; saving is retried automatically.",
    },
  },
  {
    code: /^SQLITE_IOERR/,
    problem: {
      status: 503,
      title: "Disk error",
      detail: "The disk of the server reports errors: nothing was saved. Check it before you go on.",
    },
  },
];

/** The problem of an error that came from where things are kept; null for any other. */
export function storageTrouble(error: unknown): StorageTrouble | null {
  const code = codeOf(error) ?? codeOf((error as { original?: unknown } | null)?.original);
  return (code !== null && STORAGE.find((row) => row.code.test(code))?.problem) || null;
}

const codeOf = (error: unknown): string | null => {
  const code = (error as { code?: unknown } | null)?.code;
  return typeof code === "string" ? code : null;
};
