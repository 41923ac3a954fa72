import type { SettingKey } from "@/core/facts";
import { endKey, type CableEnd } from "@/core/job";

/** A question that was asked of the job: `device tv`, `cable tv hdmi1`, `setting tv earc`, `takers tv`. */
export type Question = string;

export const deviceQuestion = (device: string): Question => `device ${device}`;
export const cableQuestion = (end: CableEnd): Question => `cable ${endKey(end)}`;
/** Asks at which inputs of a device something takes returns. */
export const takersQuestion = (device: string): Question => `takers ${device}`;
export const settingQuestion = (device: string, key: SettingKey): Question => `setting ${device} ${key}`;

/**
 * The questions that an answer depends on, in the order in which they were first asked. Noting is cheap: a list, in which the read set of a
 * remembered answer is one entry. It is only taken apart when somebody wants the questions.
 */
export class ReadSet {
  private readonly noted: (Question | ReadSet)[] = [];
  private found: ReadonlySet<Question> | undefined;

  note(read: Question | ReadSet): void {
    this.noted.push(read);
  }

  /** Every question, those of remembered answers included. To be read once the answer is complete. */
  get questions(): ReadonlySet<Question> {
    if (!this.found) {
      const all = new Set<Question>();
      this.collect(all, new Set());
      this.found = all;
    }
    return this.found;
  }

  private collect(all: Set<Question>, seen: Set<ReadSet>): void {
    for (const read of this.noted) {
      if (typeof read === "string") all.add(read);
      else if (!seen.has(read)) {
        seen.add(read);
        read.collect(all, seen);
      }
    }
  }
}
