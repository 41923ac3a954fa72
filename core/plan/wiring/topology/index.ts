export { boxSets, isMatrix, missing, showsOn } from "./box-sets";
export { isCutOff } from "./leads";
export { allowsHub, hubOf, type School, SCHOOLS, schoolsOf, schoolsOfOpen, schoolsWanted } from "./schools";
export { isSwitchBox } from "./switch-box";
export { openTopologiesOf, type OpenTopology, topologiesOf, type Topology } from "./topologies";
