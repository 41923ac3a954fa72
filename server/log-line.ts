/** What the database or the file system said: their words name no customer. */
const OF_STORAGE = /^(SQLITE_\w+|E[A-Z]+)\b.*/;

/**
 * An error as the log of the server tells it: what kind it is, what storage said of it, and where in the program it came up. The words of
 * other errors are left out, for they may hold what a customer typed.
 */
export function logLine(error: unknown): string {
  if (!(error instanceof Error)) return "something was thrown that is no error";
  const said = [error, (error as { original?: unknown }).original, error.cause].flatMap((one) =>
    one instanceof Error ? (OF_STORAGE.exec(one.message)?.[0] ?? []) : [],
  );
  const frames = (error.stack ?? "").split("\n").filter((line) => /^\s+at /.test(line));
  return [[error.name, ...new Set(said)].join(": "), ...frames].join("\n");
}
