import {
  actOfEvent,
  actsOf,
  castOf,
  conflictCures,
  conflictsOf,
  curesOf,
  eventOf,
  householdOf,
  judgeAct,
  judgeAll,
  type Conflict,
  type Cure,
  type Household,
} from "@/core/cec";
import { UNREGISTERED } from "@/core/facts";
import { findDevice } from "@/core/job";
import { cecReport } from "@/core/report";
import {
  actWords,
  addressNamesOf,
  conflictSentence,
  cureLimits,
  cureWords,
  deviceName,
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

/** How many cures of a conflict the text form names; `--json` has them all. */
const MOST_CURES = 3;

export interface CecOptions {
  readonly event?: string;
  readonly list?: boolean;
  readonly addresses?: boolean;
  readonly order?: readonly string[];
  readonly json?: boolean;
  readonly as: string;
}

/** Prints an act, or all of them where none is named. Exit code 1 where one does not go as wanted or a conflict is found. */
export async function cecCommand(file: string, options: CecOptions): Promise<ExitCode> {
  const state = settingState(options.as);
  const job = await readJobFile(file);
  const { order = [] } = options;
  for (const id of order)
    if (!findDevice(job, id))
      throw new UnusableInput(
        `--order: there is no device “${id}”; expected some of ${job.devices.map((device) => device.id).join(", ")}.`,
      );
  const household = householdOf(job, state, order.length ? { order } : {});
  if (options.addresses) return printAddresses(household, options.json ?? false);
  if (options.list) return printList(household, options.json ?? false);
  if (options.event === undefined) return printAll(household, options.json ?? false, state);
  const act = actOfEvent(household, options.event);
  const judged = act && judgeAct(household, act);
  if (!judged)
    throw new UnusableInput(`--event: this job knows no “${options.event}”; its events are ${actsOf(household).map(eventOf).join(", ")}.`);
  if (options.json) process.stdout.write(`${JSON.stringify(cecReport(household, judged, state))}\n`);
  else {
    const screen = castOf(household).screen?.nature.device;
    const rows = [
      ...judged.played.trace.frames.map(({ tMs, wire, frame, bytes, acknowledged, again }) => ({
        tMs,
        words: `${frameBytes(bytes).padEnd(12)} ${frameWords(frame, addressNamesOf(household, wire))}${acknowledged ? "" : " Not acknowledged."}${again ? ` (retry ${again})` : ""}`,
      })),
      ...judged.played.trace.changes.map((change) => ({ tMs: change.tMs, words: `${" ".repeat(13)}${stateChangeWords(job, change)}` })),
    ].sort((a, b) => a.tMs - b.tMs);
    for (const { tMs, words } of rows) process.stdout.write(`${tMs.toFixed(0).padStart(7)} ms  ${words}\n`);
    process.stdout.write(`${judgedActSentence(job, judged, screen)}\n`);
    for (const cure of curesOf(household, judged, state)) process.stdout.write(`${cureLine(household, cure)}\n`);
  }
  return judged.verdict.verdict === "as-wished" ? 0 : 1;
}

/** A cure with its price. */
function cureLine(household: Household, cure: Cure): string {
  const limits = cureLimits(household, cure);
  return `Cure: ${cureWords(household.job, cure, castOf(household).screen?.nature.device)}.${limits ? ` ${limits}` : ""}`;
}

/** The table of addresses: where each device is in the tree and by which name it is called. */
function printAddresses(household: Household, json: boolean): ExitCode {
  const rows = household.network.nodes.map(({ device, kind, address, wire }) => ({
    device,
    name: deviceName(household.job, device),
    kind,
    wire,
    physical: address,
    logical: household.claims.held.get(device) ?? null,
  }));
  const line = ({ name, physical, logical, wire }: (typeof rows)[number]) =>
    `${name}: physical ${physical}, logical ${logical ?? "none, not on the bus"}${logical === UNREGISTERED ? " (none was free)" : ""}, wire ${wire}`;
  process.stdout.write(json ? `${JSON.stringify({ addresses: rows })}\n` : rows.map((row) => `${line(row)}\n`).join(""));
  return rows.some(({ logical }) => logical === UNREGISTERED) ? 1 : 0;
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
  const curesFor = (conflict: Conflict) => conflictCures(household, conflict, state);
  if (json)
    process.stdout.write(
      `${JSON.stringify({
        acts: all.map(({ act, verdict, pictureMs, soundMs, remotes }) => ({ event: eventOf(act), verdict, pictureMs, soundMs, remotes })),
        conflicts: conflicts.map((conflict) => ({
          ...conflict,
          words: conflictSentence(job, conflict),
          cures: curesFor(conflict).map((cure) => ({ ...cure, words: cureWords(job, cure, screen) })),
        })),
      })}\n`,
    );
  else {
    for (const judged of all) process.stdout.write(`${judgedActSentence(job, judged, screen)}\n`);
    for (const conflict of conflicts)
      process.stdout.write(
        [
          conflictSentence(job, conflict),
          ...curesFor(conflict)
            .slice(0, MOST_CURES)
            .map((cure) => `   ${cureLine(household, cure)}`),
          "",
        ].join("\n"),
      );
  }
  return conflicts.length === 0 && all.every(({ verdict }) => verdict.verdict === "as-wished") ? 0 : 1;
}
