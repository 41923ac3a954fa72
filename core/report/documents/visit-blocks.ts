import { countedEntries, dueOf, replacementsOf, visitsOf } from "@/core/handover";
import type { Job, VisitEntry } from "@/core/job";
import type { PrintBlock } from "@/core/paper";
import { channelName, deviceName, dueSentence, faultIdWords, recordWords, unitName, upperFirst, visitSentence } from "@/core/text";
import { formatLength, type UnitSystem } from "@/core/units";
import { titledTable } from "./pieces";
import type { StepName } from "./step-names";

const dayOf = ({ at }: VisitEntry): string => at.slice(0, 10);

/** Every visit, what was found on them, and what is due from them. */
export const visitBlocks = (job: Job, record: readonly VisitEntry[]): readonly PrintBlock[] => {
  const visits = visitsOf(record);
  return [
    ...titledTable(
      recordWords.visits,
      recordWords.visitColumns,
      [2, 6, 5],
      visits.map((visit) => [visit.day, visitSentence(visit), visit.note]),
    ),
    ...titledTable(
      recordWords.faults,
      recordWords.faultColumns,
      [6, 2],
      visits.flatMap(({ day, faults }) => faults.map((id) => [faultIdWords(job, id), day])),
    ),
    ...titledTable(
      recordWords.due,
      recordWords.dueColumns,
      [2, 9],
      dueOf(job, record).map((due) => [due.on, dueSentence(job, due)]),
    ),
  ];
};

/** Distances and levels of the rooms, and what was measured at steps. */
export const measuredBlocks = (job: Job, record: readonly VisitEntry[], units: UnitSystem, name: StepName): readonly PrintBlock[] =>
  titledTable(
    recordWords.measured,
    recordWords.measuredColumns,
    [6, 2, 2, 2],
    [
      ...job.rooms.flatMap(({ space }) =>
        (space?.readings ?? []).map(({ device, unit, channel, seat, of, value, by }) => [
          [
            `${upperFirst(unitName(job, { device, unit }))}${channel ? `, ${channelName(channel)}` : ""}`,
            space?.seats.find(({ id }) => id === seat)?.name ?? seat,
            of,
          ].join(", "),
          of === "distance" ? formatLength(value, units) : `${value}\u2009dB`,
          "",
          by,
        ]),
      ),
      ...countedEntries(record).flatMap((entry) =>
        entry.measured ? [[name(entry.step), `${entry.measured.value}\u2009${entry.measured.unit}`, dayOf(entry), entry.who]] : [],
      ),
    ],
  );

/** What is known of the firmware of each device, from events and from what was noted at its step. */
export const firmwareBlocks = (job: Job, record: readonly VisitEntry[]): readonly PrintBlock[] =>
  titledTable(
    recordWords.firmware,
    recordWords.firmwareColumns,
    [3, 5, 2, 2],
    countedEntries(record).flatMap((entry) => {
      if (entry.event?.event === "firmware") return [[deviceName(job, entry.event.device), entry.event.firmware, dayOf(entry), entry.who]];
      const device = /^firmware (\S+)$/.exec(entry.step)?.[1];
      return device && entry.state === "done" ? [[deviceName(job, device), entry.note || "updated", dayOf(entry), entry.who]] : [];
    }),
  );

/** Devices that others took the place of. */
export const replacedBlocks = (record: readonly VisitEntry[]): readonly PrintBlock[] =>
  titledTable(
    recordWords.replaced,
    recordWords.replacedColumns,
    [4, 4, 2],
    replacementsOf(record).map(({ event, entry }) => [event.name, event.became, dayOf(entry)]),
  );
