import { householdOf } from "@/core/cec";
import { solve } from "@/core/chain";
import type { Job, VisitEntry } from "@/core/job";
import { orderWords, screenOf, settingNeedWords, signWords, stepCaution, stepTools, visitStepWords } from "@/core/text";
import { doneSteps, needOfSetting, partsOfSteps, runSheet, USUAL_MINUTES, type MinutesTable } from "@/core/visit";

/** The machine form of the run sheet of a job: the outside contract of `octachord runsheet --json` and `/api/jobs/:id/runsheet`. */
export function runSheetReport(job: Job, people: 1 | 2, table: MinutesTable = USUAL_MINUTES, record: readonly VisitEntry[] = job.record) {
  const sheet = runSheet(job, people, table, record);
  const parts = partsOfSteps(job, sheet.steps);
  const done = doneSteps(job, sheet.steps, record);
  const { rows } = solve(job, "planned");
  const screen = screenOf(householdOf(job, "planned"));
  return {
    people,
    minutes: sheet.minutes,
    proven: sheet.proven,
    gap: Number(sheet.gap.toFixed(3)),
    steps: sheet.steps.map((step) => {
      const need = needOfSetting(job, step);
      const [sign, caution] = [signWords(job, step, rows), stepCaution(job, step)];
      return {
        id: step.id,
        act: step.act,
        ...(step.device === null ? {} : { device: step.device }),
        ...(step.unit === null ? {} : { unit: step.unit }),
        ...(step.cable === null ? {} : { cable: step.cable }),
        ...(step.setting === null ? {} : { setting: step.setting.key, value: step.setting.value }),
        ...(step.row === null ? {} : { row: step.row }),
        ...(step.sockets === null ? {} : { port: step.sockets[1].port, sockets: step.sockets }),
        after: step.after.map(({ step: id }) => id),
        because: orderWords(step),
        ...(need ? { need: settingNeedWords(job, need, screen) } : {}),
        minutes: step.minutes,
        ...(step.added ? {} : { fromMinutes: table[step.work].from, toMinutes: table[step.work].to }),
        waitMinutes: step.waitMinutes,
        starts: step.starts,
        ends: step.ends,
        person: step.person + 1,
        says: visitStepWords(job, step, rows),
        ...(sign === null ? {} : { sign }),
        ...(caution === null ? {} : { caution }),
        parts: (parts.get(step.id) ?? []).map(({ kind, id, supply }) => ({ [kind]: id, supply })),
        tools: stepTools(step),
        done: done.has(step.id),
      };
    }),
  };
}
export type RunSheetReport = ReturnType<typeof runSheetReport>;
