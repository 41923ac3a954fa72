import { fileURLToPath } from "node:url";
import { describe, expect, test } from "vitest";
import { bigJob } from "@/bench/big-job";
import { solve } from "@/core/chain";
import { NO_HISTORY } from "@/core/diagnose";
import { householdSheet } from "@/core/handover";
import { VisitEntry, type Job } from "@/core/job";
import type { PrintDocument } from "@/core/paper";
import { householdDocument } from "@/core/report";
import { lineWords, SHEET_WORDS } from "@/core/text";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { DEMO_PREFERENCES } from "@/demo/demo-van";
import { pdfOfDocument, printOut, PRINTS, type HandoverSource } from "./index";
import { CAN_READ_PDF, flowOf, fontsOf, pagesOf, textOf } from "./read-pdf-under-test";

const root = fileURLToPath(new URL("../", import.meta.url));
const { firm } = DEMO_PREFERENCES;
const SOURCE: HandoverSource = {
  firm,
  units: "metric",
  paper: "a4",
  day: "2026-11-27",
  language: "en",
  faults: NO_HISTORY,
  photos: [],
};
/** A word that is broken at its hyphen loses it when it is read again. */
const plain = (text: string) => text.replace(/-/g, "").replace(/\s+/g, " ");

const written = (blocks: PrintDocument["blocks"]): PrintDocument => ({
  title: "Title",
  language: "en",
  paper: "a4",
  pointSize: 14,
  head: { firm: ["Firm"], picture: "", date: "27 November 2026", day: "2026-11-27" },
  blocks,
  pageWords: SHEET_WORDS.en.page,
  missing: { mark: SHEET_WORDS.en.missingLetters, note: SHEET_WORDS.en.missingNote },
});
const pdfWith = (words: string) => pdfOfDocument(written([{ block: "text", words }]), root);

/** The titles of the bookmarks, as they stand in the file. */
const bookmarksOf = (pdf: Uint8Array): readonly string[] =>
  [
    ...Buffer.from(pdf)
      .toString("latin1")
      .matchAll(/<<[^<>]*>>/g),
  ].flatMap(([entry]) =>
    // One that is linked to no other is not shown.
    /\/Parent/.test(entry) && /\/(Next|Prev)/.test(entry) ? (/\/Title \(([^)]*)\)/.exec(entry)?.slice(1) ?? []) : [],
  );

describe.skipIf(!CAN_READ_PDF)("read again by another program", () => {
  test.each(demoJobNames().flatMap((name) => (["en", "es"] as const).map((language) => ({ name, language }))))(
    "the household's sheet of $name, $language: every sentence is there, on two pages at most, no letter under 14 points but in the foot",
    async ({ name, language }) => {
      const job = demoJob(name);
      const sheet = householdSheet(job, { firm, faults: NO_HISTORY });
      for (const paper of ["a4", "letter"] as const) {
        const pdf = await pdfOfDocument(householdDocument(job, sheet, language, { ...SOURCE, paper }), root);
        const text = plain(flowOf(pdf));
        for (const line of sheet.sections.flatMap(({ lines }) => lines))
          expect(text).toContain(plain(lineWords(job, language, line).words));
        expect(pagesOf(pdf).length).toBeLessThanOrEqual(2);
        for (const title of [SHEET_WORDS[language].title(job.name), firm.name, firm.phone]) expect(text).toContain(plain(title));
      }
    },
  );

  test("no word of any document of a job with 200 devices stands outside its page, and no two pages are empty", async () => {
    const job = bigJob(100);
    for (const print of PRINTS.filter((one) => one !== "package")) {
      const pages = pagesOf(await printOut({ print, job, source: SOURCE }, root));
      expect(pages.length).toBeGreaterThan(0);
      for (const { width, height, words } of pages) {
        expect(words.length).toBeGreaterThan(0);
        for (const { xMin, xMax, yMin, yMax, word } of words)
          expect(xMin >= 0 && yMin >= 0 && xMax <= width && yMax <= height, `${print}: ${word} at ${xMax} of ${width}`).toBe(true);
      }
    }
  }, 120_000);

  test("a name as long as it may be, without a blank, stays inside its cell", async () => {
    const loft = demoJob("sail-loft");
    const job: Job = { ...loft, devices: loft.devices.map((one, index) => (index ? one : { ...one, name: "X".repeat(300) })) };
    for (const { width, words } of pagesOf(await printOut({ print: "lists", job, source: SOURCE }, root)))
      for (const { xMax } of words) expect(xMax).toBeLessThanOrEqual(width);
  });

  test("names in Latin script of any language show as they are", async () => {
    const words = "Señal, Größe, Łódź, Dvořák, İstanbul, œuvre";
    expect(flowOf(await pdfWith(words))).toContain(words);
  });

  test.each([
    ["Arabic", "تلفاز", 5],
    ["Hebrew", "טלוויזיה", 8],
    ["Chinese", "电视", 2],
    ["an emoji of several code points", "👨‍👩‍👧", 1],
  ])("%s is said to be missing from the font, never drawn as boxes", async (_script, name, letters) => {
    const text = flowOf(await pdfWith(`Room ${name} here`));
    expect(text).toContain(`Room [${letters} letter${letters === 1 ? "" : "s"} not in this font] here`);
    expect(text).toContain(SHEET_WORDS.en.missingNote);
  });

  test("the same holds inside drawings", async () => {
    const loft = demoJob("sail-loft");
    const job: Job = { ...loft, devices: loft.devices.map((one, index) => (index ? one : { ...one, name: "电视 Łódź" })) };
    expect(textOf(await printOut({ print: "map", job, source: SOURCE }, root))).toMatch(
      /\[2 letters not in .*Łódź|\[2 letters not in this/,
    );
  });

  test("fonts are embedded, and a document without missing letters has no note", async () => {
    const pdf = await pdfWith("Plain words, a thin\u2009space, 5\u2009≤\u20096 and 8\u2009Ω.");
    expect(fontsOf(pdf).length).toBeGreaterThan(0);
    expect(fontsOf(pdf).every(({ embedded }) => embedded)).toBe(true);
    expect(flowOf(pdf)).not.toContain("not in this font");
    expect(flowOf(pdf)).toMatch(/5 at most 6 and 8 ohm/);
  });

  const silentRow = solve(demoJob("sail-loft"), "planned").rows[1]?.id ?? "";
  test("the record tells what happened: plugs, menus, what was seen by whom, what was refused, what is due", async () => {
    const job = demoJob("sail-loft");
    const entry = (given: object): VisitEntry =>
      VisitEntry.parse({ id: crypto.randomUUID(), step: "x", state: "done", at: "2026-11-20T10:00:00.000Z", who: "A. Fitter", ...given });
    const record = [
      entry({ step: "firmware bar", note: "2.14" }),
      entry({ step: `prove ${silentRow}`, sees: "silent", note: "twice" }),
      entry({ step: "event a", event: { event: "refused" }, note: "a second subwoofer" }),
      entry({ step: "event b", event: { event: "promised", due: "2027-01-15" }, note: "the rear speakers" }),
      entry({
        step: "event c",
        at: "2026-11-20T09:00:00.000Z",
        event: {
          event: "visit-ended",
          day: "2026-11-20",
          reason: "install",
          minutes: 95,
          plannedMinutes: 90,
          handedOver: true,
          snapshot: null,
          board: null,
        },
      }),
    ];
    const text = flowOf(await printOut({ print: "record", job: { ...job, record }, source: SOURCE }, root));
    for (const words of [
      "Television “HDMI 3 eARC”",
      "Sound plays from",
      "2.14",
      "Nothing was heard: twice",
      "a second subwoofer",
      "2027-01-15",
      "the rear speakers",
      "Installation; A. Fitter; 95 min",
      "2027-11-20",
    ])
      expect(text).toContain(words);
  });
});

test("each heading is one bookmark, however many pages its table takes", async () => {
  const titles = bookmarksOf(await printOut({ print: "record", job: bigJob(30), source: SOURCE }, root));
  expect(titles).toContain("What is plugged where");
  expect(new Set(titles).size).toBe(titles.length);
});

test("the same document gives the same bytes", async () => {
  const [one, other] = [await pdfWith("Words"), await pdfWith("Words")];
  expect(one.equals(other)).toBe(true);
});
