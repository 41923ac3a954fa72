import type { Job } from "@/core/job";
import { sceneOf, unitsWithWire } from "@/core/room";
import { cableMark, deviceName, endTag, unitName } from "@/core/text";
import { csvOf, type CsvOptions } from "./csv";

/** What is written at one end of a cable or speaker wire. */
export interface CableLabel {
  /** As on the map: "C3"; speaker wires are "W1", "W2" … */
  readonly mark: string;
  readonly end: "from" | "to";
  readonly words: string;
}

/** The labels of both ends of every cable and speaker wire, in the order of the map. */
export function cableLabels(job: Job): readonly CableLabel[] {
  const wires = job.rooms.flatMap((room) => unitsWithWire(sceneOf(job, room)));
  return [
    ...job.cables.flatMap((cable): CableLabel[] =>
      (["from", "to"] as const).map((end) => ({ mark: cableMark(job, cable), end, words: endTag(job, cable, end) })),
    ),
    ...wires.flatMap(({ device, unit }, index): CableLabel[] => {
      const [mark, at] = [`W${index + 1}`, unitName(job, { device: device.id, unit: unit.id })];
      return [
        { mark, end: "from", words: `${mark} ${deviceName(job, device.id)} · other end ${at}` },
        { mark, end: "to", words: `${mark} ${at} · other end ${deviceName(job, device.id)}` },
      ];
    }),
  ];
}

/** The same as comma-separated values. */
export const labelTable = (job: Job, options: CsvOptions = {}): string =>
  csvOf([["mark", "end", "label"], ...cableLabels(job).map(({ mark, end, words }) => [mark, end, words])], options);
