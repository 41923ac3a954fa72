"use client";

import { useCallback, useMemo, useRef } from "react";
import { v4 as newId } from "uuid";
import { walksOf, walkStep, type Observed, type Walk } from "@/core/diagnose";
import type { FixStep, VisitEntry } from "@/core/job";
import type { Visit } from "@/ui/visit";

/** A search in hand, with what can be entered of it. */
export interface WalkInHand {
  /** The search that goes on, or the last one while its end is on the page; null: none yet. */
  readonly walk: Walk | null;
  readonly earlier: readonly Walk[];
  readonly tell: (symptom: string, said?: readonly Observed[]) => void;
  readonly answer: (seen: Observed, note?: string) => void;
  readonly answerAll: (seen: readonly Observed[]) => void;
  /** Puts another answer in the place of the last one. */
  readonly amend: (answer: string) => void;
  readonly back: (() => void) | null;
  readonly end: (found: string | null) => void;
}

/** Most that counts as minutes of one check: whoever comes back later has done something else. */
const MOST_MINUTES = 60;

/** The searches of a job out of its record: each answer is an entry, so that it is kept, merged and there without a network like any tick. */
export function useWalk({ record, enter }: Visit): WalkInHand {
  const walks = useMemo(() => walksOf(record.entries), [record]);
  const current = walks.findLast(({ end }) => end === null) ?? null;
  const began = useRef(new Map<string, number>());
  const put = useCallback(
    (fix: Omit<FixStep, "walk" | "answer"> & { readonly answer?: string }, walk: string, extra: Partial<VisitEntry> = {}, count = 0) =>
      enter({ step: walkStep({ walk, step: fix.step, id: fix.id }, count), state: "done", fix: { answer: "", ...fix, walk }, ...extra }),
    [enter],
  );
  const walkId = current?.id;
  const answerOne = (walk: string, { check, answer }: Observed, note: string, minutes: number | null) => {
    const count = current?.line.filter((one) => one.check === check).length ?? 0;
    put({ step: "check", id: check, answer }, walk, { note, minutes }, count);
  };
  const last = current?.line.at(-1);
  const lastCount = last && current ? current.line.filter((one) => one.check === last.check).length - 1 : 0;
  return {
    walk: current,
    earlier: walks.filter((one) => one !== current),
    tell: (symptom, said = []) => {
      const walk = walkId ?? newId();
      began.current.set(walk, Date.now());
      put({ step: "symptom", id: symptom }, walk);
      for (const one of said) answerOne(walk, one, "", null);
    },
    answer: (seen, note = "") => {
      const walk = walkId ?? newId();
      const since = began.current.get(walk);
      const minutes = since === undefined ? null : Math.min(MOST_MINUTES, Math.round((Date.now() - since) / 15_000) / 4);
      began.current.set(walk, Date.now());
      answerOne(walk, seen, note, minutes);
    },
    answerAll: (seen) => {
      const walk = walkId ?? newId();
      for (const one of seen) answerOne(walk, one, "", null);
    },
    amend: (answer) => {
      if (walkId !== undefined && last) put({ step: "check", id: last.check, answer }, walkId, { minutes: last.minutes }, lastCount);
    },
    back:
      walkId === undefined || !current
        ? null
        : () => {
            const symptom = current.symptoms.at(-1);
            const taken = last
              ? { step: "check" as const, id: last.check, answer: last.answer }
              : { step: "symptom" as const, id: symptom ?? "", answer: "" };
            enter({
              step: walkStep({ walk: walkId, step: taken.step, id: taken.id }, lastCount),
              state: "open",
              fix: { ...taken, walk: walkId },
            });
          },
    end: (found) => {
      if (walkId !== undefined) put(found === null ? { step: "given-up", id: "" } : { step: "found", id: found }, walkId);
    },
  };
}
