import { mapSvg } from "@/core/drawing";
import { settingFact } from "@/core/facts";
import type { Job } from "@/core/job";
import type { PrintBlock } from "@/core/paper";
import { cableClassName, cableMark, deviceName, recordWords, socketName, settingValue } from "@/core/text";
import { formatLength, type UnitSystem } from "@/core/units";
import type { PrintSetting } from "./document-head";
import { heading, table, titledTable } from "./pieces";

/** Every cable with its sockets; a column of its own where somebody wrote other words on labels than those made from the plan. */
export function plugBlocks(job: Job, units: UnitSystem): readonly PrintBlock[] {
  const hasOwn = job.cables.some(({ tags }) => tags.from || tags.to);
  const heads = hasOwn ? recordWords.plugColumns : recordWords.plugColumns.slice(0, -1);
  return titledTable(
    recordWords.plugged,
    heads,
    [2, 4, 4, 4, 1.5, 3],
    job.cables.map((cable) => [
      cableMark(job, cable),
      socketName(job, cable.from),
      socketName(job, cable.to),
      cableClassName(cable.class),
      formatLength(cable.lengthM, units),
      [cable.tags.from, cable.tags.to].filter(Boolean).join(" / "),
    ]),
  );
}

/** The settings sheet of each device: found, planned, left. */
export function settingBlocks(job: Job): readonly PrintBlock[] {
  const devices = job.devices.filter(({ settings }) => settings.length > 0);
  if (!devices.length) return [];
  return [
    heading(2, recordWords.settings),
    ...devices.flatMap((device): readonly PrintBlock[] => [
      heading(3, deviceName(job, device.id)),
      table(
        recordWords.settingColumns,
        [3, 2, 2, 2, 4],
        device.settings.map(({ key, found, planned, left }) => {
          const words = (value: string | null, none: string) => (value === null ? none : settingValue(device, key, value));
          const { notSeen, asFound, notNoted } = recordWords;
          return [settingFact(key).name, words(found, notSeen), words(planned, asFound), words(left, notNoted), settingFact(key).lookIn];
        }),
      ),
    ]),
  ];
}

/** The wiring map as a drawing under its heading. */
export function mapBlocks(job: Job, { units, firm }: PrintSetting): readonly PrintBlock[] {
  if (!job.devices.length) return [];
  const svg = mapSvg({ job, row: null, units, firm, date: "", revision: null, fonts: "" });
  const [, width = "600", height = "600"] = /width="([\d.]+)" height="([\d.]+)"/.exec(svg) ?? [];
  return [heading(2, recordWords.map), { block: "drawing", svg, widthMm: Number(width), heightMm: Number(height) }];
}
