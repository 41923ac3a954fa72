export { arrivalSentence, BEST_OF_SYSTEM, isBestOfSystem, screenSpeakersSentence, storyWords } from "./arrival-sentence";
export { cautionFlag, cautionSentence, volumeSentence } from "./caution-words";
export { edidWords } from "./edid-words";
export { differenceWords, leadsWords, passesWords } from "./device-words";
export { arrivalLines } from "./arrival-lines";
export { boardText, rowText } from "./board-text";
export { BRIEF_USES } from "./brief-words";
export { cableMark, endTag } from "./cable-words";
export { controlFlag, controlSentence, pictureRunWords, POWER_WORDS } from "./layer-words";
export { plural } from "./plural";
export { nextActWords } from "./next-act-words";
export { listedDifferenceWords, questionWords, tableTroubleSentence } from "./survey-words";
export { stockName } from "./stock-words";
export { atAPriceWords, changeWords, movedWords, proofSentence, setWords, tieWords } from "./change-words";
export { commandWords } from "./command-words";
export {
  formatMegabytes,
  cableClassName,
  cableName,
  cableShortName,
  deviceName,
  listed,
  roomName,
  socketLabel,
  socketName,
  socketPrint,
  upperFirst,
} from "./names";
export { unitName } from "./unit-name";
export { meanwhileSentences } from "./meanwhile-words";
export { modeWords, pictureFlag, pictureLossSentence, pictureWords } from "./picture-words";
export { reasonFlag, reasonRemedy, reasonSentence, unknownWords } from "./reason-words";
export { backupSentence, restoredSentence, restoreRefusal } from "./backup-words";
export { signInSentence } from "./sign-in-words";
export { zipSentence } from "./zip-words";
export { refusalFlag, refusalSentence, troubleSentence } from "./refusal-words";
export { settingValue, settingValueIn } from "./setting-words";
export {
  codingName,
  descriptorWords,
  LIP_SYNC_WORDS,
  lineageWords,
  masterWords,
  playedWords,
  rowWords,
  streamWords,
  VERDICT_WORDS,
  verdictWords,
} from "./sound-words";
export { fileStem } from "./file-stem";
export {
  addressNamesOf,
  cutSentence,
  frameBytes,
  frameFindingSentence,
  frameWords,
  messageWords,
  stateChangeWords,
  type AddressNames,
} from "./cec-words";
export {
  ACT_VERDICT_WORDS,
  actVerdictSentence,
  actWords,
  cardWords,
  conflictSentence,
  eventWords,
  judgedActSentence,
  missSentence,
  relianceSentence,
  stepWords,
} from "./control-words";
export { cureLimits, cureWords } from "./cure-words";
export { INFRARED_WORDS, QUIRK_WORDS } from "./quirk-words";
export { nothingToPlan } from "./nothing-to-plan";
export {
  checkWords,
  conflictOfWishes,
  figureLines,
  givenUp,
  impossibleSchool,
  mustWords,
  planIdea,
  planProof,
  planMenuLines,
  planWorkLines,
  PRESET_WORDS,
  SCHOOL_WORDS,
  shoppingWords,
  whyNotSentence,
} from "./plan-words";
export { suppositionWords, tradesProof, tradeWords, whatIfSentence } from "./trade-words";
export { drawingWords } from "./drawing-words";
export {
  angleWords,
  channelName,
  MIRRORED_SENTENCE,
  moveWords,
  PLACING_WORDS,
  placingSentence,
  proposalSentence,
  reachSentence,
  roomTroubleSentence,
  spoilerSentence,
  swappedSentence,
  upFiringSentence,
} from "./room-words";
export {
  chargeSentence,
  decibelWords,
  dialValueWords,
  errorWords,
  loadSentence,
  mountingSentence,
  pairingStepWords,
  sheetLineWords,
  speechStepWords,
  templateRefusalSentence,
  wireSentence,
} from "./room-sheet-words";
export { heardSentence, recordingSentence, recordingTroubleSentence, SIGNAL_CAUTION, wavTroubleSentence } from "./measure-words";
export { signWords, stepCaution, stepTools } from "./visit-signs";
export { calendarWords, timeOfDay, tooEarlyWords, type CalendarFacts } from "./day-words";
export {
  durationWords,
  foundStateName,
  orderWords,
  rangeWords,
  settingNeedWords,
  WORK_WORDS,
  scheduleSentence,
  visitStepWords,
} from "./visit-words";
export { explainedSentence, wrongFactSentence } from "./proof-words";
export {
  actPrediction,
  checkTitle,
  findTitleWords,
  predictionLines,
  PROOF_STATE_WORDS,
  screenOf,
  seenWords,
  speakerPrediction,
  watchWords,
} from "./prove-words";
export { actSeenWords, answerWords, cureSentence, rowSeenWords, stepSentence, takenSentence, type EventName } from "./step-words";
export { curePrice, disturbsSentence, stepDanger } from "./step-costs";
export { faultIdWords, faultSentence, rowName } from "./fault-words";
export {
  chanceWords,
  observedTroubleSentence,
  PASTED_TROUBLE_WORDS,
  suspectSentence,
  symptomWords,
  UNEXPLAINED_SENTENCE,
  whySentence,
} from "./diagnose-words";
export { LEVEL_WORDS, plantedSentence, rigStepSentence, scoreSentence, STEP_GROUP_WORDS, worstMomentSentences } from "./practice-words";
export { FAULT_KIND_WORDS } from "./fault-kind-words";
export {
  lineWords,
  plainWordsTroubles,
  sentencesWithoutLine,
  SHEET_WORDS,
  type LineWords,
  type PlainWordsTrouble,
  type SheetWords,
} from "./household";
export { dueSentence, HOUSEHOLD_CHANGE_WORDS, recordWords, STEP_STATE_WORDS, VISIT_REASON_WORDS, visitSentence } from "./handover-words";
export { packageReadme } from "./package-words";
export { documentWords } from "./document-words";
export { cureName, LOSS_WORDS, recurringSentence } from "./figures-words";
