import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { solve } from "@/core/chain";
import type { Job } from "@/core/job";
import { durationWords, stepCaution, visitStepWords } from "@/core/text";
import { runSheet, USUAL_MINUTES } from "@/core/visit";
import { allNew, demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { RunSheetPlace } from "./index";

const hall = demoJob("village-hall");
const sheetOf = (job: Job) => runSheet(job, job.visit.people, USUAL_MINUTES, []);
const nameOf = (job: Job, index: number) => {
  const step = sheetOf(job).steps[index];
  if (!step) throw new Error(`there is no step ${index}`);
  return visitStepWords(job, step, solve(job, "planned").rows);
};
const place = <RunSheetPlace minutes={USUAL_MINUTES} />;

describe("the run sheet", () => {
  test("has the first step in hand, and every step in the order of the schedule beside it", async () => {
    const { getByRole } = await openPlace(place, hall);
    const card = within(getByRole("region", { name: "This step" }));
    expect(card.getByRole("heading", { name: nameOf(hall, 0) })).toBeTruthy();
    const list = within(getByRole("complementary", { name: "All steps, in order" })).getAllByRole("button");
    expect(list).toHaveLength(sheetOf(hall).steps.length);
    sheetOf(hall).steps.forEach((step, index) => {
      expect(list[index]?.textContent).toBe(durationWords(step.starts) + nameOf(hall, index));
    });
  });

  test("takes the next step in hand when one is done, and counts it", async () => {
    const { getByRole, getByText, user } = await openPlace(place, hall);
    const all = sheetOf(hall).steps.length;
    const card = () => within(getByRole("region", { name: "This step" }));
    await user.click(card().getByRole("button", { name: "Done" }));
    expect(card().getByRole("heading", { name: nameOf(hall, 1) })).toBeTruthy();
    expect(getByText(new RegExp(`^1 of ${all} steps done; about .+ left\\.`))).toBeTruthy();
  });

  test("asks why a step is put off before it lets it go", async () => {
    const { getByRole, queryByRole, user } = await openPlace(place, hall);
    const card = () => within(getByRole("region", { name: "This step" }));
    await user.click(card().getByRole("button", { name: "Put off" }));
    expect(getByRole("alert").textContent).toBe("Write why it is put off, then press again.");
    expect(card().getByRole("heading", { name: nameOf(hall, 0) })).toBeTruthy();
    await user.type(card().getByRole("textbox", { name: "Note for this step" }), "no dust sheet");
    expect(queryByRole("alert")).toBeNull();
    await user.click(card().getByRole("button", { name: "Put off" }));
    expect(card().getByRole("heading", { name: nameOf(hall, 1) })).toBeTruthy();
    const first = within(getByRole("complementary", { name: "All steps, in order" })).getAllByRole("button")[0];
    expect(first?.textContent).toContain("put off");
  });

  test("opens a step that was done again, with the note that was left there", async () => {
    const { getByRole, getByText, user } = await openPlace(place, hall);
    const card = () => within(getByRole("region", { name: "This step" }));
    await user.type(card().getByRole("textbox", { name: "Note for this step" }), "sheet is in the hall");
    await user.click(card().getByRole("button", { name: "Done" }));
    await user.click(getByRole("button", { name: new RegExp(`${nameOf(hall, 0)}.*done`) }));
    expect(getByText("sheet is in the hall")).toBeTruthy();
    await user.click(card().getByRole("button", { name: "Open again" }));
    expect(getByText(/^0 of /)).toBeTruthy();
  });

  test("tells a household that was promised less time that this will take longer", async () => {
    const promised = (agreedMinutes: number): Job => ({ ...hall, visit: { ...hall.visit, agreedMinutes } });
    const short = await openPlace(place, promised(10));
    expect(short.getByText(/The household was told 10 min: this will take longer\./)).toBeTruthy();
    short.unmount();
    const long = await openPlace(place, promised(600));
    expect(long.getByText(/The household was told 10 h\./)).toBeTruthy();
    expect(long.queryByText(/this will take longer/)).toBeNull();
  });

  test("takes a step of one's own behind the one in hand", async () => {
    const { getByRole, job, user } = await openPlace(place, hall);
    await user.click(getByRole("button", { name: "Add a step" }));
    await user.type(getByRole("textbox", { name: "What is to be done" }), "Fetch the ladder");
    await user.click(getByRole("button", { name: "Put it after this step" }));
    expect(job().visit.added.map(({ says }) => says)).toEqual(["Fetch the ladder"]);
  });
});

test("what can hurt is said on the step itself", async () => {
  const jobs = ["village-hall", "attic-screen", "receiver-den", "flat-4b"].map((name) => allNew(demoJob(name)));
  const dangerous = jobs.flatMap((job) =>
    sheetOf(job).steps.flatMap((step) => {
      const caution = stepCaution(job, step);
      return caution ? [{ job, step, caution }] : [];
    }),
  );
  const kinds = new Map(dangerous.map((one) => [one.caution, one]));
  expect(kinds.size).toBeGreaterThan(2);
  for (const { job, step, caution } of kinds.values()) {
    const { getByRole, unmount } = await openPlace(place, job, { search: `step=${encodeURIComponent(step.id)}` });
    // Narrow spaces are part of the words.
    const card = getByRole("region", { name: "This step" });
    expect([...card.querySelectorAll("p")].map(({ textContent }) => textContent)).toContain(caution);
    unmount();
  }
});
