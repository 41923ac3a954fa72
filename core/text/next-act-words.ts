import { unreachable } from "@/core/outcome";
import type { NextAct } from "@/core/survey";
import { plural } from "./plural";

/** What is due next, as the docket says it. */
export function nextActWords(next: NextAct): string {
  switch (next.act) {
    case "note-gear":
      return "record the gear";
    case "find-out":
      return `find out ${plural(next.questions, "fact")}`;
    case "lift":
      return `${plural(next.rows, "row")} below ${next.rows === 1 ? "its" : "their"} best: see what lifts ${next.rows === 1 ? "it" : "them"}`;
    case "agree-day":
      return "agree a day for the visit";
    case "design":
      return "move on to the design";
    case "visit":
      return "ready for the visit";
    case "note-left":
      return `record ${plural(next.settings, "setting")} as left`;
    case "hand-over":
      return "hand over";
    case "nothing":
      return "handed over";
    default:
      return unreachable(next);
  }
}
