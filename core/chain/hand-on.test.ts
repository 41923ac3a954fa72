import { describe, expect, test } from "vitest";
import { codingFact, type Bed, type Coding } from "@/core/facts";
import { fromShelfOrThrow, type SoundRoute } from "@/core/device";
import { handOn, type Desk } from "./hand-on";
import type { Stream } from "./stream";

/** What is on the list of the far end, as `coding channels [objects]`. */
const listing = (...rows: readonly string[]): Desk["listing"] => ({
  unknown: null,
  sounds: new Map(
    rows.map((row) => {
      const [coding, channels, objects] = row.split(" ");
      return [coding as Coding, { channels: channels as Bed, objects: objects === "objects" }];
    }),
  ),
});
const stream = (coding: Coding, channels: Bed, objects: Stream["objects"] = "none"): Stream => {
  const { lossless } = codingFact(coding);
  return { coding, channels, objects, sampleRateKHz: 48, lossless, generations: lossless ? 0 : 1, lineage: "native" };
};
const soundRoute = (archetype: string, from: string, to: string): Omit<Desk, "listing" | "format"> => {
  const device = fromShelfOrThrow(archetype, { id: "it" });
  const route = device.routes.find((row): row is SoundRoute => row.kind === "sound" && row.from.includes(from) && row.to.includes(to));
  if (!route) throw new Error("no such route");
  return { device, route, carriesCodings: true };
};
const words = (out: Stream | null) => (out ? `${out.coding} ${out.channels}${out.objects === "none" ? "" : " objects"}` : "nothing");

const DISC = soundRoute("disc-player-4k", "disc", "hdmi-out");
const FILM = [stream("truehd", "7.1", "atmos"), stream("ac3", "5.1")];
const CONCERT = [stream("dts-hd-ma", "5.1")];

describe("a disc player on auto", () => {
  const auto = (...list: readonly string[]) => words(handOn({ ...DISC, listing: listing(...list), format: "auto" }, FILM));

  test("sends the native coding where it is listed", () =>
    expect(auto("lpcm 7.1", "truehd 7.1 objects", "ac3 5.1")).toBe("truehd 7.1 objects"));
  test("TrueHD keeps its objects inside even where the list does not speak of them", () =>
    expect(auto("truehd 7.1")).toBe("truehd 7.1 objects"));
  test("decodes to LPCM where 5.1 or more of it is listed", () => expect(auto("lpcm 7.1", "ac3 5.1")).toBe("lpcm 7.1"));
  test("decodes to the channels that are listed", () => expect(auto("lpcm 5.1", "ac3 5.1")).toBe("lpcm 5.1"));
  test("takes the disc's AC-3 track where LPCM has two channels", () => expect(auto("lpcm 2.0", "ac3 5.1", "eac3 5.1")).toBe("ac3 5.1"));
  test("sends stereo where nothing else is listed", () => expect(auto("lpcm 2.0")).toBe("lpcm 2.0"));
  test("sends nothing where nothing is listed", () => expect(auto()).toBe("nothing"));
  test("DTS-HD falls to its core, untouched and of the first generation", () => {
    const core = handOn({ ...DISC, listing: listing("lpcm 2.0", "dts 5.1"), format: "auto" }, CONCERT);
    expect(core).toMatchObject({ coding: "dts", channels: "5.1", lossless: false, generations: 1, lineage: "native" });
  });
});

describe("a disc player set by hand", () => {
  const FULL = listing("lpcm 7.1", "truehd 7.1 objects", "ac3 5.1");
  test("to PCM decodes whatever is listed, and loses the objects", () => {
    expect(handOn({ ...DISC, listing: FULL, format: "pcm" }, FILM)).toMatchObject({
      coding: "lpcm",
      channels: "7.1",
      objects: "none",
      lossless: true,
      lineage: "decoded",
    });
  });
  test("to bitstream never decodes surround: it takes the listed relative, else sends its AC-3 track unlisted", () => {
    const bitstream = (...list: readonly string[]) => words(handOn({ ...DISC, listing: listing(...list), format: "bitstream" }, FILM));
    expect(bitstream("lpcm 7.1", "ac3 5.1")).toBe("ac3 5.1");
    expect(bitstream("lpcm 7.1")).toBe("ac3 5.1");
  });
});

describe("a streamer", () => {
  const STREAMER = soundRoute("streamer-4k", "apps", "hdmi-out");
  const SERIES = [stream("eac3", "5.1", "atmos")];
  const sends = (format: string, ...list: readonly string[]) => handOn({ ...STREAMER, listing: listing(...list), format }, SERIES);

  test("hides the version with objects unless objects are listed", () => {
    expect(words(sends("auto", "eac3 5.1 objects", "lpcm 2.0"))).toBe("eac3 5.1 objects");
    expect(words(sends("auto", "eac3 5.1", "lpcm 2.0"))).toBe("eac3 5.1");
  });
  test("codes Dolby Digital Plus again as Dolby Digital where only that is listed: a second generation", () => {
    expect(sends("auto", "ac3 5.1", "lpcm 2.0")).toMatchObject({ coding: "ac3", generations: 2, lineage: "re-encoded" });
  });
  test("set to always Dolby Digital sends it even when it is not listed", () =>
    expect(words(sends("dolby-digital", "lpcm 2.0"))).toBe("ac3 5.1"));
});

describe("a console that knows objects only as MAT", () => {
  const CONSOLE = soundRoute("console-mat", "games", "hdmi-out");
  const GAME = [stream("mat", "7.1", "atmos"), stream("lpcm", "7.1")];
  const sends = (...list: readonly string[]) => words(handOn({ ...CONSOLE, listing: listing(...list), format: "auto" }, GAME));

  test("sends MAT where it is listed with objects", () => expect(sends("mat 7.1 objects", "lpcm 7.1")).toBe("mat 7.1 objects"));
  test("sends LPCM where it is not, and never another coding", () => {
    expect(sends("lpcm 7.1", "ac3 5.1")).toBe("lpcm 7.1");
    expect(sends("lpcm 2.0", "ac3 5.1", "eac3 5.1 objects")).toBe("lpcm 2.0");
  });
});

describe("a television's return", () => {
  const FROM_HDMI = soundRoute("tv-earc", "hdmi1", "hdmi3");
  const OVER_ARC = listing("lpcm 2.0", "ac3 5.1", "eac3 5.1 objects");
  const hands = (format: string, input: Stream, list = OVER_ARC) => handOn({ ...FROM_HDMI, listing: list, format }, [input]);

  test("hands Dolby Digital Plus on untouched where the bar lists it", () =>
    expect(words(hands("auto", stream("eac3", "5.1", "atmos")))).toBe("eac3 5.1 objects"));
  test("set to PCM makes two channels of anything it can decode", () => {
    expect(hands("pcm", stream("eac3", "5.1", "atmos"))).toMatchObject({
      coding: "lpcm",
      channels: "2.0",
      lineage: "downmixed",
      generations: 1,
    });
  });
  test("set to Dolby Digital leaves Dolby Digital alone, codes the rest again, and leaves stereo to LPCM", () => {
    expect(hands("dolby-digital", stream("ac3", "5.1"))).toMatchObject({ coding: "ac3", generations: 1, lineage: "native" });
    expect(hands("dolby-digital", stream("eac3", "5.1"))).toMatchObject({ coding: "ac3", generations: 2, lineage: "re-encoded" });
    expect(hands("dolby-digital", stream("lpcm", "2.0"))).toMatchObject({ coding: "lpcm", channels: "2.0" });
  });
  test("set to pass-through hands on what is not listed too", () =>
    expect(words(hands("pass-through", stream("truehd", "7.1", "atmos")))).toBe("truehd 7.1 objects"));
  test("hands DTS on in no setting: it passes none and decodes none", () => {
    for (const format of ["auto", "pass-through", "pcm", "dolby-digital"]) expect(hands(format, stream("dts", "5.1"))).toBeNull();
  });
});
