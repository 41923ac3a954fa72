import { describe, expect, test } from "vitest";
import { fromShelfOrThrow, type Device } from "@/core/device";
import { idealForms } from "./ideal";
import { compareStreams } from "./quality";
import { streamsOf, type Stream } from "./stream";

const receiver = fromShelfOrThrow("receiver-72", { id: "receiver" });
const disc = fromShelfOrThrow("disc-player-4k", { id: "disc" });
const contents = disc.sources.flatMap((source) => source.contents);

const lpcm: Stream = {
  coding: "lpcm",
  channels: "5.1",
  objects: "none",
  sampleRateKHz: 48,
  lossless: true,
  generations: 0,
  lineage: "decoded",
};
const core: Stream = { ...lpcm, coding: "ac3", lossless: false, generations: 1, lineage: "native" };
const atmos: Stream = { ...core, coding: "eac3", objects: "atmos" };

describe("what a system makes of streams", () => {
  test("anything is better than nothing, and nothing is as good as nothing", () => {
    expect(compareStreams(core, null, receiver)).toBeGreaterThan(0);
    expect(compareStreams(null, core, receiver)).toBeLessThan(0);
    expect(compareStreams(null, null, receiver)).toBe(0);
  });

  test("objects that are kept win over lossless sound without them, and lossless LPCM over a lossy core of as many channels", () => {
    expect(compareStreams(atmos, lpcm, receiver)).toBeGreaterThan(0);
    expect(compareStreams(lpcm, core, receiver)).toBeGreaterThan(0);
    // A receiver without objects hears the bed alone.
    const plain: Device = { ...receiver, decodes: (receiver.decodes ?? []).map((row) => ({ ...row, objects: false })) };
    expect(compareStreams(atmos, lpcm, plain)).toBeLessThan(0);
  });

  test("of two alike the one that was coded less often is better", () => {
    expect(compareStreams(core, { ...core, generations: 2, lineage: "re-encoded" }, receiver)).toBeGreaterThan(0);
  });
});

describe("the forms in which a system could play a content", () => {
  test("are the same however it is set, for settings change no decoder", () => {
    const set: Device = { ...receiver, settings: receiver.settings.map((row) => ({ ...row, planned: row.options[0] ?? null })) };
    for (const content of contents) expect(idealForms(content, set)).toEqual(idealForms(content, receiver));
  });

  test("are the same with other speakers, in an order of their own, and none where nobody knows what it decodes", () => {
    const [content] = contents.filter((one) => streamsOf(one).some(({ channels }) => channels === "7.1"));
    if (!content) throw new Error("no content in 7.1");
    const small: Device = { ...receiver, speakers: receiver.speakers && { ...receiver.speakers, bed: "2.0", heights: 0 } };
    const orders = [receiver, small].map((system) => idealForms(content, system).map(({ coding, channels }) => `${coding} ${channels}`));
    expect(new Set(orders.map((order) => order.toSorted().join()))).toHaveProperty("size", 1);
    expect(idealForms(content, { ...receiver, decodes: null })).toEqual([]);
  });
});
