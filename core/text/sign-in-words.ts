import { plural } from "./plural";

/** Why somebody was not let in. */
export function signInSentence(
  refusal: { readonly code: "wrong" } | { readonly code: "no-such-ticket" } | { readonly code: "wait"; readonly seconds: number },
): string {
  if (refusal.code === "wrong") return "That is not the passphrase.";
  if (refusal.code === "no-such-ticket")
    return "This code was used or is too old: let the other device show a new one, or type the passphrase.";
  const { seconds } = refusal;
  return `Too many wrong tries: the next one counts in ${seconds < 90 ? plural(seconds, "second") : plural(Math.ceil(seconds / 60), "minute")}.`;
}
