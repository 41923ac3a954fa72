import { describe, expect, test } from "vitest";
import { applyAll } from "@/core/job";
import { compareHeard, readingsOf, type HeardDifference } from "./heard";
import { speakersOf } from "./speakers";
import { sceneOf } from "./units-in-room";
import { jobWith, roomOf } from "./under-test";

const tape = (unit: string, value: number) => ({ device: "system", unit, seat: "seat", of: "distance", value, by: "tape" });
const heard = (channel: HeardDifference["channel"], distanceDiffM: number | null, levelDb: number | null = null, trusted = true) => ({
  channel,
  distanceDiffM,
  levelDb,
  trusted,
});

/** A receiver with five speakers and a subwoofer, their distances by tape, and what a microphone heard against the first. */
function compared(tapes: readonly object[], differences: readonly HeardDifference[]) {
  const job = jobWith("receiver-51", { readings: tapes });
  const scene = sceneOf(job, roomOf(job));
  return { job, scene, rows: compareHeard(scene, speakersOf(scene), differences) };
}
const of = ({ rows }: ReturnType<typeof compared>, channel: string) => rows.find(({ speaker }) => speaker.channel === channel);

describe("distances by sound", () => {
  test("are fitted to the tape: 0, +2 and −20 cm against the front left at 3.0 m", () => {
    const room = compared([tape("l", 3), tape("r", 3.02), tape("c", 2.8)], [heard("L", 0), heard("R", 0.02), heard("C", -0.2)]);
    expect(of(room, "L")).toMatchObject({ tapeM: 3, disagrees: false });
    expect(of(room, "R")?.soundM).toBeCloseTo(3.02, 9);
    expect(of(room, "C")?.soundM).toBeCloseTo(2.8, 9);
  });

  test("one tape that was read wrong moves none of them, and is the one that disagrees", () => {
    const room = compared([tape("l", 3), tape("r", 3.5), tape("c", 2.8)], [heard("L", 0), heard("R", 0), heard("C", -0.2)]);
    expect(room.rows.map(({ speaker, disagrees }) => `${speaker.channel} ${String(disagrees)}`)).toEqual(
      expect.arrayContaining(["L false", "R true", "C false"]),
    );
    expect(of(room, "R")?.soundM).toBeCloseTo(3, 9);
  });

  test("15 cm is what a tape may err by: more disagrees", () => {
    const at = (metres: number) =>
      of(compared([tape("l", 3), tape("c", 3), tape("r", 3)], [heard("L", 0), heard("C", 0), heard("R", metres)]), "R");
    expect(at(0.14)?.disagrees).toBe(false);
    expect(at(0.16)?.disagrees).toBe(true);
  });

  test("a subwoofer fits nothing: its crossover delays it, so its own tape is no anchor", () => {
    const room = compared([tape("sub", 2), tape("l", 3)], [heard("LFE", 1.4), heard("L", 0)]);
    expect(of(room, "L")?.soundM).toBeCloseTo(3, 9);
    expect(of(room, "LFE")?.soundM).toBeCloseTo(4.4, 9);
  });

  test("without any distance by tape there is none by sound: one microphone never tells the absolute", () => {
    const room = compared([], [heard("L", 0, -20), heard("R", 0.3, -21)]);
    expect(room.rows.every(({ soundM }) => soundM === null)).toBe(true);
  });

  test("a speaker that was not heard has none", () => {
    const room = compared([tape("l", 3), tape("ls", 2)], [heard("L", 0), heard("Ls", null)]);
    expect(of(room, "Ls")).toMatchObject({ tapeM: 2, soundM: null, disagrees: false });
  });
});

describe("what becomes a reading", () => {
  const readings = (differences: readonly HeardDifference[]) => {
    const { job, scene, rows } = compared([tape("l", 3), tape("r", 3)], differences);
    const made = applyAll(job, readingsOf(scene, rows));
    if (!made.ok) throw new Error(JSON.stringify(made.refusal));
    return (roomOf(made.value).space?.readings ?? []).flatMap(({ by, unit, of: what, value }) =>
      by === "sound" ? [`${unit} ${what} ${value}`] : [],
    );
  };

  test("levels are counted from the front left, which stands at the target of 75 dB", () => {
    expect(readings([heard("L", 0, -20), heard("R", 0, -18.5)])).toEqual(expect.arrayContaining(["l level 75", "r level 76.5"]));
  });

  test("where the front left was not heard, the first that was stands for it", () => {
    expect(readings([heard("L", 0, null), heard("R", 0, -18.5)])).toContain("r level 75");
  });

  test("a distance that cannot be trusted is shown and not kept, and a subwoofer has no level: its filter is not that of the others", () => {
    const kept = readings([heard("L", 0, -20), heard("R", 0.4, -20, false), heard("LFE", 1, -12)]);
    expect(kept).toContain("l distance 3");
    expect(kept.some((words) => words.startsWith("r distance"))).toBe(false);
    expect(kept.some((words) => words.startsWith("sub level"))).toBe(false);
  });
});
