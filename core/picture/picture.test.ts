import { describe, expect, test } from "vitest";
import { activeRate, frlPayload, linkNeed, settlePicture, tmdsRate, whetherFits, type PictureLimit } from "@/core/picture";

describe("TMDS rate, worked by hand: 3 × 10 × clock × depth/8", () => {
  test.each([
    ["3840x2160@60", 8, "444", 17.82], // 30 × 594
    ["3840x2160@60", 10, "444", 22.275], // too much for 18 Gb/s
    ["3840x2160@60", 12, "422", 17.82], // 4:2:2 counts as 8 bit
    ["3840x2160@60", 10, "420", 11.1375], // half the clock
    ["3840x2160@24", 12, "422", 8.91],
    ["1920x1080@60", 8, "444", 4.455],
  ] as const)("%s %d bit %s is %d Gb/s", (mode, depth, chroma, gbps) => expect(tmdsRate({ mode, depth, chroma })).toBeCloseTo(gbps, 6));
});

describe("fixed-rate links, worked by hand", () => {
  // Payload of 40 Gb/s: 40 × 16/18 × 0.98 = 34.84; of 48: 41.81.
  test("carry 16 of 18 bits, less about two hundredths", () => {
    expect(frlPayload(40)).toBeCloseTo(34.844, 2);
    expect(frlPayload(48)).toBeCloseTo(41.813, 2);
  });

  test.each([
    // 3840 × 2160 × 120 × 30 = 29.86 Gb/s fits 34.84; with the whole blanking 1188 MHz × 30 = 35.64 does not: tight.
    ["3840x2160@120", 10, "444", 29.86, 40, true],
    // × 36 bit = 35.83 is too much for 40, within 48.
    ["3840x2160@120", 12, "444", 35.83, 48, true],
    // 7680 × 4320 × 60 × 30 = 59.72: only with compression.
    ["7680x4320@60", 10, "444", 59.72, null, false],
    // 4:2:0 at 10 bit halves it to 29.86.
    ["7680x4320@60", 10, "420", 29.86, 40, true],
  ] as const)("%s at %d bit %s has %d Gb/s of pixels and needs FRL %s", (mode, depth, chroma, active, frl, tight) => {
    expect(activeRate({ mode, depth, chroma })).toBeCloseTo(active, 2);
    expect(linkNeed({ mode, depth, chroma })).toMatchObject({ frl, tight });
  });

  test("a TMDS socket of 18 Gb/s takes 17.82 and not 22.28, and no fixed rate", () => {
    expect(whetherFits({ mode: "3840x2160@60", depth: 12, chroma: "422" }, 18)).toBe("fits");
    expect(whetherFits({ mode: "3840x2160@60", depth: 10, chroma: "444" }, 18)).toBe("no");
    expect(whetherFits({ mode: "3840x2160@60", depth: 10, chroma: "444" }, 24)).toBe("fits");
  });

  test("a picture names the first cable class tested for it", () => {
    expect(linkNeed({ mode: "1920x1080@60", depth: 8, chroma: "444" }).cableClass).toBe("high-speed");
    expect(linkNeed({ mode: "3840x2160@60", depth: 12, chroma: "422" }).cableClass).toBe("premium-high-speed");
    expect(linkNeed({ mode: "3840x2160@60", depth: 10, chroma: "444" }).cableClass).toBe("ultra-high-speed");
    expect(linkNeed({ mode: "7680x4320@60", depth: 12, chroma: "444" }).cableClass).toBeNull();
  });
});

const wish = { mode: "3840x2160@60", depth: 12, chroma: "422", hdr: "hdr10", protected: true, gaming: false } as const;
const display = {
  maxMode: "3840x2160@60" as const,
  hdr: ["hdr10" as const],
  gaming: false,
  delayMs: 50,
  gameDelayMs: 15,
  filmDelayMs: null,
};
const socket = (gbps: number | null, hdcp: "1.4" | "2.2" | null): PictureLimit => ({
  kind: "socket",
  device: "box",
  port: "in",
  gbps,
  hdcp,
  standard: false,
  perhapsGbps: null,
});
const lead = (gbps: number, lengthM: number, passive = true): PictureLimit => ({
  kind: "cable",
  cable: "lead",
  gbps,
  lengthM,
  passive,
  certainM: passive ? 5 : 100,
});

describe("what becomes of a picture", () => {
  test("goes through whole where every socket has 18 Gb/s and HDCP 2.2", () => {
    const { picture, losses } = settlePicture(wish, [socket(18, "2.2"), socket(18, "2.2")], display, "tv");
    expect(picture).toMatchObject({ mode: "3840x2160@60", depth: 12, chroma: "422", hdr: "hdr10", hdcp: "2.2" });
    expect(losses).toEqual([]);
  });

  test("one hop of HDCP 1.4 drops protected 2160p to 1080p SDR", () => {
    const { picture, losses } = settlePicture(wish, [socket(18, "2.2"), socket(18, "1.4")], display, "tv");
    expect(picture).toMatchObject({ mode: "1920x1080@60", hdr: "sdr" });
    expect(losses).toContainEqual(expect.objectContaining({ code: "picture-hdcp", need: "2.2", have: "1.4" }));
  });

  test("unprotected 2160p does not mind HDCP 1.4", () => {
    const { picture } = settlePicture({ ...wish, protected: false }, [socket(18, "1.4")], display, "tv");
    expect(picture?.mode).toBe("3840x2160@60");
  });

  test("10.2 Gb/s leaves 2160p60 only as 8 bit 4:2:0, without HDR", () => {
    // 17.82 and 11.14 are too much; 8 bit 4:2:0 is 30 × 594 / 2 = 8.91.
    const { picture, losses } = settlePicture(wish, [socket(10.2, "2.2")], display, "tv");
    expect(picture).toMatchObject({ mode: "3840x2160@60", depth: 8, chroma: "420", hdr: "sdr" });
    expect(losses).toContainEqual(expect.objectContaining({ code: "picture-rate", need: 17.82, have: 10.2 }));
  });

  test("a cable beyond its certain length is named, not trusted", () => {
    const { losses } = settlePicture(wish, [socket(18, "2.2"), lead(18, 12)], display, "tv");
    expect(losses).toContainEqual({ code: "picture-length", cable: "lead", need: 12, have: 5, unit: "m" });
  });

  test("a socket nobody has looked at is said to be unknown", () => {
    const { losses } = settlePicture(wish, [socket(null, null)], display, "tv");
    expect(losses.map(({ code }) => code)).toContain("picture-unknown");
  });

  test("a screen without HDR10 shows it as SDR and says so", () => {
    const { picture, losses } = settlePicture(wish, [socket(18, "2.2")], { ...display, hdr: [] }, "tv");
    expect(picture?.hdr).toBe("sdr");
    expect(losses).toEqual([{ code: "picture-hdr", device: "tv", need: "hdr10" }]);
  });

  test("anything protected is black where a hop has no HDCP at all", () => {
    const { picture, losses } = settlePicture(
      { ...wish, mode: "1920x1080@24" },
      [{ ...socket(18, "2.2"), hdcp: "none" } as PictureLimit],
      display,
      "tv",
    );
    expect(picture).toBeNull();
    expect(losses).toEqual([{ code: "picture-hdcp", device: "box", port: "in", need: "1.4", have: "none", then: "black" }]);
  });

  test("copper is certain by the rate it carries: 6 m are enough for 1080p and too long for 17.82 Gb/s", () => {
    expect(settlePicture({ ...wish, mode: "1920x1080@24" }, [lead(18, 6)], display, "tv").losses).toEqual([]);
    expect(settlePicture(wish, [lead(18, 6)], display, "tv").losses).toMatchObject([{ code: "picture-length", need: 6, have: 5 }]);
    expect(settlePicture(wish, [lead(48, 30, false)], display, "tv").losses).toEqual([]);
  });

  test("22.28 Gb/s steps down on an 18 Gb/s cable at any length, and says need and have", () => {
    const deep = { ...wish, depth: 10 as const, chroma: "444" as const };
    const { picture, losses } = settlePicture(deep, [lead(18, 1)], display, "tv");
    expect(picture).toMatchObject({ mode: "3840x2160@60", depth: 12, chroma: "422" });
    expect(losses).toMatchObject([{ code: "picture-rate", need: 22.275, have: 18 }]);
  });

  test("2160p120 steps to 2160p60 before it gives up 4K", () => {
    const quick = { ...wish, mode: "3840x2160@120" as const, depth: 10 as const, chroma: "444" as const };
    const { picture } = settlePicture(quick, [socket(18, "2.3" as "2.2")], { ...display, maxMode: "3840x2160@120" }, "tv");
    expect(picture).toMatchObject({ mode: "3840x2160@60", depth: 12, chroma: "422" });
  });

  test("a dynamic HDR format that a box does not pass leaves HDR10 beneath it", () => {
    const vision = { ...wish, hdr: "dolby-vision" as const };
    const route: PictureLimit = { kind: "route", device: "bar", hdr: ["hdr10", "hlg"], gaming: true };
    const { picture, losses } = settlePicture(vision, [route], { ...display, hdr: ["hdr10", "dolby-vision"] }, "tv");
    expect(picture?.hdr).toBe("hdr10");
    expect(losses).toEqual([{ code: "picture-hdr", device: "bar", need: "dolby-vision" }]);
  });

  test("another screen on a splitter without a scaler holds all to what it shows", () => {
    const other: PictureLimit = { kind: "other-screen", device: "old-tv", maxMode: "1920x1080@60", hdr: [] };
    const { picture, losses } = settlePicture(wish, [other], display, "tv");
    expect(picture).toMatchObject({ mode: "1920x1080@60", hdr: "sdr" });
    expect(losses[0]).toMatchObject({ code: "picture-mode", device: "old-tv" });
  });

  test("a converter makes a timing and no detail", () => {
    const old = { ...wish, mode: "720x576i@50" as const, depth: 8 as const, chroma: "444" as const, hdr: "sdr" as const };
    const { picture, losses } = settlePicture(old, [{ kind: "converter", device: "converter", makes: "1920x1080@60" }], display, "tv");
    expect(picture).toMatchObject({ mode: "1920x1080@60", lines: 576 });
    expect(losses).toEqual([{ code: "picture-lines", device: "converter", need: "1920x1080@60", have: 576 }]);
  });
});
