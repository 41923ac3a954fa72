import { codingFact } from "@/core/facts";
import { bytesOfHex, edidReport, readEdid } from "@/core/edid";
import type { Job } from "@/core/job";
import type { PrintBlock } from "@/core/paper";
import { recordWords } from "@/core/text";
import { titledTable } from "./pieces";

/** What each device's EDID says, where one was read. */
export const edidBlocks = (job: Job): readonly PrintBlock[] =>
  titledTable(
    recordWords.ids,
    recordWords.edidColumns,
    [3, 3, 3, 6],
    job.devices.flatMap(({ name, edid }) => {
      if (edid === null) return [];
      const read = readEdid(bytesOfHex(edid).bytes);
      const { name: own, preferred, audio } = edidReport(read.edid, read.findings);
      return [
        [
          name,
          own ?? "",
          preferred ? `${preferred.width}\u2009×\u2009${preferred.height}, ${preferred.refreshHz.toFixed(0)}\u2009Hz` : "",
          audio.map(({ coding, channels }) => `${codingFact(coding).name}, ${channels} channels`).join("; "),
        ],
      ];
    }),
  );
