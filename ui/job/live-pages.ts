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
 * Takes the place of a page that is gone, as long as this window is there; false where it is still there, or another has taken its place.
 * Where the browser has no locks nobody can tell, and every place is taken.
 * @param isEnding it is known to be gone, though its lock may not have ended yet
 */
export function claim(page: string, isEnding: boolean): Promise<boolean> {
  const own = locks();
  if (!own || claimed.has(page)) return Promise.resolve(true);
  return new Promise((resolve, reject) => {
    own
      .request(lockOf(page), { ifAvailable: !isEnding }, (lock) => {
        resolve(lock !== null);
        if (lock === null) return undefined;
        claimed.add(page);
        return new Promise<void>(() => undefined);
      })
      .catch(reject);
  });
}
