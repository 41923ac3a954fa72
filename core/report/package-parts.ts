import { householdOf, judgeAll } from "@/core/cec";
import { mapSvg, roomPlanSvg } from "@/core/drawing";
import { bytesOfHex } from "@/core/edid";
import type { Attachment, Job } from "@/core/job";
import { roomAnswer } from "@/core/room";
import { actWords, addressNamesOf, frameBytes, frameWords, packageReadme, screenOf, upperFirst } from "@/core/text";
import { csvOf } from "./csv";
import { longDate, type PrintSetting } from "./documents/document-head";
import { jobTables } from "./job-tables";

/** The document of a job in a package of its files. */
export const PACKAGE_DOCUMENT = "job.octachord.json";
/** The file of a photo in a package. */
export const packagePhoto = ({ id, type }: Pick<Attachment, "id" | "type">): string => `photos/${id}.${type.slice("image/".length)}`;
/** What an import reads of a package; everything else is made from these. */
export const isReadFromPackage = (name: string): boolean => name === PACKAGE_DOCUMENT || name.startsWith("photos/");

/** A job as its file is written: readable lines, the same every time. */
export const jobFileText = (job: Job): string => `${JSON.stringify(job, null, 2)}\n`;

/** A file of a package. */
export interface PackagePart {
  readonly name: string;
  readonly content: string | Uint8Array;
}

/**
 * Everything of a package that is text or drawing, in formats that are read without this program: the job file, drawings, tables, EDIDs, the course of
 * HDMI control, and a README that says what each file is. PDFs and photos come from whoever has them.
 * @param job with its record
 */
export function packageParts(job: Job, setting: PrintSetting): readonly PackagePart[] {
  const { firm, units, day, paper } = setting;
  const date = longDate(day);
  return [
    { name: "README.txt", content: packageReadme(job.name, date) },
    { name: PACKAGE_DOCUMENT, content: jobFileText(job) },
    ...(job.devices.length ? [{ name: "map.svg", content: mapSvg({ job, row: null, units, firm, date, revision: null, fonts: "" }) }] : []),
    ...job.rooms.flatMap((room): PackagePart[] =>
      room.space === null
        ? []
        : [
            {
              name: `rooms/${room.id}.svg`,
              content: roomPlanSvg({ job, answer: roomAnswer(job, room), units, firm: firm.name, date, paper }),
            },
          ],
    ),
    ...jobTables(job).map(({ file, rows }): PackagePart => ({ name: `tables/${file}`, content: csvOf(rows, { mark: true }) })),
    ...job.devices.flatMap(({ id, edid }): PackagePart[] =>
      edid === null ? [] : [{ name: `edid/${id}.bin`, content: bytesOfHex(edid).bytes }],
    ),
    { name: "control.txt", content: controlText(job) },
  ];
}

/** Every everyday act with its frames, in plain lines. */
function controlText(job: Job): string {
  const household = householdOf(job, "planned");
  const screen = screenOf(household);
  const lines = judgeAll(household).flatMap(({ act, played }) => [
    `${upperFirst(actWords(job, act, screen))}`,
    ...played.trace.frames.map(
      ({ tMs, frame, bytes, wire }) =>
        `  ${(tMs / 1000).toFixed(3)} s  ${frameBytes(bytes)}  ${frameWords({ ...frame, bytes: [...bytes] }, addressNamesOf(household, wire))}`,
    ),
    "",
  ]);
  return `${lines.join("\n")}\n`;
}
