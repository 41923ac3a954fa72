/** What is nested deeper than this is no document of ours, and would exhaust whoever walks it. */
export const MOST_NESTING = 64;

/** Whether a JSON text nests lists and objects deeper than that, told without building them. */
export function isTooDeep(text: string, most = MOST_NESTING): boolean {
  let [depth, inString] = [0, false];
  for (let at = 0; at < text.length; at += 1) {
    const sign = text[at];
    if (inString) {
      if (sign === "\\") at += 1;
      else if (sign === '"') inString = false;
    } else if (sign === '"') inString = true;
    else if (sign === "[" || sign === "{") {
      depth += 1;
      if (depth > most) return true;
    } else if (sign === "]" || sign === "}") depth -= 1;
  }
  return false;
}
