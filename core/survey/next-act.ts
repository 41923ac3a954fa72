import type { Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import type { OpenQuestion } from "./open-questions";

/** What is due next in a job. */
export type NextAct =
  | { readonly act: "note-gear" }
  | { readonly act: "find-out"; readonly questions: number }
  | { readonly act: "lift"; readonly rows: number }
  | { readonly act: "agree-day" }
  | { readonly act: "design" }
  | { readonly act: "visit" }
  | { readonly act: "note-left"; readonly settings: number }
  | { readonly act: "hand-over" }
  | { readonly act: "nothing" };

/** The next act of a job, from its phase and what its board says. */
export function nextAct(job: Job, board: readonly Arrival[], questions: readonly OpenQuestion[]): NextAct {
  const waiting = questions.filter(({ rows }) => rows.length > 0).length;
  const lost = board.filter(({ verdict }) => verdict !== "full").length;
  const notLeft = job.devices
    .flatMap(({ settings }) => settings)
    .filter(({ planned, found, left }) => planned !== null && planned !== found && left === null);
  switch (job.phase) {
    case "survey":
      if (board.length === 0) return { act: "note-gear" };
      return waiting ? { act: "find-out", questions: waiting } : { act: "design" };
    case "design":
      if (lost) return { act: "lift", rows: lost };
      return job.visitOn === null ? { act: "agree-day" } : { act: "visit" };
    case "visit":
      return notLeft.length ? { act: "note-left", settings: notLeft.length } : { act: "hand-over" };
    case "handover":
      return { act: "nothing" };
  }
}
