export { applyAll, applyCommand } from "./apply-command";
export { asItStands } from "./as-it-stands";
export type { Applied } from "./applied";
export { Attachment, ATTACHMENT_TYPES, attachmentTypeOf, isHeic, MAX_ATTACHMENT_BYTES, MAX_PACKED_BYTES } from "./attachment";
export { breachesOf, type Breach } from "./breaches";
export { MOST_WEIGHTS, PURCHASE_KINDS, Want, WEIGHINGS, Weights, type Bond, type Brief, type PurchaseKind, type Run } from "./brief";
export type { CableCommand } from "./cable-commands";
export type { RoomCommand } from "./room-commands";
export type { HandoverCommand } from "./handover-commands";
export { HandoverPlan, SHEET_LANGUAGES, type OwnSentence, type SheetLanguage } from "./handover-plan";
export { HOUSEHOLD_CHANGES, JobEvent, VISIT_REASONS, type EventOf, type HouseholdChange, type VisitReason } from "./job-event";
export type { VisitCommand } from "./visit-commands";
export { FIX_STEPS, FixStep, MEASURED_UNITS, MISSES, MOST_ENTRIES, Seen, STEP_STATES, VisitEntry, type StepState } from "./visit-entry";
export { VisitPlan, type AddedStep } from "./visit-plan";
export { Ceiling, emptySpace, MOUNTS, Obstacle, Placement, RoomReading, ScreenPlace, Seat, Space, Spot } from "./space";
export { editWithStates, wiringOf } from "./states";
export { Command, sortCommand, stepsOf, type SingleCommand } from "./command";
export type { DeviceCommand } from "./device-commands";
export type { JobCommand } from "./job-commands";
export type { KeptCommand } from "./kept-commands";
export { isTooDeep, MOST_NESTING } from "./nesting";
export { joinSockets, moveCableEnd, removeWithCables, replaceDevice, socketAnswers } from "./compose";
export { cableAt, chosenSoundSystem, endKey, findDevice, findPort, freeId, freeName, sameEnd } from "./find";
export {
  Cable,
  emptyJob,
  Job,
  JOB_FORMAT,
  JOB_VERSION,
  MOST_SNAPSHOTS,
  type CableEnd,
  type Room,
  type Snapshot,
} from "./job";
export { PHASES, type Phase } from "./phase";
export { addDevice } from "./as-added";
export { withoutPlace } from "./photo-place";
export { freeJoins, plugMoves, reaches, type FreeJoin, type PlugMove } from "./moves";
export { formatPlace } from "./check-job";
export { MAX_JOB_BYTES, readJob, readJobText, type JobTrouble } from "./read-job";
export type { Refusal } from "./refusal";
export { salvageJob, type Salvaged } from "./salvage";
export { editSoundly, type EditRefusal } from "./sound-edit";
export { editToKeep, textToKeep } from "./keep-edit";
export { readShelfFile, SHELF_FORMAT, writeShelfFile } from "./shelf-file";
export { readCommands } from "./read-commands";
export { typedWords } from "./typed-words";
export { runBetween, whyNotLay } from "./run";
export { loopThrough } from "./loop-through";
export { coveringStick, whyNotPlug } from "./why-not-plug";
