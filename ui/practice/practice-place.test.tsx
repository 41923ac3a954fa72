import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { practiceRig } from "@/core/practice";
import { rigReport } from "@/core/report";
import { STEP_GROUP_WORDS } from "@/core/text";
import { openPage } from "@/ui/under-test/open-place";
import { PracticePlace } from "./index";

const rig = practiceRig(7, "back-plate");
if (!rig) throw new Error("there is no such rig");
const told = rigReport(rig);
/** What mends the rig. */
const cure = told.checks.find(({ id }) => rig.finder.singles.cures.find((one) => one.id === id)?.mends[suspectOf(rig.planted.id)]);
if (!cure) throw new Error("nothing mends the rig");

function suspectOf(id: string): number {
  return rig?.finder.singles.suspects.findIndex((one) => one.id === id) ?? -1;
}

const opened = async () => {
  const page = await openPage(<PracticePlace jobs={[]} />, "rig=7");
  await page.user.click(page.getByRole("button", { name: "Begin" }));
  return { ...page, steps: within(await page.findByRole("region", { name: "What do you do?" })) };
};

describe("a rig", () => {
  test("tells what the household says, and nothing of what is wrong", async () => {
    const { container, getByText, queryByText } = await opened();
    for (const { says } of told.symptoms) expect(container.textContent).toContain(says);
    expect(getByText("0 min in 0 steps")).toBeTruthy();
    expect(queryByText("It was:")).toBeNull();
  });

  test("answers a step as the room would, at its minutes", async () => {
    const ask = told.checks.find(({ group }) => group === "ask");
    if (!ask) throw new Error("there is nothing to ask");
    const { findByRole, steps, user } = await opened();
    expect(steps.getByRole("button", { name: STEP_GROUP_WORDS.ask, pressed: true })).toBeTruthy();
    await user.click(steps.getByRole("button", { name: new RegExp(`^${escaped(ask.says)}`) }));
    const line = within(await findByRole("region", { name: "What you did" })).getAllByRole("listitem");
    expect(line).toHaveLength(1);
    expect(line[0]?.textContent?.startsWith(ask.says)).toBe(true);
  });

  test("is found by the step that mends it, which is a hundred points at most, and kept as progress", async () => {
    const { findByRole, steps, user } = await opened();
    await user.type(steps.getByRole("textbox", { name: "Find a step" }), cure.says);
    await user.click(steps.getByRole("button", { name: new RegExp(`^${escaped(cure.says)}`) }));
    const score = within(await findByRole("region", { name: "Find the fault" }));
    expect(score.getByRole("heading", { name: /^Found/ }).textContent).toMatch(/ (100|\d\d?) of 100 points$/);
    expect(score.getByRole("button", { name: "Next rig" })).toBeTruthy();
  });

  test("that is given up tells what was wrong, without points", async () => {
    const { findByRole, getByRole, steps, user } = await opened();
    await user.click(steps.getAllByRole("listitem")[0]?.querySelector("button") ?? document.body);
    await user.click(await findByRole("button", { name: "Give up and see" }));
    const score = within(await findByRole("region", { name: "Find the fault" }));
    expect(score.getByText("It was:")).toBeTruthy();
    expect(getByRole("heading", { name: "Given up" })).toBeTruthy();
  });
});

const escaped = (words: string) => words.replaceAll(/[.*+?^${}()|[\]\\]/g, "\\$&");
