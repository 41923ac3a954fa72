export { LEVEL_FACTS, LEVELS, type Level } from "./levels";
export { practiceRig, scoreOf, takeStep, type PracticeRig, type Score, type TakenStep, type WorstMoment } from "./rig";
export { groupOf, STEP_GROUPS, type StepGroup } from "./step-groups";
export { outputsToWire, roomToWire, scoreWiring, type OutputToWire, type WiringScore } from "./wire-it";
