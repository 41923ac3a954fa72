import { solve } from "@/core/chain";
import type { Job } from "@/core/job";
import { orderWords, signWords, stepCaution, visitStepWords } from "@/core/text";
import { runSheet } from "@/core/visit";

/** The machine form of the run sheet of a job: the outside contract of `octachord runsheet --json` and `/api/jobs/:id/runsheet`. */
export function runSheetReport(job: Job, people: 1 | 2) {
  const sheet = runSheet(job, people);
  const { rows } = solve(job, "planned");
  return {
    people,
    minutes: sheet.minutes,
    proven: sheet.proven,
    gap: Number(sheet.gap.toFixed(3)),
    steps: sheet.steps.map((step) => {
      const [sign, caution] = [signWords(job, step, rows), stepCaution(job, step)];
      return {
        id: step.id,
        act: step.act,
        ...(step.device === null ? {} : { device: step.device }),
        ...(step.unit === null ? {} : { unit: step.unit }),
        ...(step.cable === null ? {} : { cable: step.cable }),
        ...(step.setting === null ? {} : { setting: step.setting.key, value: step.setting.value }),
        ...(step.row === null ? {} : { row: step.row }),
        after: step.after.map(({ step: id }) => id),
        because: orderWords(step),
        minutes: step.minutes,
        waitMinutes: step.waitMinutes,
        starts: step.starts,
        ends: step.ends,
        person: step.person + 1,
        says: visitStepWords(job, step, rows),
        ...(sign === null ? {} : { sign }),
        ...(caution === null ? {} : { caution }),
        parts: partsOf(job, step.cable, step.act === "plug" || step.act === "pull"),
      };
    }),
  };
}
export type RunSheetReport = ReturnType<typeof runSheetReport>;

/** What a step takes from the van or the shop. */
function partsOf(job: Job, cable: string | null, takes: boolean): readonly { readonly cable: string; readonly supply: string }[] {
  const found = takes ? job.cables.find(({ id }) => id === cable) : undefined;
  return found && found.supply !== "there" ? [{ cable: found.id, supply: found.supply }] : [];
}
