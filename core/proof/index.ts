export { explain, type Explained, type Explanation } from "./explain";
export { isSeen, Observation, Seen } from "./observation";
export { wrongFacts, type FactEdit, type WrongFact } from "./wrong-facts";
