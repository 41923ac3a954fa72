export { addEffort, boxEffort, type Effort, effortPoints, menuEffort, NO_EFFORT, takeOutEffort, wireEffort } from "./effort";
export { commonActs, commonFigures, easeOf, failingActs, playerOfAct, remotesNeeded } from "./everyday-acts";
export {
  contentShare,
  figuresOf,
  idleLeads,
  leadsAreUsed,
  takesLead,
  type PlanFigures,
  rowPoints,
  solvedRoom,
  type SolvedRoom,
  weighedFigures,
  type WeighedFigures,
} from "./figures";
export {
  allowsRemotes,
  fulfils,
  fulfilsAll,
  hopePoints,
  hopesAtMost,
  readMust,
  readWant,
  type RemoteLimit,
  remoteLimits,
  remotePoints,
} from "./musts";
export { mostPoints, pointsOf } from "./points";
export { presetOf, readWeights, TUNABLE, TUNABLE_NAMES, writeWeights } from "./read-weights";
export {
  ACTS_SHARE,
  easeAfter,
  HOPE_POINTS,
  MINUTES,
  type Preset,
  PRESET_NAMES,
  PRESETS,
  shownKept,
  soundKept,
  UNPLUGGED_POINTS,
  type Weights,
  weightsOf,
  WITHOUT_PICTURE,
} from "./weights";
