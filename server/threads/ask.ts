import { Worker } from "node:worker_threads";
import { z } from "zod";
import { done, refused, type Outcome } from "@/core/outcome";
import type { Question } from "./questions";

/** Why a question was not answered: it took too long, or too many others wait already. */
export type AskRefusal = { readonly code: "too-long"; readonly mostMs: number } | { readonly code: "too-many"; readonly waiting: number };

/** How long a question may take, the start of a thread included, and how many may wait. */
const MOST_MS = 30_000;
const MOST_WAITING = 8;

const Answer = z.union([z.object({ id: z.number(), failed: z.string() }), z.object({ id: z.number(), answer: z.unknown() })]);

interface Thread {
  worker: Worker | null;
  line: Promise<unknown>;
  waiting: number;
  asked: number;
}
const store = globalThis as typeof globalThis & { octachordThread?: Thread };
const thread = (): Thread => (store.octachordThread ??= { worker: null, line: Promise.resolve(), waiting: 0, asked: 0 });

/**
 * Asks the thread next to the server, one question at a time. Its deadline ends the thread, whatever it is doing, and the next question gets
 * a new one: no job, however tangled, keeps the others waiting.
 */
export function ask(question: Question): Promise<Outcome<unknown, AskRefusal>> {
  const own = thread();
  if (own.waiting >= MOST_WAITING) return Promise.resolve(refused({ code: "too-many", waiting: own.waiting }));
  own.waiting += 1;
  const turn = own.line.then(() => answered(own, question)).finally(() => (own.waiting -= 1));
  own.line = turn.catch(() => undefined);
  return turn;
}

function answered(own: Thread, question: Question): Promise<Outcome<unknown, AskRefusal>> {
  const worker = (own.worker ??= started());
  const id = (own.asked += 1);
  return new Promise((resolve, reject) => {
    const end = (then: () => void, keep: boolean) => {
      clearTimeout(deadline);
      worker.off("message", heard);
      worker.off("error", broke);
      if (!keep) {
        own.worker = null;
        void worker.terminate();
      }
      then();
    };
    const heard = (message: unknown) => {
      const read = Answer.parse(message);
      if (read.id !== id) return;
      if ("failed" in read) end(() => reject(new Error(read.failed)), true);
      else end(() => resolve(done(read.answer)), true);
    };
    const broke = (error: Error) => end(() => reject(error), false);
    const deadline = setTimeout(() => end(() => resolve(refused({ code: "too-long", mostMs: MOST_MS })), false), MOST_MS);
    worker.on("message", heard);
    worker.on("error", broke);
    worker.postMessage({ id, question });
  });
}

/** The thread runs the sources next to the build, so its file is named where no bundler looks. */
const THREAD = 'import(require("node:url").pathToFileURL(require("node:path").resolve("server/threads/thread.mjs")).href)';

/** A thread that does not keep the server from ending. */
function started(): Worker {
  const worker = new Worker(THREAD, { eval: true, execArgv: [] });
  worker.unref();
  return worker;
}
