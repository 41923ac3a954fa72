import { castOf, householdOf } from "@/core/cec";
import { settingFact } from "@/core/facts";
import type { Job } from "@/core/job";
import { checkState, proofChecks } from "@/core/proof";
import {
  cableClassName,
  cableMark,
  checkTitle,
  deviceName,
  endTag,
  PROOF_STATE_WORDS,
  roomName,
  seenWords,
  settingValue,
  socketLabel,
  STEP_STATE_WORDS,
} from "@/core/text";
import { lastEntries } from "@/core/visit";
import type { Cell } from "./csv";
import { stepNames } from "./documents/step-names";

/** A table of a job for a spreadsheet: the name of its file, and its rows with the headings first. */
export interface JobTable {
  readonly file: string;
  readonly rows: readonly (readonly Cell[])[];
}

/** Everything of a job that is a list, in open tables: devices, cables, settings, proof, and the record entry by entry. */
export const jobTables = (job: Job): readonly JobTable[] => [
  {
    file: "devices.csv",
    rows: [
      ["id", "name", "maker", "role", "room", "note"],
      ...job.devices.map((one) => [one.id, one.name, one.maker, one.role, one.room ? roomName(job, one.room) : "", one.note]),
    ],
  },
  {
    file: "cables.csv",
    rows: [
      ["mark", "from device", "from socket", "to device", "to socket", "class", "length m", "label at from", "label at to"],
      ...job.cables.map((cable) => [
        cableMark(job, cable),
        deviceName(job, cable.from.device),
        socketLabel(job, cable.from),
        deviceName(job, cable.to.device),
        socketLabel(job, cable.to),
        cableClassName(cable.class),
        cable.lengthM,
        endTag(job, cable, "from"),
        endTag(job, cable, "to"),
      ]),
    ],
  },
  {
    file: "settings.csv",
    rows: [
      ["device", "setting", "found", "planned", "left", "look in"],
      ...job.devices.flatMap((device) =>
        device.settings.map(({ key, found, planned, left }) => [
          device.name,
          settingFact(key).name,
          ...[found, planned, left].map((value) => (value === null ? "" : settingValue(device, key, value))),
          settingFact(key).lookIn,
        ]),
      ),
    ],
  },
  { file: "proof.csv", rows: proofRows(job) },
  { file: "record.csv", rows: recordRows(job) },
];

/** The record entry by entry, each step in words and by the id under which it is kept. */
function recordRows(job: Job): readonly (readonly Cell[])[] {
  const name = stepNames(job, householdOf(job, "planned"), job.record);
  return [
    ["at", "who", "step", "id of the step", "state", "minutes", "measured", "unit", "note"],
    ...job.record.map(({ at, who, step, state, minutes, measured, note }) => [
      at,
      who,
      name(step),
      step,
      STEP_STATE_WORDS[state],
      minutes ?? "",
      measured?.value ?? "",
      measured?.unit ?? "",
      note,
    ]),
  ];
}

function proofRows(job: Job): readonly (readonly Cell[])[] {
  const household = householdOf(job, "planned");
  const screen = castOf(household).screen?.nature.device;
  const last = lastEntries(job.record);
  return [
    ["check", "state", "seen", "at", "who", "note"],
    ...proofChecks(job, household, household.solved.rows).map((check) => {
      const entry = last.get(check.id);
      const state = checkState({ isMeasured: check.check === "speaker" && check.isMeasured }, entry);
      return [
        checkTitle(job, check, screen),
        PROOF_STATE_WORDS[state],
        entry?.sees ? seenWords(job, entry.sees) : "",
        entry?.at ?? "",
        entry?.who ?? "",
        entry?.note ?? "",
      ];
    }),
  ];
}
