import { parentPort } from "node:worker_threads";
import { answerTo, type Question } from "./questions";

// A thread that answers one question after the other, so that the server goes on meanwhile.
parentPort?.on("message", ({ id, question }: { readonly id: number; readonly question: Question }) => {
  Promise.resolve()
    .then(() => answerTo(question))
    .then((answer) => parentPort?.postMessage({ id, answer }))
    .catch((error: unknown) =>
      parentPort?.postMessage({ id, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) }),
    );
});
