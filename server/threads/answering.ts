import { parentPort } from "node:worker_threads";
import { answerTo, type Question } from "./questions";

// A thread that answers one question after the other, so that the server goes on meanwhile.
parentPort?.on("message", ({ id, question }: { readonly id: number; readonly question: Question }) => {
  try {
    parentPort?.postMessage({ id, answer: answerTo(question) });
  } catch (error) {
    parentPort?.postMessage({ id, failed: error instanceof Error ? (error.stack ?? error.message) : String(error) });
  }
});
