import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { actOfEvent, actsOf, eventOf, householdOf, judgeAct } from "@/core/cec";
import { cecReport } from "@/core/report";

const reportOf = (name: string, event: string) => {
  const household = householdOf(demoJob(name));
  const act = actOfEvent(household, event);
  const judged = act && judgeAct(household, act);
  if (!judged) throw new Error("no act");
  return cecReport(household, judged);
};

describe("the machine form of an act", () => {
  test("has every frame with its time, bytes and words, and how the room stands after it", () => {
    const report = reportOf("sail-loft", "tv-remote-power-on");
    expect(report.frames.map(({ bytes, says }) => [bytes, says])).toEqual([
      ["0F:85", "Television asks everyone: who is the source?"],
      ["05:70:00:00", "Television asks Bar: take the sound over."],
      ["5F:72:01", "Bar tells everyone: the sound is mine."],
    ]);
    expect(report.end).toMatchObject({ source: null, systemAudio: true, arc: false, volumeOwner: "bar" });
    expect(report.end.power).toEqual({ streamer: "standby", "disc-player": "standby", console: "standby", television: "on", bar: "on" });
    expect(report).toMatchObject({ verdict: "as-wished", misses: [], steps: [], cures: [], remotes: ["television"] });
  });

  test("has its cures with the edit that makes them and the words for it", () => {
    const { cures, verdict } = reportOf("receiver-den", "night-update:set-top-box");
    expect(verdict).toBe("with-a-step");
    expect(cures[0]).toMatchObject({
      cure: "setting",
      command: { kind: "set-setting", device: "set-top-box", setting: "control-wakes", value: "off" },
      words: "set “Wakes others over HDMI control” at Set-top box to off",
    });
    expect(cures.some(({ cure }) => cure === "programmed-remote")).toBe(false);
  });

  test.each(demoJobNames())("of %s is plain data that survives being written down, for each of its acts", (name) => {
    const household = householdOf(demoJob(name));
    for (const act of actsOf(household)) {
      const judged = judgeAct(household, act);
      if (!judged) throw new Error(eventOf(act));
      const report = cecReport(household, judged);
      expect(JSON.parse(JSON.stringify(report))).toEqual(report);
      expect(report.event).toBe(eventOf(act));
      for (const frame of report.frames) {
        expect(frame.end_ms).toBeGreaterThan(frame.t_ms);
        expect(frame.bytes).toMatch(/^[0-9A-F]{2}(:[0-9A-F]{2}){0,15}$/);
      }
    }
  });
});
