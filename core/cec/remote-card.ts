import { isOnPurpose, type Act } from "./acts";
import type { HandStep, JudgedAct } from "./judge";

/** A button of a remote, what it is for, and what is left to press after it. */
export interface CardButton {
  readonly step: HandStep;
  readonly act: Act;
  readonly then: readonly HandStep[];
}

/** The buttons of each remote that the household needs. */
export interface CardRemote {
  readonly remote: string;
  readonly buttons: readonly CardButton[];
}

/** The household's card: for each remote its buttons, from acts that work. An act that fails or is unstable is on none. */
export function remoteCardOf(all: readonly JudgedAct[]): readonly CardRemote[] {
  const remotes = new Map<string, CardButton[]>();
  for (const { act, played, verdict } of all) {
    if (!isOnPurpose(act) || verdict.verdict === "fails" || verdict.verdict === "unstable") continue;
    const [first] = played.pressed;
    if (!first) continue;
    const step = { device: first.device, key: first.key };
    const buttons = remotes.get(first.device) ?? [];
    remotes.set(first.device, [...buttons, { step, act, then: verdict.verdict === "with-a-step" ? verdict.steps : [] }]);
  }
  return [...remotes].map(([remote, buttons]) => ({ remote, buttons }));
}
