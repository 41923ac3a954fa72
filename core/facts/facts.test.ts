import { describe, expect, test } from "vitest";
import {
  bedChannels,
  bedOfAtMost,
  BEDS,
  CABLE_CLASSES,
  cableClassFact,
  CODINGS,
  judgeLipSync,
  linkFact,
  LINKS,
  payloadRate,
  RELATIVES,
  SETTINGS,
  smallerBed,
  STRINGS,
  TIMINGS,
} from "@/core/facts";
import { milliseconds } from "@/core/units";

const unique = (values: readonly unknown[]) => new Set(values).size === values.length;

describe("what a burst fills of an IEC 60958 channel", () => {
  // IEC 61937: a burst takes two 16-bit words of every frame, so payload = frame rate × 32, whatever the coded rate.
  test.each([
    ["ac3", 1.536], // 48 kHz × 32
    ["dts", 1.536],
    ["eac3", 6.144], // 4 × 48 kHz × 32
    ["dts-hd-hra", 6.144],
    ["truehd", 24.576], // 768 kHz × 32
    ["mat", 24.576],
    ["dts-hd-ma", 24.576],
  ] as const)("%s needs %d Mb/s", (coding, rate) => expect(payloadRate(coding)).toBeCloseTo(rate, 6));

  test("LPCM and analogue are bounded by channels, not by a burst", () => {
    expect(payloadRate("lpcm")).toBeNull();
    expect(payloadRate("analogue")).toBeNull();
  });

  test("Dolby Digital Plus just fits ARC, and nothing of high bit rate does", () => {
    const arc = linkFact("arc").capacityMbps;
    expect(payloadRate("eac3")).toBeLessThanOrEqual(arc);
    for (const coding of ["truehd", "mat", "dts-hd-ma"] as const) expect(payloadRate(coding)).toBeGreaterThan(arc);
  });

  test("optical carries Dolby Digital and DTS but not Dolby Digital Plus", () => {
    const { capacityMbps } = linkFact("optical");
    expect(payloadRate("ac3")).toBeLessThanOrEqual(capacityMbps);
    expect(payloadRate("dts")).toBeLessThanOrEqual(capacityMbps);
    expect(payloadRate("eac3")).toBeGreaterThan(capacityMbps);
  });
});

describe("the tables", () => {
  test("name each row once", () => {
    expect(unique(CODINGS.map(({ id }) => id))).toBe(true);
    expect(unique(LINKS.map(({ id }) => id))).toBe(true);
    expect(unique(CABLE_CLASSES.map(({ id }) => id))).toBe(true);
    expect(unique(SETTINGS.map(({ key }) => key))).toBe(true);
    expect(unique(TIMINGS.map(({ vic }) => vic))).toBe(true);
    for (const { options } of SETTINGS) expect(unique(options.map(({ value }) => value))).toBe(true);
  });

  test("give a source for every coding, link and cable", () => {
    for (const row of [...CODINGS, ...LINKS, ...CABLE_CLASSES, ...RELATIVES]) expect(row.source).not.toBe("");
  });

  test("never let a relative be better than what it is a relative of", () => {
    for (const { of, is } of RELATIVES) expect(payloadRate(is)).toBeLessThan(payloadRate(of) ?? 0);
  });

  test("know that eARC is assured by Ultra High Speed and by 'with Ethernet', not by Premium alone", () => {
    expect(cableClassFact("ultra-high-speed").assures).toBe("earc");
    expect(cableClassFact("premium-high-speed-ethernet").assures).toBe("earc");
    expect(cableClassFact("premium-high-speed").assures).toBe("arc");
  });

  test("have pixel clocks that refresh the whole raster: never less than the active pixels", () => {
    for (const row of TIMINGS) {
      const lines: number = row.mode.includes("i@") ? row.height / 2 : row.height;
      expect(row.pixelClockMHz * 1e6).toBeGreaterThan(row.width * lines * row.refreshHz);
    }
  });
});

describe("beds", () => {
  test("count the LFE as a channel and stay within eight strings", () => {
    expect(bedChannels("5.1")).toBe(6);
    expect(bedChannels("7.1")).toBe(8);
    for (const { strings } of BEDS) for (const name of strings) expect(STRINGS).toContain(name);
  });

  test("a link of two channels holds stereo, one of six holds 5.1", () => {
    expect(bedOfAtMost(2)).toBe("2.0");
    expect(bedOfAtMost(6)).toBe("5.1");
    expect(bedOfAtMost(8)).toBe("7.1");
  });

  test("7.1 on 5.1 speakers leaves 5.1", () => expect(smallerBed("7.1", "5.1")).toBe("5.1"));
});

describe("lip sync, ITU-R BT.1359", () => {
  test.each([
    [0, "in-step"],
    [-45, "in-step"],
    [-46, "sound-early"],
    [-91, "sound-far-early"],
    [125, "in-step"],
    [126, "sound-late"],
    [186, "sound-far-late"],
  ] as const)("%d ms is %s", (ms, judgement) => expect(judgeLipSync(milliseconds(ms))).toBe(judgement));
});
