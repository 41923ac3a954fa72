import { expose } from "comlink";
import type { Job } from "@/core/job";
import {
  practiceRig,
  roomToWire,
  scoreWiring,
  takeStep,
  type Level,
  type PracticeRig,
  type TakenStep,
  type WiringScore,
} from "@/core/practice";
import { diagnoseReport, rigReport, scoreReport, takenWords, type DiagnoseReport, type RigReport, type ScoreReport } from "@/core/report";

/** What a step showed, with what it makes of the suspects for whoever wants to look. */
export interface TakenShown {
  readonly step: TakenStep;
  readonly says: string;
  readonly suspects: DiagnoseReport["suspects"];
}

export type WiringShown = WiringScore;

/** After this the best plan that was found counts. */
const MOST_MS = 5000;

let rig: PracticeRig | null = null;
let line: TakenStep[] = [];

const suspectsNow = (current: PracticeRig): DiagnoseReport["suspects"] => {
  const report = diagnoseReport(
    current.finder,
    current.symptoms,
    line.map(({ check, answer }) => ({ check, answer })),
  );
  return report.ok ? report.value.suspects : [];
};

const api = {
  /** The rig of a seed; null where that job can have no such fault. */
  open(seed: number, level: Level, job: Job | null): RigReport | null {
    rig = practiceRig(seed, level, job);
    line = [];
    return rig && rigReport(rig);
  },
  take(check: string): TakenShown | null {
    const step = rig && takeStep(rig, check, line);
    if (!rig || !step) return null;
    line = [...line, step];
    return { step, says: takenWords(rig, step), suspects: suspectsNow(rig) };
  },
  roomToWire,
  /** A wiring beside the proven best plan; null where there is nothing to plan. */
  scoreWiring: (job: Job, bare: Job): WiringShown | null => scoreWiring(job, bare, { clock: () => performance.now(), mostMs: MOST_MS }),
  score: (): ScoreReport | null => rig && scoreReport(rig, line),
};
export type PracticeWorker = typeof api;

expose(api);
