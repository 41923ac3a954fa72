import { waitFor, within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { finderOf, NO_HISTORY } from "@/core/diagnose";
import { diagnoseReport, symptomsReport } from "@/core/report";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { FixPlace } from "./index";

const loft = demoJob("sail-loft");
const place = <FixPlace firm={NO_HISTORY} />;
const finder = finderOf(loft);
const [symptom] = symptomsReport(finder).symptoms;
if (!symptom) throw new Error("the loft has no complaint");
const first = (() => {
  const stand = diagnoseReport(finder, [symptom.id], []);
  if (!stand.ok || !stand.value.next) throw new Error("there is no first check");
  return stand.value;
})();

describe("the search for a fault", () => {
  test("begins with what the household says, and asks the check that tells most for its minutes", async () => {
    const { findByRole, user } = await openPlace(place, loft);
    await user.click(await findByRole("button", { name: symptom.says }));
    const card = within(await findByRole("region", { name: "Next check" }));
    expect(card.getByRole("heading", { name: first.next?.says ?? "" })).toBeTruthy();
    const answers = within(card.getByRole("group", { name: "What do you see?" })).getAllByRole("button");
    expect(answers.length).toBeGreaterThan(1);
  });

  test("goes on to another check by an answer, and back", async () => {
    const { findByRole, getByRole, user } = await openPlace(place, loft);
    await user.click(await findByRole("button", { name: symptom.says }));
    const title = () => within(getByRole("region", { name: "Next check" })).getByRole("heading").textContent;
    await waitFor(() => expect(title()).toBe(first.next?.says));
    await user.click(getByRole("button", { name: "Skip this check" }));
    await waitFor(() => expect(title()).not.toBe(first.next?.says));
    await user.click(getByRole("button", { name: "Back one step" }));
    await waitFor(() => expect(title()).toBe(first.next?.says));
  });

  test("of an empty room has nothing to look for", async () => {
    const { queryByRole } = await openPlace(place, { ...loft, devices: [], cables: [] });
    expect(queryByRole("region", { name: "Next check" })).toBeNull();
    expect(queryByRole("button", { name: symptom.says })).toBeNull();
  });
});
