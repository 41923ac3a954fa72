import { castOf, householdOf, judgeAct, type Household, type SentFrame } from "@/core/cec";
import { solve } from "@/core/chain";
import type { Job, VisitEntry } from "@/core/job";
import type { PrintBlock, PrintDocument } from "@/core/paper";
import { addressNamesOf, deviceName, frameBytes, frameWords, recordWords } from "@/core/text";
import { tradeDocument, type PrintSetting } from "./document-head";
import { heading, table } from "./pieces";
import { photoBlocks, type PrintedPhoto } from "./photo-blocks";
import { edidBlocks } from "./edid-blocks";
import { arrivalBlocks, openBlocks, proofBlocks } from "./proof-blocks";
import { roomBlocks } from "./room-blocks";
import { stepNames } from "./step-names";
import { firmwareBlocks, measuredBlocks, replacedBlocks, visitBlocks } from "./visit-blocks";
import { mapBlocks, plugBlocks, settingBlocks } from "./wiring-blocks";

/** What a record is made of beside the job. */
export interface RecordSource extends PrintSetting {
  readonly record: readonly VisitEntry[];
  readonly photos: readonly PrintedPhoto[];
}

/** The record of a job as it was left, for whoever comes in some years: one document with everything that is known. */
export function recordDocument(job: Job, source: RecordSource): PrintDocument {
  const { record } = source;
  const solved = solve(job, "planned");
  const household = householdOf(job, "planned", { solved });
  const name = stepNames(job, household, record);
  const blocks: readonly PrintBlock[] = [
    ...aboutJob(job),
    ...visitBlocks(job, record),
    ...openBlocks(job, record, solved.rows, name),
    ...plugBlocks(job, source.units),
    ...mapBlocks(job, source),
    ...settingBlocks(job),
    ...roomBlocks(job, source),
    ...measuredBlocks(job, record, source.units, name),
    ...arrivalBlocks(job, solved.rows),
    ...proofBlocks(job, household, record),
    ...firmwareBlocks(job, record),
    ...replacedBlocks(record),
    ...edidBlocks(job),
    ...traceBlocks(household),
    ...photoBlocks(job, source.photos),
  ];
  return tradeDocument(recordWords.title(job.name), source, blocks);
}

function aboutJob(job: Job): readonly PrintBlock[] {
  const rows = [
    [recordWords.customer, job.customer],
    [recordWords.address, job.visit.address],
    [recordWords.visitOn, [job.visitOn ?? "", job.visit.at ?? ""].filter(Boolean).join(", ")],
  ].filter(([, words]) => words);
  return [
    { block: "text", words: recordWords.explains },
    ...rows.map(([name, words]): PrintBlock => ({ block: "text", words: `${name}: ${words}` })),
  ];
}

/** So many frames stand on paper; the package holds all of them. */
const MOST_FRAMES = 60;

/** A frame with all its tries. */
interface TriedFrame {
  readonly first: SentFrame;
  readonly tries: number;
  readonly acknowledged: boolean;
}

/** What runs on the control wire when the screen is switched on, to lay a recorded trace beside. */
function traceBlocks(household: Household): readonly PrintBlock[] {
  const { job } = household;
  const act = castOf(household).screen ? judgeAct(household, { act: "screen-on" }) : null;
  const frames = act?.played.trace.frames ?? [];
  if (!frames.length) return [];
  const rows = triedFrames(frames)
    .slice(0, MOST_FRAMES)
    .map(({ first: { tMs, device, frame, bytes, wire }, tries, acknowledged }) => [
      `${(tMs / 1000).toFixed(2)}\u2009s`,
      deviceName(job, device),
      [frameWords({ ...frame, bytes: [...bytes] }, addressNamesOf(household, wire)), recordWords.answered(acknowledged, tries)]
        .filter(Boolean)
        .join(" "),
      frameBytes(bytes),
    ]);
  return [heading(2, recordWords.trace), table(recordWords.traceColumns, [1, 2, 6, 2], rows)];
}

/** Frames in their order, each once: what was sent again because nobody answered belongs to its first try. */
function triedFrames(frames: readonly SentFrame[]): readonly TriedFrame[] {
  const tried: TriedFrame[] = [];
  for (const sent of frames) {
    const at = sent.again
      ? tried.findLastIndex(({ first }) => first.device === sent.device && frameBytes(first.bytes) === frameBytes(sent.bytes))
      : -1;
    const known = tried[at];
    if (known) tried[at] = { ...known, tries: known.tries + 1, acknowledged: known.acknowledged || sent.acknowledged };
    else tried.push({ first: sent, tries: 1, acknowledged: sent.acknowledged });
  }
  return tried;
}
