import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { arrivalsOf, type Arrival } from "@/core/chain";
import type { SettingKey } from "@/core/facts";
import type { Job } from "@/core/job";
import { cordOf, cordOfStream, type CordStop } from "./cord";
import { passedDevices, scoreColumns, stopsOf } from "./score-columns";

const loft = demoJob("sail-loft");
const withWires = (returnWires: "none" | "arc" | null): Job => ({
  ...loft,
  cables: loft.cables.map((cable) => (cable.id === "bar-tv" ? { ...cable, returnWires } : cable)),
});
const withSetting = (job: Job, key: SettingKey, planned: string): Job => ({
  ...job,
  devices: job.devices.map((device) => ({
    ...device,
    settings: device.settings.map((row) => (row.key === key ? { ...row, planned } : row)),
  })),
});
const rowOf = (job: Job, content: string): { arrival: Arrival; stops: readonly CordStop[] } => {
  const board = arrivalsOf(job);
  const arrival = board.find((row) => row.content.id === content);
  if (!arrival) throw new Error("no such row");
  return { arrival, stops: stopsOf(arrival, passedDevices(board)) };
};
const cord = (job: Job, content: string) => {
  const { arrival, stops } = rowOf(job, content);
  return cordOf(arrival, stops);
};
const headings = (job: Job) => scoreColumns(job, arrivalsOf(job)).map(({ heading }) => heading);

describe("the bar lines", () => {
  test("stand in the order the sound meets them", () => expect(headings(loft)).toEqual(["leaves", "Television", "eARC, HDMI 3", "Bar"]));

  test("name the return by what it is at the moment, and plainly 'return' where nothing comes back", () => {
    expect(headings(withWires("arc"))).toContain("ARC, HDMI 3");
    expect(headings(withWires("none"))).toContain("return, HDMI 3");
  });

  test("a TV's own app starts at the TV, a console in the bar passes nothing in between", () => {
    expect(rowOf(loft, "series-ddp-atmos").stops.map(({ key }) => key)).toEqual(["device:television", "link:bar-tv", "system"]);
    expect(rowOf(loft, "game-mat-atmos").stops.map(({ key }) => key)).toEqual(["start", "system"]);
  });
});

describe("the strings", () => {
  test("of a whole lossless row run solid from end to end, all eight and the objects above them", () => {
    const { strings, hasObjects, pieces, lossStop } = cord(loft, "film-truehd-atmos");
    expect(strings).toHaveLength(8);
    expect(hasObjects).toBe(true);
    expect(lossStop).toBeNull();
    for (const { from, to, texture, ring } of pieces) expect([from, to, texture, ring]).toEqual([0, 4, "lossless", false]);
  });

  test("of lossy sound are dashed", () =>
    expect(new Set(cord(loft, "film-ddp-atmos").pieces.map(({ texture }) => texture))).toEqual(new Set(["lossy"])));

  test("that could have come are dotted to the hop that forbids them and end there in a ring", () => {
    const { pieces, lossStop } = cord(withWires("arc"), "film-truehd-atmos");
    const never = pieces.filter(({ texture }) => texture === "never-sent");
    expect(never.map(({ string }) => string)).toEqual(["Lb", "Rb", "objects"]);
    expect(lossStop).toBe(2); // leaves, Television, ARC
    for (const { from, to, ring } of never) expect([from, to, ring]).toEqual([0, 2, true]);
    expect(pieces.filter(({ texture }) => texture === "lossy").map(({ to }) => to)).toEqual([4, 4, 4, 4, 4, 4]);
  });

  test("that are sent and then lost end in a ring at the hop that loses them", () => {
    const { pieces } = cord(demoJob("flat-4b"), "broadcast-ac3");
    expect(pieces.map(({ from, to, texture, ring }) => [from, to, texture, ring])).toEqual(
      Array.from({ length: 6 }, () => [0, 1, "lossy", true]),
    );
  });

  test("behind a missing fact are hatched, and nothing there pretends to be lost", () => {
    const { pieces } = cord(withWires(null), "film-ddp-atmos");
    expect(pieces.some(({ texture }) => texture === "unknown")).toBe(true);
    expect(pieces.every(({ ring }) => !ring)).toBe(true);
  });

  test("filled by an upmixer start after the last hop", () => {
    const { pieces } = cord(withSetting(demoJob("attic-screen"), "upmix", "on"), "music-lpcm");
    const filled = pieces.filter(({ texture }) => texture === "upmixed");
    expect(filled.map(({ string, from, to }) => [string, from, to])).toEqual(["C", "LFE", "Ls", "Rs"].map((name) => [name, 1, 2]));
  });

  test("coded again carry a notch where it was done", () => {
    const { pieces, notches } = cord(withSetting(loft, "digital-output", "dolby-digital"), "film-ddp-atmos");
    expect(notches).toEqual([1]);
    expect(pieces.filter(({ texture }) => texture === "re-encoded").every(({ from }) => from === 1)).toBe(true);
  });
});

describe("the strings through boxes and modes", () => {
  const system = (name: string) => demoJob(name, "systems");

  test("all but left and right end in a ring at a receiver whose mode is stereo, though all of it arrives", () => {
    const { pieces } = cord(system("11-all-channel-stereo"), "film-truehd-atmos");
    const ended = pieces.filter(({ ring }) => ring).map(({ string }) => string);
    expect(ended.toSorted()).toEqual(["C", "LFE", "Lb", "Ls", "Rb", "Rs", "objects"]);
    expect(pieces.filter(({ ring }) => !ring).map(({ string }) => string)).toEqual(["L", "R"]);
  });

  test("a DAC's output is drawn as analogue, from the DAC on", () => {
    const job = system("09-knob-amplifier");
    const { pieces } = cord(job, "news-aac");
    expect(pieces.some(({ texture, string }) => texture === "analogue" && string === "L")).toBe(true);
  });

  test("an old game box is analogue up to the converter and solid after it", () => {
    const left = cord(system("14-composite-boxes"), "game-old").pieces.filter(({ string }) => string === "L");
    expect(left.map(({ texture }) => texture)).toEqual(["analogue", "lossless"]);
  });

  test("over Bluetooth the strings are those of something coded again", () => {
    const job = withSetting(system("15-projector-and-earc-bar"), "bluetooth", "on");
    const { pieces } = cord(job, "series-ddp");
    expect(pieces.filter(({ texture }) => texture === "re-encoded").map(({ string }) => string)).toEqual(["L", "R"]);
  });

  test("a matrix and its eARC output have a bar line each, in that order", () =>
    expect(headings(system("08-matrix-two-screens"))).toEqual(["leaves", "Matrix", "eARC AUDIO OUT", "Bar"]));

  test("a box that nothing passes has no bar line of its own", () =>
    expect(headings(system("12-standard-mode"))).toEqual(["leaves", "Bar"]));
});

describe("what one cable carries, as a short cord", () => {
  const film = arrivalsOf(loft).find(({ player, content }) => player === "disc-player" && content.kind === "film");
  const stream = film?.hops.find(({ cable, in: carried }) => cable && carried)?.in ?? null;

  test("has a string for each channel from end to end, and the overtone line where there are objects", () => {
    expect(stream?.channels).toBe("7.1");
    const cord = cordOfStream(stream);
    expect(cord.strings).toHaveLength(8);
    expect(cord.pieces).toHaveLength(8 + (stream?.objects === "none" ? 0 : 1));
    for (const piece of cord.pieces)
      expect(piece).toMatchObject({ from: 0, to: 1, ring: false, texture: stream?.lossless ? "lossless" : "lossy" });
  });

  test("has none where no sound goes", () => {
    expect(cordOfStream(null)).toMatchObject({ strings: [], pieces: [], hasObjects: false });
  });
});
