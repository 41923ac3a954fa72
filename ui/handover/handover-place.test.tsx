import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { NO_HISTORY } from "@/core/diagnose";
import { householdSheet } from "@/core/handover";
import { lineWords, SHEET_WORDS } from "@/core/text";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { HandoverPlace } from "./index";

const loft = demoJob("sail-loft");
const place = <HandoverPlace firm={NO_HISTORY} />;
const sheet = householdSheet(loft, { firm: { name: "", phone: "" }, faults: NO_HISTORY });
const [line] = sheet.sections.flatMap(({ lines }) => lines);
if (!line) throw new Error("the sheet of the loft has lines");

describe("the household's sheet", () => {
  test("has every part and every line that the job makes", async () => {
    const { findByRole } = await openPlace(place, loft);
    const paper = within(await findByRole("article"));
    for (const section of sheet.sections) {
      const part = within(paper.getByRole("region", { name: SHEET_WORDS.en.headings[section.id] }));
      expect(part.getAllByRole("listitem").map((item) => item.textContent)).toEqual(
        section.lines.map((one) => lineWords(loft, "en", one).words),
      );
    }
  });

  test("takes a sentence of one's own in place of a line, and gives the job's own back", async () => {
    const made = lineWords(loft, "en", line).words;
    const { findByRole, getByRole, getByText, job, user } = await openPlace(place, loft);
    await user.click(await findByRole("button", { name: `Change this sentence: ${made}` }));
    const field = getByRole("textbox", { name: "Change this sentence" });
    await user.clear(field);
    await user.type(field, "Ask Robin first.");
    await user.click(getByRole("button", { name: "Save" }));
    expect(getByText("Ask Robin first.")).toBeTruthy();
    expect(job().handover.sentences).toMatchObject([{ line: line.id, language: "en", text: "Ask Robin first." }]);
    await user.click(getByRole("button", { name: "Change this sentence: Ask Robin first." }));
    await user.click(getByRole("button", { name: "Use the sentence from the job" }));
    expect(getByText(made)).toBeTruthy();
  });

  test("is written in the language that is chosen", async () => {
    const [, other] = Object.entries(SHEET_WORDS).find(([tag]) => tag !== "en") ?? [];
    if (!other) throw new Error("there is one language alone");
    const { findByRole, findByText, getByRole, user } = await openPlace(place, loft);
    await findByRole("article");
    await user.click(getByRole("combobox", { name: "Language of the sheet" }));
    await user.click(await findByText(other.name));
    expect(getByRole("article").lang).toBe(other.tag);
  });

  test("warns of words that only the trade knows", async () => {
    const made = lineWords(loft, "en", line).words;
    const { findByRole, getAllByRole, getByRole, user } = await openPlace(place, loft);
    await user.click(await findByRole("button", { name: `Change this sentence: ${made}` }));
    await user.type(getByRole("textbox", { name: "Change this sentence" }), " Mind the eARC.");
    expect(getAllByRole("note").some(({ textContent }) => textContent?.includes("eARC"))).toBe(true);
  });
});

test("every document of the record is there on the paper that is chosen", async () => {
  const { findByTitle, getAllByRole, getByRole, user } = await openPlace(place, loft, { search: "view=record" });
  const papers = () =>
    getAllByRole("link").map((link) => new URL(link.getAttribute("href") ?? "", "http://here").searchParams.get("paper"));
  expect(new Set(papers())).toEqual(new Set(["a4"]));
  expect(papers()).toHaveLength(7);
  await user.click(getByRole("combobox", { name: "Paper" }));
  await user.click(await findByTitle("Letter"));
  expect(new Set(papers())).toEqual(new Set(["letter"]));
});

test("a job that nobody has visited has no visit, and says so", async () => {
  const { getByRole } = await openPlace(place, loft, { search: "view=visits" });
  const visits = getByRole("region", { name: "Visits" });
  expect(within(visits).queryByRole("listitem")).toBeNull();
  expect(visits.querySelector("p")?.textContent).toMatch(/\.$/);
});

test("a job without devices has nothing to hand over", async () => {
  const { getByRole } = await openPlace(place, { ...loft, devices: [], cables: [] });
  expect(getByRole("link").getAttribute("href")).toBe("gear");
});
