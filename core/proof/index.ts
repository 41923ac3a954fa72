export { explain, type Explained, type Explanation } from "./explain";
export {
  checkState,
  missesPossible,
  proofChecks,
  proofState,
  provenSoFar,
  seenOfMiss,
  toCount,
  type CheckToCount,
  type ProofCheck,
  type ProofState,
  type ProvenSoFar,
} from "./checks";
export { isActSeen, isSeen, Observation } from "./observation";
export { factOfClass, isNoted, wrongFacts, type FactEdit, type WrongFact } from "./wrong-facts";
