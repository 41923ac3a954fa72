export { explain, type Explained, type Explanation } from "./explain";
export { missesPossible, proofChecks, proofState, seenOfMiss, type ProofCheck, type ProofState } from "./checks";
export { isActSeen, isSeen, Observation } from "./observation";
export { factOfClass, isNoted, wrongFacts, type FactEdit, type WrongFact } from "./wrong-facts";
