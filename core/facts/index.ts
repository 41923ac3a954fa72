export { BED_IDS, bedChannels, bedOfAtMost, bedStrings, BEDS, mainChannels, smallerBed, STRINGS, type Bed, type StringName } from "./beds";
export {
  CABLE_CLASS_IDS,
  CABLE_CLASSES,
  cableClassFact,
  cableJoins,
  certainLength,
  classesJoining,
  ONE_WAY_CLASSES,
  type CableClass,
  type ReturnWires,
} from "./cables";
export {
  addressesOf,
  BACKUP_ADDRESSES,
  CEC_ABORTS,
  CEC_ADDRESSES,
  CEC_DEVICE_TYPES,
  CEC_KEY,
  CEC_KEYS,
  CEC_KINDS,
  CEC_POWER,
  CEC_TIMES,
  CEC_VERSIONS,
  EVERYONE,
  UNREGISTERED,
  type CecKind,
} from "./cec";
export { CEC_MESSAGES, type CecMessageName, type CecMessageRow, type CecOperand } from "./cec-messages";
export { CODING_IDS, codingFact, CODINGS, payloadRate, stereoRate, type Coding, type Objects } from "./codings";
export { CONNECTOR_IDS, connectorFact, connectorName, CONNECTORS, type Connector } from "./connectors";
export { BLUETOOTH_DELAY, linkFact, LINKS, type LinkKind } from "./links";
export { FRL_EFFICIENCY, FRL_GBPS, FRL_LEAST_BLANKING, FRL_TOLERANCE, frlLanes, frlOverhead, TMDS_MAX_GBPS } from "./frl";
export { judgeLipSync, LIP_SYNC, withinLipSyncTarget, type LipSyncJudgement } from "./lip-sync";
export { RELATIVES, relativesOf } from "./relatives";
export { isSettingValue, optionLabel, SETTING_KEYS, settingFact, SETTINGS, type SettingKey } from "./settings";
export { VISIT_MINUTES, VISIT_WORKS, type VisitWork } from "./visit-minutes";
export { speedOfSound, USUAL_CELSIUS } from "./air";
export { awgMm2, COPPER, MOST_WIRE_SHARE, WIRE_AWG, WIRE_MM2 } from "./speaker-wire";
export {
  CHANNEL_NAMES,
  CHANNELS,
  channelsOf,
  isHeight,
  mirrorOf,
  sideOf,
  windowOf,
  type Channel,
  type SpeakerWindow,
} from "./speaker-channels";
export { PICTURE_MODES, TIMINGS, timingFact, type PictureMode } from "./timings";
export { AUDIO_FORMAT_CODES, DETAILED_TIMINGS, EOTFS, FRL_BY_CODE, LPCM_BITS, OUI, SAMPLE_RATES_KHZ, SPEAKER_POSITIONS } from "./edid";

export {
  CHANGES,
  COURSES,
  FAULT_KIND_IDS,
  FAULT_KINDS,
  faultKindFact,
  JUST_CHANGED,
  MISREAD_ONE_IN,
  type ChangeTold,
  type Course,
  type FaultKind,
} from "./faults";
export { FINDING_MINUTES, type FindingWork } from "./finding-minutes";
export { DUE_TERMS, dueMonths, type DueTerm } from "./due-terms";
