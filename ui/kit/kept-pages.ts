import { useEffect } from "react";

/**
 * Lets this device keep the pages of a visit, so that they load again without a network. Browsers allow it at localhost and over HTTPS alone;
 * elsewhere the open page goes on working and only loading it again needs the server.
 */
export function useKeptPages(job: string): void {
  useEffect(() => {
    if (!("serviceWorker" in navigator)) return;
    const start = async () => {
      await navigator.serviceWorker.register("/visit-worker.js", { scope: "/jobs/" });
      const { active } = await navigator.serviceWorker.ready;
      active?.postMessage({ keep: ["runsheet", "prove", "fix"].map((place) => `/jobs/${job}/${place}`) });
    };
    // A browser that does not allow it leaves the page as it is.
    start().catch(() => undefined);
  }, [job]);
}

/** Forgets what this device kept: after signing out nothing of a customer is left on it. */
export async function forgetPages(): Promise<void> {
  if (!("caches" in window)) return;
  for (const name of await caches.keys()) await caches.delete(name);
}
