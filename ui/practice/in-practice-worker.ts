import { wrap, type Remote } from "comlink";
import type { PracticeWorker } from "@/workers/practice-worker";

export const startPracticeWorker = () => new Worker(new URL("../../workers/practice-worker.ts", import.meta.url), { type: "module" });

/** One question to a worker of its own, which ends with the answer; null where it could not be loaded. */
export async function inPracticeWorker<Answer>(ask: (api: Remote<PracticeWorker>) => Promise<Answer>): Promise<Answer | null> {
  const worker = startPracticeWorker();
  try {
    const failed = new Promise<null>((resolve) => worker.addEventListener("error", () => resolve(null)));
    return await Promise.race([ask(wrap<PracticeWorker>(worker)), failed]);
  } catch {
    return null;
  } finally {
    worker.terminate();
  }
}
