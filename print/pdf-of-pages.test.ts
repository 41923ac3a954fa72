import { inflateSync } from "node:zlib";
import { fileURLToPath } from "node:url";
import { expect, test } from "vitest";
import { fromShelfOrThrow } from "@/core/device";
import { templatePages } from "@/core/drawing";
import { emptyJob } from "@/core/job";
import { sceneOf, templateOf } from "@/core/room";
import { pdfOfPages } from "./pdf-of-pages";

const root = fileURLToPath(new URL("../", import.meta.url));
const POINTS_PER_MM = 72 / 25.4;

/** The content of every stream of a PDF that unpacks, as text. */
function streamsOf(pdf: Buffer): readonly string[] {
  const found: string[] = [];
  for (let at = pdf.indexOf("stream\n"); at >= 0; at = pdf.indexOf("stream\n", at + 7)) {
    const end = pdf.indexOf("endstream", at);
    try {
      found.push(inflateSync(pdf.subarray(at + 7, end)).toString("latin1"));
    } catch {
      // Not packed, or the end of one: nothing that is drawn.
    }
  }
  return found;
}

test.each(["a4", "letter"] as const)(
  "a template on %s measures true: the page in points, the check line 100 mm, the fonts inside",
  async (paper) => {
    const job = {
      ...emptyJob("Job"),
      rooms: [{ id: "room", name: "Room", seats: 0, space: null }],
      devices: [fromShelfOrThrow("bar-one-input", { id: "bar" })],
    };
    const template = templateOf(
      job.rooms.map((room) => sceneOf(job, room)),
      "bar",
    );
    if ("code" in template) throw new Error(template.code);
    const pages = templatePages(template, job.name, paper);
    const pdf = await pdfOfPages(pages, "Template", root);
    const text = pdf.toString("latin1");
    const boxes = [...text.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(([, width, height]) => [Number(width), Number(height)]);
    expect(boxes).toHaveLength(pages.length);
    for (const [index, { widthMm, heightMm }] of pages.entries()) {
      expect(boxes[index]?.[0]).toBeCloseTo(widthMm * POINTS_PER_MM, 1);
      expect(boxes[index]?.[1]).toBeCloseTo(heightMm * POINTS_PER_MM, 1);
    }
    expect(text).toContain("/FontFile2");
    const drawn = streamsOf(pdf).join("\n");
    // Each page is scaled once, from millimetres to points, and holds its own check line.
    expect(drawn.match(/2\.8346\d* 0 0 2\.8346\d* /g)?.length).toBe(pages.length);
    const lines = [...drawn.matchAll(/([-\d.]+) ([-\d.]+) m\n([-\d.]+) ([-\d.]+) l\n/g)].map(([, x1, y1, x2, y2]) =>
      Math.hypot(Number(x2) - Number(x1), Number(y2) - Number(y1)),
    );
    expect(lines.filter((length) => Math.abs(length - 100) < 0.01).length).toBeGreaterThanOrEqual(pages.length);
  },
);
