import { describe, expect, test } from "vitest";
import { applyAll } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { solve } from "./solve";
import { soundDelays } from "./sound-delay";

const job = demoJob("receiver-den");
const delaysOf = (of: typeof job) => {
  const device = of.devices.find(({ id }) => id === "receiver");
  const found = device && soundDelays(device, solve(of, "planned").rows, "planned");
  if (!found) throw new Error("no delays");
  return found;
};

describe("the sound delay to set for each input", () => {
  test("is the step that leaves the least between sound and picture, and setting it does what it says", () => {
    for (const { port, setMs, thenMs } of delaysOf(job).inputs) {
      const set = applyAll(job, [
        { kind: "set-setting", device: "receiver", setting: "sound-delay", state: "planned", value: String(setMs) },
      ]);
      if (!set.ok) throw new Error("refused");
      const after = delaysOf(set.value).inputs.find((input) => input.port === port);
      expect(after?.nowMs.map((ms) => Math.round(ms))).toEqual(thenMs.map((ms) => Math.round(ms)));
      expect(after?.setMs).toBe(setMs);
    }
  });

  test("is never less than nothing, and nothing where the device has no such setting", () => {
    expect(delaysOf(job).inputs.every(({ setMs }) => setMs >= 0)).toBe(true);
    const television = job.devices.find(({ role }) => role === "screen");
    expect(television && soundDelays({ ...television, settings: [] }, [], "planned")).toBeNull();
  });
});
