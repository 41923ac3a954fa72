import { z } from "zod";
import type { SettingState } from "@/core/device";
import { UnusableInput } from "./unusable-input";

const State = z.enum(["found", "planned", "left"]);

/** Whose settings count, as `--as` names it. */
export function settingState(given: string): SettingState {
  const state = State.safeParse(given);
  if (!state.success) throw new UnusableInput(`--as: expected found, planned or left, got “${given}”.`);
  return state.data;
}
