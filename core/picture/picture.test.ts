import { describe, expect, test } from "vitest";
import { settlePicture, tmdsRate, type PictureLimit } from "@/core/picture";

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

const wish = { mode: "3840x2160@60", depth: 12, chroma: "422", hdr: "hdr10", protected: true } as const;
const display = { maxMode: "3840x2160@60" as const, hdr: ["hdr10" as const], delayMs: 50, gameDelayMs: 15 };
const socket = (gbps: number | null, hdcp: "1.4" | "2.2" | null): PictureLimit => ({
  kind: "socket",
  device: "box",
  port: "in",
  gbps,
  hdcp,
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
    expect(picture.mode).toBe("3840x2160@60");
  });

  test("10.2 Gb/s leaves 2160p60 only as 8 bit 4:2:0, without HDR", () => {
    // 17.82 and 11.14 are too much; 8 bit 4:2:0 is 30 × 594 / 2 = 8.91.
    const { picture, losses } = settlePicture(wish, [socket(10.2, "2.2")], display, "tv");
    expect(picture).toMatchObject({ mode: "3840x2160@60", depth: 8, chroma: "420", hdr: "sdr" });
    expect(losses).toContainEqual(expect.objectContaining({ code: "picture-rate", need: 17.82, have: 10.2 }));
  });

  test("a cable beyond its certain length is named, not trusted", () => {
    const cable: PictureLimit = { kind: "cable", cable: "long", gbps: 18, lengthM: 12, certainM: 5 };
    const { losses } = settlePicture(wish, [socket(18, "2.2"), cable], display, "tv");
    expect(losses).toContainEqual({ code: "picture-length", cable: "long", need: 12, have: 5, unit: "m" });
  });

  test("a socket nobody has looked at is said to be unknown", () => {
    const { losses } = settlePicture(wish, [socket(null, null)], display, "tv");
    expect(losses.map(({ code }) => code)).toContain("picture-unknown");
  });

  test("a screen without HDR10 shows it as SDR and says so", () => {
    const { picture, losses } = settlePicture(wish, [socket(18, "2.2")], { ...display, hdr: [] }, "tv");
    expect(picture.hdr).toBe("sdr");
    expect(losses).toEqual([{ code: "picture-hdr", device: "tv", need: "hdr10" }]);
  });
});
