import { roomPlanSvg } from "@/core/drawing";
import type { Job } from "@/core/job";
import type { PrintBlock } from "@/core/paper";
import { roomAnswer } from "@/core/room";
import { deviceName, drawingWords, pairingStepWords, recordWords, sheetLineWords, wireSentence } from "@/core/text";
import { longDate, type PrintSetting } from "./document-head";
import { heading, table } from "./pieces";

/** Each room with its plan, what to dial, and its speaker wire; a room of which nothing is measured is left out. */
export const roomBlocks = (job: Job, { units, firm, paper, day }: PrintSetting): readonly PrintBlock[] =>
  job.rooms.flatMap((room): readonly PrintBlock[] => {
    if (room.space === null) return [];
    const answer = roomAnswer(job, room);
    const svg = roomPlanSvg({ job, answer, units, firm: firm.name, date: longDate(day), paper });
    const lines = answer.systems.flatMap((system) => [
      ...(system.sheet.length
        ? [
            heading(3, drawingWords.diallingSheet(deviceName(job, system.device))),
            table(
              recordWords.dialColumns,
              [4, 4],
              system.sheet.map((line) => {
                const { what, value } = sheetLineWords(line);
                return [what, value];
              }),
            ),
          ]
        : []),
      ...(system.pairing.length
        ? [
            heading(3, drawingWords.pairing),
            { block: "list", ordered: true, items: system.pairing.map((step) => pairingStepWords(job, step)) } as const,
          ]
        : []),
    ]);
    const wire = answer.wire.map((run) => wireSentence(run, units));
    return [
      heading(2, recordWords.room(room.name)),
      { block: "drawing", svg, widthMm: 210, heightMm: 297 },
      ...lines,
      ...(wire.length ? [heading(3, drawingWords.wire), { block: "list", ordered: false, items: wire } as const] : []),
    ];
  });
