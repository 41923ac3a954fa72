export { BED_IDS, bedChannels, bedOfAtMost, bedStrings, BEDS, mainChannels, smallerBed, STRINGS, type Bed, type StringName } from "./beds";
export { CABLE_CLASS_IDS, CABLE_CLASSES, cableClassFact, type CableClass, type ReturnWires } from "./cables";
export { CODING_IDS, codingFact, CODINGS, payloadRate, type Coding, type Objects } from "./codings";
export { CONNECTOR_IDS, connectorName, CONNECTORS, type Connector } from "./connectors";
export { linkFact, LINKS, type LinkKind } from "./links";
export { judgeLipSync, LIP_SYNC, type LipSyncJudgement } from "./lip-sync";
export { RELATIVES, relativesOf } from "./relatives";
export { optionLabel, SETTING_KEYS, settingFact, SETTINGS, type SettingKey } from "./settings";
export { PICTURE_MODES, TIMINGS, timingFact, type PictureMode } from "./timings";
