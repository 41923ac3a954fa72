import type { Job } from "@/core/job";
import { describe, expect, test } from "vitest";
import { device, room, set } from "@/demo/room-under-test";
import { arrivalsOf } from "@/core/chain";
import { wiringSpace } from "../space";
import { boxEffort, effortPoints, NO_EFFORT, wireEffort } from "./effort";
import { commonActs } from "./everyday-acts";
import { actEase, MINUTES, pictureKept, PRESETS, PRESET_NAMES, soundKept } from "./weights";

const wished = { brief: { ...room([]).brief, surround: "wished" } } as const;
const plain = { brief: { ...room([]).brief, surround: "plain" } } as const;

describe("what a row keeps", () => {
  const arc = set(
    room(
      [device("tv-arc", "tv"), device("bar-one-input", "bar"), device("console-mat", "console"), device("streamer-4k", "streamer")],
      "bar hdmi-out > tv hdmi1",
      "console hdmi-out > tv hdmi2",
      "streamer hdmi-out > bar hdmi-in",
    ),
    "tv speakers external",
  );
  const rowOf = (player: string) => {
    const found = arrivalsOf(arc).find((row) => row.player === player);
    if (!found) throw new Error(player);
    return found;
  };

  test("counts how often sound was coded again: native Dolby Digital before what was made of something else", () => {
    const whole = { channels: 1, objects: 1, lossless: 1 };
    const kept = (generations: number) => soundKept(wished, { verdict: "reduced", kept: { ...whole, codings: 0.5 ** (generations - 1) } });
    expect(kept(1)).toBeGreaterThan(kept(2));
    expect(kept(2)).toBeGreaterThan(kept(3));
    expect(kept(1) - kept(3)).toBeLessThan(0.02);
  });

  test("is all of it where it is whole", () => {
    expect([soundKept(wished, rowOf("streamer")), pictureKept(rowOf("streamer"))]).toEqual([1, 1]);
  });

  test("by hand: two channels of eight without objects and lossless, of 7.1 with objects, keep 0.4 + 0.25 · 2/8 + 0.14", () => {
    const row = rowOf("console");
    expect(row.verdict).toBe("reduced");
    expect(soundKept(wished, { ...row, kept: { channels: 2 / 8, objects: 0, lossless: 1, codings: 1 } })).toBeCloseTo(
      0.4 + 0.25 * (2 / 8) + 0.14,
      9,
    );
  });

  test("is all that is asked for where plain sound is wished", () => {
    expect(soundKept(plain, rowOf("console"))).toBe(1);
    expect(soundKept(plain, { ...rowOf("console"), verdict: "silent" })).toBe(0);
    expect(soundKept(plain, { ...rowOf("console"), verdict: "no-picture" })).toBe(0.1);
  });

  test("of a picture is half where something of it is lost, and nothing where none comes", () => {
    const row = rowOf("streamer");
    expect(pictureKept({ ...row, pictureLosses: [{ code: "picture-gaming", device: "tv" }] })).toBe(0.5);
    expect(pictureKept({ ...row, picture: null })).toBe(0);
    expect(pictureKept({ ...row, content: { ...row.content, picture: null } })).toBe(1);
  });
});

describe("points", () => {
  test("of sound, picture and ease are a hundred for most presets, and those that spare money or drilling leave some for that", () => {
    const sums = PRESET_NAMES.map((name) => PRESETS[name].sound + PRESETS[name].picture + PRESETS[name].ease);
    expect(sums).toEqual([100, 100, 80, 80]);
  });

  test("are lost for money, hours and pulls; what nobody priced counts what such parts cost", () => {
    const spent = { ...NO_EFFORT, money: 150, minutes: 30, pulls: 2 };
    // 1.5 · 20 + 0.5 · 3 + 2 · 1
    expect(effortPoints(spent, PRESETS["least-spending"])).toBeCloseTo(33.5, 9);
    const box = { device: device("splitter-1x2", "splitter"), price: null, isThere: false };
    // 40, and 12 for each of its sockets.
    expect(boxEffort(box)).toMatchObject({ money: 0, unpriced: 1, guessed: 76 });
    expect(effortPoints({ ...NO_EFFORT, guessed: 100 }, PRESETS["least-spending"])).toBeCloseTo(20, 9);
  });

  test("an act with one step left is worth more than one with two, and a failing one nothing", () => {
    const eases = [
      actEase({ verdict: "as-wished", steps: 0 }),
      actEase({ verdict: "with-a-step", steps: 1 }),
      actEase({ verdict: "with-a-step", steps: 2 }),
      actEase({ verdict: "with-a-step", steps: 9 }),
      actEase({ verdict: "fails", steps: 0 }),
    ];
    expect(eases.map((ease) => ease.toFixed(2))).toEqual(["1.00", "0.70", "0.55", "0.20", "0.00"]);
  });

  test("a cable that stays asks for nothing, one that moves for a plug at each end that moves, a new one is laid", () => {
    const bare = room([device("tv-arc", "tv"), device("streamer-4k", "streamer")], "streamer hdmi-out > tv hdmi1");
    const job: Job = { ...bare, brief: { ...bare.brief, soundSystem: "tv" } };
    const [existing] = job.cables;
    if (!existing) throw new Error("no cable");
    const space = wiringSpace(job, { boxes: [], cables: [{ class: "ultra-high-speed", lengthM: 3, price: 24, free: 0 }] });
    if (!space) throw new Error("nothing to plan");
    const minutes = (wire: Parameters<typeof wireEffort>[1]) => wireEffort(space, wire).minutes;
    expect(minutes({ cable: existing, existing })).toBe(-MINUTES.takeOut);
    expect(minutes({ cable: { ...existing, to: { device: "tv", port: "hdmi2" } }, existing })).toBe(MINUTES.plug - MINUTES.takeOut);
    expect(minutes({ cable: existing, existing: null })).toBe(MINUTES.cable);
    // The van has none left, and yet it says what one costs; of the longer ones nobody knows.
    const fresh = { ...existing, class: "ultra-high-speed" } as const;
    expect(wireEffort(space, { cable: { ...fresh, lengthM: 2 }, existing: null })).toMatchObject({ money: 24, unpriced: 0 });
    expect(wireEffort(space, { cable: { ...fresh, lengthM: 5 }, existing: null })).toMatchObject({ money: 0, unpriced: 1, guessed: 15 });
  });

  test("the weights of the everyday acts are one together, and news are none where the screen has nothing of its own", () => {
    const job = room([device("projector", "screen"), device("bar-one-input", "bar"), device("streamer-4k", "streamer")]);
    const space = wiringSpace(job, { boxes: [] });
    const acts = space ? commonActs(space) : [];
    expect(acts.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
    expect(acts.map(({ act }) => act.act)).toEqual(["screen-on", "louder", "mute", "screen-off", "wake"]);
  });
});
