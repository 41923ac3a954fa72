import fc from "fast-check";

/** For tests: what becomes of a request on its way: it is answered, never comes, or comes and its answer is lost. */
export type Way = "answered" | "never comes" | "answer lost";

/** For tests: what becomes of the next few requests; those after them are answered. */
export const someWays: fc.Arbitrary<readonly Way[]> = fc.array(fc.constantFrom<Way>("answered", "never comes", "answer lost"), {
  minLength: 1,
  maxLength: 4,
});
