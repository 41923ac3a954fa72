import { expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { cableLabels, labelTable } from "@/core/report";
import { labelPages, labelStrip } from "./label-pages";

const sheet = { paper: "a4", columns: 3, rows: 8, marginMm: 8, start: 1 } as const;
/** The places of the first lines of labels, in millimetres. */
const places = (svg: string) =>
  [...svg.matchAll(/<text class="label" x="([\d.]+)" y="([\d.]+)"/g)].map(([, x, y]) => [Number(x), Number(y)] as const);

test("both ends of every cable and speaker wire have a label, numbered as on the map", () => {
  const job = demoJob("receiver-den");
  const labels = cableLabels(job);
  expect(labels.filter(({ mark }) => !mark.startsWith("W"))).toHaveLength(job.cables.length * 2);
  expect(labels.filter(({ mark }) => mark.startsWith("W")).map(({ mark }) => mark)).toContain("W5");
  expect(labels[0]?.words).toBe("C1 Disc player “HDMI OUT” · other end Receiver “HDMI IN 1”");
  expect(labelTable(job).split("\r\n")[0]).toBe('"mark","end","label"');
});

test("labels begin where the sheet has some left, fill it row by row, and go on on the next", () => {
  const pages = labelPages(
    Array.from({ length: 25 }, (_, index) => `L${index + 1}`),
    { ...sheet, start: 5 },
  );
  expect(pages).toHaveLength(2);
  const [first, second] = pages.map(({ svg }) => places(svg));
  expect(first).toHaveLength(20);
  expect(second).toHaveLength(5);
  // The fifth label of three columns is the second of the second row: 8 mm edge, 64.7 mm wide, 35.1 mm high.
  expect(first?.[0]?.[0]).toBeCloseTo(8 + 194 / 3 + 2, 1);
  expect(first?.[0]?.[1]).toBeCloseTo(8 + 281 / 8 + 2 + 3.4, 1);
});

test("on a strip each label is a page of its own, none beyond its edges", () => {
  const pages = labelStrip(["C1 one", `C2 ${"word ".repeat(60)}`]);
  expect(pages.map(({ widthMm, heightMm }) => [widthMm, heightMm])).toEqual([
    [70, 24],
    [70, 24],
  ]);
  for (const { svg } of pages) expect(Math.max(...places(svg).map(([, y]) => y))).toBeLessThan(24);
});

test("long words are wrapped and stay within their label", () => {
  const [page] = labelPages([`${"x".repeat(200)} ${"word ".repeat(60)}`], sheet);
  const lines = places(page?.svg ?? "");
  expect(lines.length).toBeGreaterThan(1);
  expect(Math.max(...lines.map(([, y]) => y))).toBeLessThan(8 + 281 / 8);
});

test("a table is held as text where a cell could be a formula, and begins with a byte order mark only where that is asked for", () => {
  const job = { ...demoJob("sail-loft") };
  const [cable] = job.cables;
  if (!cable) throw new Error("no cable");
  const risky = { ...job, cables: [{ ...cable, tags: { from: "=1+1", to: " @sum" } }] };
  expect(labelTable(risky)).toContain(`"'=1+1"`);
  expect(labelTable(risky)).toContain(`"' @sum"`);
  expect(labelTable(risky).startsWith("\ufeff")).toBe(false);
  expect(labelTable(risky, { mark: true }).startsWith('\ufeff"mark"')).toBe(true);
});
