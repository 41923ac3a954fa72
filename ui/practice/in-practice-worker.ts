import type { Remote } from "comlink";
import { letWait, takeWorker } from "@/ui/kit";
import type { PracticeWorker } from "@/workers/practice-worker";

export const startPracticeWorker = () => new Worker(new URL("../../workers/practice-worker.ts", import.meta.url), { type: "module" });

/** One question to a worker; null where it could not be loaded. */
export async function inPracticeWorker<Answer>(ask: (api: Remote<PracticeWorker>) => Promise<Answer>): Promise<Answer | null> {
  const at = takeWorker<PracticeWorker>(startPracticeWorker);
  const failing = new AbortController();
  const failed = new Promise<never>((_, reject) => at.worker.addEventListener("error", reject, { signal: failing.signal }));
  try {
    const answer = await Promise.race([ask(at.api), failed]);
    letWait(startPracticeWorker, at);
    return answer;
  } catch {
    at.worker.terminate();
    return null;
  } finally {
    failing.abort();
  }
}
