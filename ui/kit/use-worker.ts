"use client";

import type { Remote } from "comlink";
import { useEffect, useRef, useState } from "react";
import { letWait, takeWorker } from "./waiting-workers";

/** What a question to a worker has come to. */
export type Work<Answer, Part = never> =
  | { readonly state: "idle" }
  /** `part`: what is known so far. */
  | { readonly state: "working"; readonly part: Part | null }
  | { readonly state: "done"; readonly answer: Answer }
  /** The worker could not be loaded, or stopped with a fault. */
  | { readonly state: "failed" }
  | { readonly state: "stopped" };

/** A piece of work with what a person can do about it. */
export interface Working<Answer, Part = never> {
  readonly work: Work<Answer, Part>;
  readonly stop: () => void;
  readonly again: () => void;
}

interface Asking<Api, Question, Answer, Part> {
  /** Starts the worker; the same function every time. */
  readonly start: () => Worker;
  /** Asks it, and may tell parts of the answer on the way; the same function every time. */
  readonly ask: (api: Remote<Api>, question: Question, tell: (part: Part) => void) => Promise<Answer>;
}

/**
 * Asks a worker each new question, by identity; null asks nothing. The next question, or leaving the page, ends one that is still at work,
 * so an answer to an older question is never given; one that has answered waits for the next question.
 */
export function useWorker<Api, Question, Answer, Part = never>(
  question: Question | null,
  { start, ask }: Asking<Api, Question, Answer, Part>,
): Working<Answer, Part> {
  const stopper = useRef<() => void>(() => undefined);
  const [round, setRound] = useState(0);
  const [told, setTold] = useState<{ readonly question: Question; readonly round: number; readonly work: Work<Answer, Part> } | null>(null);
  useEffect(() => {
    if (question === null) return;
    const at = takeWorker<Api>(start);
    let wanted = true;
    const failed = () => end({ state: "failed" });
    const leave = (hasAnswered: boolean) => {
      wanted = false;
      at.worker.removeEventListener("error", failed);
      if (hasAnswered) letWait(start, at);
      else at.worker.terminate();
    };
    const end = (work: Work<Answer, Part>) => {
      if (!wanted) return;
      setTold({ question, round, work });
      leave(work.state === "done");
    };
    // A worker that cannot be loaded answers nothing; only its error tells.
    at.worker.addEventListener("error", failed);
    const tell = (part: Part) => {
      if (wanted) setTold({ question, round, work: { state: "working", part } });
    };
    ask(at.api, question, tell).then((answer) => end({ state: "done", answer }), failed);
    stopper.current = () => end({ state: "stopped" });
    return () => {
      if (wanted) leave(false);
    };
  }, [question, round, start, ask]);
  const isCurrent = told !== null && told.question === question && told.round === round;
  const work: Work<Answer, Part> = question === null ? { state: "idle" } : isCurrent ? told.work : { state: "working", part: null };
  return { work, stop: () => stopper.current(), again: () => setRound(round + 1) };
}

/** The answer of a piece of work; null while there is none. */
export const answerOf = <Answer>(work: Work<Answer, unknown>): Answer | null => (work.state === "done" ? work.answer : null);
