export { addTable, readDeviceTable, type TableLine, type TableTrouble } from "./device-table";
export { edidAgainstDevice, takeOverEdid, type ListedDifference } from "./edid-against-device";
export { nextAct, type NextAct } from "./next-act";
export { openQuestions, type OpenQuestion, type SurveyFact } from "./open-questions";
export { walkOf, type WalkStop } from "./walk";
