import { actOfEvent, actsOf, castOf, conflictsOf, curesOf, eventOf, householdOf, judgeAct, judgeAll, type Household } from "@/core/cec";
import { cecReport } from "@/core/report";
import {
  actWords,
  addressNamesOf,
  conflictSentence,
  cureWords,
  frameBytes,
  frameWords,
  judgedActSentence,
  stateChangeWords,
} from "@/core/text";
import type { SettingState } from "@/core/device";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { settingState } from "./setting-state";
import { UnusableInput } from "./unusable-input";

/** Prints an act, or all of them where none is named. Exit code 1 where one does not go as wished or a conflict is found. */
export async function cecCommand(file: string, options: { event?: string; list?: boolean; json?: boolean; as: string }): Promise<ExitCode> {
  const state = settingState(options.as);
  const household = householdOf(await readJobFile(file), state);
  if (options.list) return printList(household, options.json ?? false);
  if (options.event === undefined) return printAll(household, options.json ?? false, state);
  const act = actOfEvent(household, options.event);
  const judged = act && judgeAct(household, act);
  if (!judged)
    throw new UnusableInput(`--event: this job knows no “${options.event}”; its events are ${actsOf(household).map(eventOf).join(", ")}.`);
  if (options.json) process.stdout.write(`${JSON.stringify(cecReport(household, judged, state))}\n`);
  else {
    const { job } = household;
    const screen = castOf(household).screen?.nature.device;
    const rows = [
      ...judged.played.trace.frames.map(({ tMs, wire, frame, bytes, acknowledged, again }) => ({
        tMs,
        words: `${frameBytes(bytes).padEnd(12)} ${frameWords(frame, addressNamesOf(household, wire))}${acknowledged ? "" : " Nobody answers."}${again ? ` (again, ${again})` : ""}`,
      })),
      ...judged.played.trace.changes.map((change) => ({ tMs: change.tMs, words: `${" ".repeat(13)}${stateChangeWords(job, change)}` })),
    ].sort((a, b) => a.tMs - b.tMs);
    for (const { tMs, words } of rows) process.stdout.write(`${tMs.toFixed(0).padStart(7)} ms  ${words}\n`);
    process.stdout.write(`${judgedActSentence(job, judged, screen)}\n`);
    for (const cure of curesOf(household, judged, state)) process.stdout.write(`Cure: ${cureWords(job, cure, screen)}.\n`);
  }
  return judged.verdict.verdict === "as-wished" ? 0 : 1;
}

function printList(household: Household, json: boolean): ExitCode {
  const events = actsOf(household).map((act) => ({
    event: eventOf(act),
    words: actWords(household.job, act, castOf(household).screen?.nature.device),
  }));
  process.stdout.write(json ? `${JSON.stringify({ events })}\n` : events.map(({ event, words }) => `${event}  ${words}\n`).join(""));
  return 0;
}

function printAll(household: Household, json: boolean, state: SettingState): ExitCode {
  const { job } = household;
  const [all, conflicts] = [judgeAll(household), conflictsOf(household, state)];
  const screen = castOf(household).screen?.nature.device;
  if (json)
    process.stdout.write(
      `${JSON.stringify({
        acts: all.map(({ act, verdict, pictureMs, soundMs, remotes }) => ({ event: eventOf(act), verdict, pictureMs, soundMs, remotes })),
        conflicts: conflicts.map((conflict) => ({ ...conflict, words: conflictSentence(job, conflict) })),
      })}\n`,
    );
  else {
    for (const judged of all) process.stdout.write(`${judgedActSentence(job, judged, screen)}\n`);
    for (const conflict of conflicts) process.stdout.write(`${conflictSentence(job, conflict)}\n`);
  }
  return conflicts.length === 0 && all.every(({ verdict }) => verdict.verdict === "as-wished") ? 0 : 1;
}
