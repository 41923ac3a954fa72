import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { actOfEvent, householdOf, judgeAct, sensedOf } from "@/core/cec";
import { bandsOf, RULER, rulerOf, sensedBands } from "./ruler";

const household = householdOf(demoJob("receiver-den"));
const act = actOfEvent(household, "wake:console");
const judged = act && judgeAct(household, act);
if (!judged) throw new Error("no act");
const { trace, start } = judged.played;
const ruler = rulerOf(trace);

describe("an act on the ruler", () => {
  test("has every frame and every change, in their order, and none left of the lanes", () => {
    expect(ruler.marks).toHaveLength(trace.frames.length + trace.changes.length);
    ruler.marks.forEach((mark, index) => {
      const before = ruler.marks[index - 1];
      expect(mark.x).toBeGreaterThanOrEqual(before?.x ?? RULER.left);
      expect(mark.tMs).toBeGreaterThanOrEqual(before?.tMs ?? 0);
    });
    expect(new Set(ruler.marks.map(({ key }) => key)).size).toBe(ruler.marks.length);
  });

  test("gives each frame a place of its own to press", () => {
    const xs = ruler.marks.flatMap(({ kind, x }) => (kind === "frame" ? [x] : []));
    expect(new Set(xs).size).toBe(xs.length);
  });

  test("draws waking short and says how long it was: the console's 8 s, the television's 6 s, the receiver's 5 s", () => {
    expect(ruler.pauses.map(({ ms }) => Math.round(ms / 1000))).toEqual([8, 6, 5]);
  });

  test("shows a device asleep, waking and on, one band after the other to the end", () => {
    const bands = bandsOf(ruler, "television", "power", start.get("television")?.power ?? "standby");
    expect(bands.map(({ value }) => value)).toEqual(["standby", "waking", "on"]);
    bands.forEach((band, index) => expect(band.from).toBe(bands[index - 1]?.to ?? RULER.left));
    expect(bands.at(-1)?.to).toBe(ruler.width - RULER.right);
  });

  test("shows what is seen and heard: dark and silent, then the console's picture, then its sound from the receiver", () => {
    const bands = sensedBands(ruler, sensedOf(household, judged.played));
    expect(bands[0]?.value).toMatchObject({ shows: null, sounding: "nowhere", soundsFrom: null });
    expect(bands.at(-1)?.value).toMatchObject({ shows: "console", sounding: "system", soundsFrom: "receiver", volume: 20 });
    bands.forEach((band, index) => expect(band.from).toBe(bands[index - 1]?.to ?? RULER.left));
  });

  test("of a trace in which nothing happens is empty", () => {
    expect(rulerOf({ frames: [], changes: [] })).toMatchObject({ marks: [], pauses: [] });
  });
});
