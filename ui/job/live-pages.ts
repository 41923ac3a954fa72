/** The name of the lock of a page: that page holds it as long as it is there, then whichever takes its place. */
const lockOf = (page: string): string => `octachord-page ${page}`;

/** The browser's locks; null where it has none: on plain HTTP from another machine. */
const locks = (): LockManager | null => (typeof navigator !== "undefined" && "locks" in navigator ? navigator.locks : null);

/** Shows other pages of this browser that one is there. It ends by itself with the page, or by the call that is returned. */
export function showThatAlive(page: string): () => void {
  let end = (): void => undefined;
  const until = new Promise<void>((resolve) => (end = resolve));
  locks()
    ?.request(lockOf(page), () => until)
    .catch(() => undefined);
  return () => end();
}

/** The pages whose place this window has taken. */
const claimed = new Set<string>();

/**
 * Takes the place of a page as soon as it is gone, and with it whoever took its place before; it is this window's from then on.
 * Where the browser has no locks nobody can tell who is there, and every place is taken at once. It rejects when the signal ends the wait.
 */
export function claim(page: string, signal: AbortSignal): Promise<void> {
  const own = locks();
  if (!own || claimed.has(page)) return Promise.resolve();
  return new Promise((resolve, reject) => {
    own
      .request(lockOf(page), { signal }, () => {
        claimed.add(page);
        resolve();
        return new Promise<void>(() => undefined);
      })
      .catch(reject);
  });
}
