import { plural } from "./names";

/** Why somebody was not let in. */
export function signInSentence(refusal: { readonly code: "wrong" } | { readonly code: "wait"; readonly seconds: number }): string {
  if (refusal.code === "wrong") return "That is not the passphrase.";
  const { seconds } = refusal;
  return `Too many wrong tries: the next one counts in ${seconds < 90 ? plural(seconds, "second") : plural(Math.ceil(seconds / 60), "minute")}.`;
}
