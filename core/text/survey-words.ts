import { findArchetype } from "@/core/device";
import type { Job } from "@/core/job";
import { unreachable } from "@/core/outcome";
import type { ListedDifference, SurveyFact, TableTrouble } from "@/core/survey";
import { deviceName, listed, roomName, socketName } from "./names";
import { unknownWords } from "./reason-words";
import { codingName, descriptorWords } from "./sound-words";

/** A question for the visit: "how “eARC” is set at Television". */
export function questionWords(job: Job, fact: SurveyFact): string {
  switch (fact.fact) {
    case "socket-rate":
      return `the highest rate of ${socketName(job, fact)}`;
    case "socket-hdcp":
      return `which HDCP ${socketName(job, fact)} has`;
    case "sound-delay":
      return `the sound delay of ${deviceName(job, fact.device)}`;
    case "picture-delay":
      return `the picture delay of ${deviceName(job, fact.device)}`;
    case "volume":
      return `what changes the volume of ${deviceName(job, fact.device)}`;
    case "run-length":
      return `how long a cable between ${listed(fact.rooms.map((room) => roomName(job, room)))} must be`;
    default:
      return unknownWords(job, fact);
  }
}

/** Why a line of a pasted table was not understood, and what would be. */
export function tableTroubleSentence(trouble: TableTrouble): string {
  const near = "near" in trouble && trouble.near.length ? ` For instance: ${trouble.near.map((id) => nearWords(id)).join("; ")}.` : "";
  switch (trouble.code) {
    case "no-kind-column":
      return "The first line must name the columns, one of them “kind”; “name”, “maker”, “room” and “note” are optional.";
    case "no-kind":
      return "The kind of device is missing.";
    case "unknown-kind":
      return `Nothing on the shelf matches “${trouble.kind}”.${near}`;
    case "several-kinds":
      return `Several kinds on the shelf match “${trouble.kind}”; name one.${near}`;
    case "too-long":
      return `“${trouble.column}” takes at most ${trouble.limit} characters.`;
    default:
      return unreachable(trouble);
  }
}

const nearWords = (id: string): string => `${id} (${findArchetype(id)?.name ?? id})`;

/** One coding that a read EDID has otherwise: "Dolby Digital Plus: the EDID lists 5.1, the job has nothing". */
export function listedDifferenceWords({ coding, read, known }: ListedDifference): string {
  const words = (row: ListedDifference["read"]) => (row ? descriptorWords(row) : "nothing");
  return `${codingName(coding)}: the EDID lists ${words(read)}, the job had ${words(known)}`;
}
