import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { solve } from "@/core/chain";
import { openQuestions } from "@/core/survey";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { BriefPlace } from "./index";

const loft = demoJob("sail-loft");
const hall = demoJob("village-hall");

describe("an answer of the household", () => {
  test("is kept in the brief, and can be taken back", async () => {
    const { getByRole, job, user } = await openPlace(<BriefPlace />, loft);
    const who = getByRole("textbox", { name: "Who uses the room" });
    await user.clear(who);
    await user.type(who, "Two, who like films{Enter}");
    expect(job().brief.household).toBe("Two, who like films");
    await user.click(getByRole("button", { name: /^Undo: / }));
    expect(job().brief.household).toBe(loft.brief.household);
  });

  test("that the news plays from the screen judges the news there", async () => {
    const { getByRole, job, user } = await openPlace(<BriefPlace />, hall);
    await user.click(within(getByRole("radiogroup", { name: "News plays from" })).getByRole("radio", { name: "the screen" }));
    expect(job().brief.newsFrom).toBe("screen");
  });

  test("of no budget is no budget, not one of nothing", async () => {
    const { getByRole, job, user } = await openPlace(<BriefPlace />, { ...loft, brief: { ...loft.brief, budget: 200 } });
    await user.clear(getByRole("spinbutton", { name: "Budget" }));
    await user.tab();
    expect(job().brief.budget).toBeNull();
  });
});

test("screens at once are asked of a room with two screens alone", async () => {
  const one = await openPlace(<BriefPlace />, loft);
  expect(one.queryByRole("combobox", { name: "Screens in use at the same time" })).toBeNull();
  one.unmount();
  const two = await openPlace(<BriefPlace />, hall);
  expect(two.getByRole("combobox", { name: "Screens in use at the same time" })).toBeTruthy();
});

test("everything that nobody knows is listed, as many as the engine asks", async () => {
  const unread = {
    ...loft,
    devices: loft.devices.map((device) => ({
      ...device,
      settings: device.settings.map((row) => ({ ...row, found: null, planned: null })),
    })),
  };
  const asked = openQuestions(unread, solve(unread, "planned").rows).length;
  expect(asked).toBeGreaterThan(0);
  const { getByRole } = await openPlace(<BriefPlace />, unread);
  expect(within(getByRole("complementary")).getAllByRole("listitem")).toHaveLength(asked);
});
