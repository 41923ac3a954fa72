import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { mapSvg, type MapPrint } from "./map-svg";
import { layerOf } from "./layers";
import { placePlates } from "./map-layout";

const loft = demoJob("sail-loft");
const printOf = (job: typeof loft): MapPrint => ({
  job,
  row: solve(job, "planned").rows[0] ?? null,
  units: "metric",
  firm: { name: "Halyard & Reed", address: "", phone: "" },
  date: "3 December 2026",
  revision: 7,
  fonts: "",
});

describe("the drawing of the map", () => {
  test("names every device and lists every cable, with its class, length and ends", () => {
    const svg = mapSvg(printOf(loft));
    for (const { name } of loft.devices) expect(svg).toContain(`>${name}<`);
    expect(svg).toContain("Ultra High Speed HDMI");
    expect(svg).toContain("3 December 2026 · revision 7");
    expect(svg).toContain("Halyard &#38; Reed");
    expect(mapSvg(printOf(loft))).toBe(svg);
  });

  test("holds nothing that runs and nothing from outside, whatever the names are", () => {
    const nasty = `<script>alert(1)</script>" onload='x' \u0000\u0007 שלום`;
    const job = made(
      { ...loft, name: nasty, customer: nasty },
      { kind: "rename-device", device: "bar", name: nasty },
      {
        kind: "edit-cable",
        cable: "bar-tv",
        fields: { label: nasty.slice(0, 80) },
      },
    );
    const svg = mapSvg({ ...printOf(job), fonts: "@font-face{}</style><script>" });
    expect(svg).not.toMatch(/<script|<image|<foreignObject|href=/i);
    expect(svg.match(/<\/?style/g)).toHaveLength(2);
    expect(svg).not.toMatch(/\son\w+=["']/i);
    expect(svg).not.toContain("\u0000");
  });

  test("is black on white", () => {
    const colours = new Set([...mapSvg(printOf(loft)).matchAll(/(?:fill|stroke)="([^"]+)"/g)].map(([, colour]) => colour));
    expect([...colours].sort()).toEqual(["#000", "#fff", "none"]);
  });
});

describe("the way of a row on the map", () => {
  test("gathers its delay from cable to cable", () => {
    const row = solve(loft, "planned").rows[0] ?? null;
    const layer = layerOf(loft, row, "sound");
    // The television takes 18 ms to pass the streamer's sound on.
    expect([...layer.cables].map(([cable, { line, words }]) => [cable, line, words])).toEqual([
      ["streamer-tv", "strings", "0\u2009ms"],
      ["bar-tv", "strings", "18\u2009ms"],
    ]);
  });

  test("a plate that was dragged stands there, and the others stay where they were", () => {
    const moved = made(loft, { kind: "arrange", device: "bar", to: { x: 900, y: 300 } });
    const places = (job: typeof loft) => placePlates(job).map(({ device, x, y }) => [device.id, x, y]);
    const before = places(loft).filter(([id]) => id !== "bar");
    expect(places(moved).filter(([id]) => id !== "bar")).toEqual(before);
    expect(places(moved).find(([id]) => id === "bar")).toEqual(["bar", 900, 300]);
  });
});
