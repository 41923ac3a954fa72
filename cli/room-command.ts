import { PAPERS, roomPages, roomPlanSvg, type RoomPrint } from "@/core/drawing";
import type { Job, Room } from "@/core/job";
import { roomAnswer } from "@/core/room";
import { roomsReport } from "@/core/report";
import {
  angleWords,
  channelName,
  chargeSentence,
  errorWords,
  loadSentence,
  mountingSentence,
  pairingStepWords,
  placingSentence,
  sheetLineWords,
  speechStepWords,
  spoilerSentence,
  upFiringSentence,
  upperFirst,
  deviceName,
  wireSentence,
} from "@/core/text";
import { formatLength } from "@/core/units";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";
import { isPaper, writePrint } from "./write-print";

export interface RoomOptions {
  readonly json?: boolean;
  readonly in?: string | undefined;
  readonly output?: string;
  readonly paper?: string;
}

/** Prints every room of a job as it was measured: windows, what to dial, wire and mounting. Exit code 1 where something in it cannot be right. */
export async function roomCommand(file: string, { json = false, in: wanted, output, paper = "a4" }: RoomOptions): Promise<ExitCode> {
  const job = await readJobFile(file);
  if (output !== undefined) return printRoom(job, { in: wanted, output, paper });
  const report = roomsReport(job);
  const problems = report.rooms.flatMap((room) => room.problems);
  if (json) process.stdout.write(`${JSON.stringify(report)}\n`);
  else {
    const lines = job.rooms.flatMap((room, index) => [
      ...roomLines(job, room),
      ...(report.rooms[index]?.problems ?? []).map(({ words }) => `  ! ${words}`),
    ]);
    process.stdout.write(`${lines.length ? lines.join("\n") : "This job has no rooms yet."}\n`);
  }
  return problems.length ? 1 : 0;
}

/** Writes the plan of a room with its sheets: PDF in pages, SVG the plan alone. */
async function printRoom(
  job: Job,
  { in: wanted, output, paper }: { readonly in: string | undefined; readonly output: string; readonly paper: string },
): Promise<ExitCode> {
  const room = wanted === undefined ? job.rooms[0] : job.rooms.find(({ id }) => id === wanted);
  if (!room)
    throw new UnusableInput(`--in: expected one of the rooms ${job.rooms.map(({ id }) => id).join(", ") || "(this job has none)"}.`);
  if (!isPaper(paper)) throw new UnusableInput(`--paper: expected one of ${Object.keys(PAPERS).join(", ")}.`);
  const date = new Date().toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
  const print: RoomPrint = { job, answer: roomAnswer(job, room), units: "metric", firm: "", date, paper };
  await writePrint(
    output,
    `${job.name}: ${room.name}`,
    () => roomPages(print),
    () => roomPlanSvg(print),
  );
  return 0;
}

function roomLines(job: Job, room: Room): readonly string[] {
  const answer = roomAnswer(job, room);
  const { space } = answer.scene;
  return [
    `${room.name}, ${space.temperatureC ?? 20}\u2009°C, sound travels ${answer.speedOfSound.toFixed(1)}\u2009m/s`,
    ...answer.speakers.map((speaker) => {
      const seen =
        speaker.azimuthDeg === null ? "" : `${angleWords(speaker.azimuthDeg)}, ${formatLength(speaker.straightM ?? 0, "metric")}: `;
      return `  ${upperFirst(channelName(speaker.channel))} (${speaker.unit.name}): ${seen}${placingSentence(speaker, speaker.placing, "metric")}`;
    }),
    ...answer.upFiring.map(
      (way) =>
        `  ${upperFirst(channelName(way.speaker.channel))}: ${way.spoiledBy ? spoilerSentence(job, room.id, way.spoiledBy, "metric") : upFiringSentence(way, "metric")}`,
    ),
    ...answer.systems.flatMap(({ device, sheet, speech, pairing }) => [
      ...(sheet.length ? [`  To dial at ${deviceName(job, device)}:`] : []),
      ...sheet.map((line) => {
        const { what, value } = sheetLineWords(line);
        const left = line.step === "time" ? errorWords(line.errorMs, answer.speedOfSound) : null;
        return `    ${what}: ${value}${left ? `, leaving it ${left}` : ""}${"outOfRange" in line && line.outOfRange ? ", out of its range" : ""}`;
      }),
      ...(speech.length ? ["  For clearer speech, one at a time:"] : []),
      ...speech.map((step) => `    ${speechStepWords(step)}`),
      ...(pairing.length ? ["  Wireless units, in this order:"] : []),
      ...pairing.map((step) => `    ${pairingStepWords(job, step)}`),
    ]),
    ...answer.wire.map((run) => `  ${wireSentence(run, "metric")}`),
    ...answer.loads.map((load) => `  ${loadSentence(job, load)}`),
    ...answer.mounting.map((one) => `  ${mountingSentence(one)}`),
    ...answer.charging.map((plan) => `  ${chargeSentence(plan)}`),
  ];
}
