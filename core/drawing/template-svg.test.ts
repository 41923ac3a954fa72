import { describe, expect, test } from "vitest";
import { fromShelfOrThrow } from "@/core/device";
import { emptyJob } from "@/core/job";
import { sceneOf, templateOf, type Template } from "@/core/room";
import { PAPERS, templatePages, templateSvg } from "./template-svg";

const job = {
  ...emptyJob("Job & <name>"),
  rooms: [{ id: "room", name: "Room", seats: 0, space: null }],
  devices: [fromShelfOrThrow("bar-one-input", { id: "bar", name: "Bar" })],
};
const made = templateOf(
  job.rooms.map((room) => sceneOf(job, room)),
  "bar",
);
if ("code" in made) throw new Error(made.code);
const template: Template = made;

/** Every element of a class in a drawing, with its figures, read as text. */
const elements = (svg: string, name: string) =>
  [...svg.matchAll(new RegExp(`<\\w+ class="${name}"([^>]*)>`, "g"))].map(([, rest]) =>
    Object.fromEntries([...(rest ?? "").matchAll(/([\w-]+)="([-\d.]+)"/g)].map(([, key, value]) => [key, Number(value)])),
  );

describe("the drilling template", () => {
  test("is true to size: one unit is one millimetre, and the holes are where the figures say", () => {
    const svg = templateSvg(template, job.name);
    const [, width, , , boxWidth] = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="([-\d.]+) [-\d.]+ ([\d.]+)/.exec(svg) ?? [];
    expect(Number(width)).toBeCloseTo(Number(boxWidth), 6);
    expect(elements(svg, "hole").map(({ cx, cy, r }) => [cx, cy, r])).toEqual([
      [-330, 0, 3],
      [330, 0, 3],
    ]);
    const [check] = elements(svg, "check");
    expect((check?.x2 ?? 0) - (check?.x1 ?? 0)).toBe(100);
    expect(svg).not.toContain("<name>");
  });

  test.each(["a4", "letter"] as const)("on %s shows every hole whole on some page, with its check line, in few pages", (paper) => {
    const pages = templatePages(template, job.name, paper);
    const [short, long] = PAPERS[paper];
    expect(pages.length).toBeLessThanOrEqual(7);
    const shown = pages.flatMap(({ svg, widthMm, heightMm }) => {
      expect([widthMm, heightMm].toSorted((a, b) => a - b)).toEqual([short, long]);
      expect(elements(svg, "check").at(-1)).toBeDefined();
      const [, x, y] = /translate\(([-\d.]+) ([-\d.]+)\)/.exec(svg) ?? [];
      return elements(svg, "hole")
        .filter(
          ({ cx = 0, cy = 0 }) =>
            cx + Number(x) > 18 && cx + Number(x) < widthMm - 18 && cy + Number(y) > 18 && cy + Number(y) < heightMm - 28,
        )
        .map(({ cx }) => cx);
    });
    expect(new Set(shown)).toEqual(new Set([-330, 330]));
  });
});
