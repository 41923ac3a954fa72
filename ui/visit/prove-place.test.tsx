import { within } from "@testing-library/react";
import { v4 as newId } from "uuid";
import { describe, expect, test } from "vitest";
import { householdOf } from "@/core/cec";
import { solve } from "@/core/chain";
import { VisitEntry } from "@/core/job";
import { proofChecks, type ProofCheck } from "@/core/proof";
import { checkTitle, predictionLines, screenOf } from "@/core/text";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { ProvePlace } from "./index";

const hall = demoJob("village-hall");
const household = householdOf(hall, "planned");
const checks = proofChecks(hall, household, solve(hall, "planned").rows);
const rows = checks.filter((check) => check.check === "row");
const titleOf = (check: ProofCheck) => checkTitle(hall, check, screenOf(household));
const [first, second] = rows;
if (!first || !second) throw new Error("two contents are needed");

const seen = (check: ProofCheck, fields: Partial<VisitEntry>): VisitEntry =>
  VisitEntry.parse({ id: newId(), at: "2026-11-28T10:00:00.000Z", who: "Ash", step: check.id, state: "done", ...fields });
const opened = (check: ProofCheck) => ({ search: `kind=${check.check}&check=${encodeURIComponent(check.id)}` });

describe("the proof", () => {
  test("says of each content what every line of the displays should show", async () => {
    for (const check of rows) {
      const { getByRole, unmount } = await openPlace(<ProvePlace />, hall, opened(check));
      const card = within(getByRole("region", { name: "This check" }));
      expect(card.getByRole("heading", { name: titleOf(check) })).toBeTruthy();
      expect(card.getAllByRole("definition").map(({ textContent }) => textContent)).toEqual(
        predictionLines(hall, check.row).map(({ words }) => words),
      );
      unmount();
    }
  });

  test("takes the next content in hand when one was seen as predicted, and counts it", async () => {
    const { getByRole, getByText, user } = await openPlace(<ProvePlace />, hall);
    const card = () => within(getByRole("region", { name: "This check" }));
    expect(card().getByRole("heading", { name: titleOf(first) })).toBeTruthy();
    await user.click(card().getByRole("button", { name: "As predicted" }));
    expect(card().getByRole("heading", { name: titleOf(second) })).toBeTruthy();
    expect(getByText(new RegExp(`^1 of ${checks.length} as predicted\\.`))).toBeTruthy();
  });

  test("ticks from the list, where a proven line cannot be ticked twice", async () => {
    const { getByRole, user } = await openPlace(<ProvePlace />, hall);
    const tick = () => getByRole("button", { name: `As predicted: ${titleOf(second)}` });
    await user.click(tick());
    expect(tick()).toHaveProperty("disabled", true);
  });

  test("says who saw what, and when, and has it looked at again where that is wanted", async () => {
    const entries = [seen(first, { sees: "silent", state: "not-done", note: "no light on the bar" })];
    const { getByRole, getByText, queryByText, user } = await openPlace(<ProvePlace />, hall, { ...opened(first), entries });
    expect(getByText(/seen 28 Nov, \d\d:\d\d, Ash – no light on the bar$/)).toBeTruthy();
    expect(getByText(/1 seen otherwise\./)).toBeTruthy();
    await user.click(within(getByRole("region", { name: "This check" })).getByRole("button", { name: "Look again" }));
    expect(queryByText(/seen otherwise\./)).toBeNull();
  });

  test("asks what single fact would explain what was seen otherwise", async () => {
    const entries = [seen(first, { sees: "silent", state: "not-done" })];
    const { findByRole } = await openPlace(<ProvePlace />, hall, { entries });
    expect(await findByRole("heading", { name: "What would explain what was seen" })).toBeTruthy();
  });

  test("lists acts and speakers as checks of their own", async () => {
    const { getAllByRole, getByRole, user } = await openPlace(<ProvePlace />, hall);
    const listed = () => within(getByRole("list", { name: "All checks" })).getAllByRole("listitem").length;
    expect(listed()).toBe(rows.length);
    await user.click(getByRole("button", { name: "Everyday acts" }));
    expect(listed()).toBe(checks.filter(({ check }) => check === "act").length);
    expect(getAllByRole("button", { name: /Start the stopwatch/ })).toHaveLength(1);
  });

  test("of a job without a player has nothing to check", async () => {
    const { getByRole } = await openPlace(<ProvePlace />, { ...hall, devices: [], cables: [] });
    expect(getByRole("heading", { name: "Nothing to prove yet" })).toBeTruthy();
  });
});
