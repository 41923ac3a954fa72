import { within } from "@testing-library/react";
import { describe, expect, test } from "vitest";
import { solve } from "@/core/chain";
import { checkedPlans, planCommand, weightsOf, wiringSpace, atHand } from "@/core/plan";
import { planIdea, planProof, SCHOOL_WORDS } from "@/core/text";
import { applyCommand } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { openPlace } from "@/ui/under-test/open-place";
import { PlansPlace } from "./index";

const stereo = demoJob("11-all-channel-stereo", "systems");
const space = wiringSpace(stereo, atHand(stereo, [], new Map()));
if (!space) throw new Error("there is nothing to plan");
const found = checkedPlans(space, weightsOf(stereo.brief));
const [best] = found.plans;
if (!best) throw new Error("there is no plan");

describe("the plans", () => {
  test("say in one sentence whether the best is proven, and have a column for each way that is possible", async () => {
    const { findByText, getAllByText } = await openPlace(<PlansPlace />, stereo);
    expect(await findByText(planProof(found))).toBeTruthy();
    // Four stand side by side; the others are in what was found.
    for (const { school } of found.plans.slice(0, 4)) expect(getAllByText(SCHOOL_WORDS[school]).length).toBeGreaterThan(0);
  });

  test("tell the idea of the best, and apply it as one edit that can be taken back", async () => {
    const { findByText, getByRole, job, user } = await openPlace(<PlansPlace />, stereo);
    expect(await findByText(planIdea(best, "receiver"))).toBeTruthy();
    await user.click(getByRole("button", { name: "Use this plan" }));
    const applied = applyCommand(stereo, planCommand(stereo, best));
    if (!applied.ok) throw new Error("the plan does not apply");
    const verdicts = (of: typeof stereo) => solve(of, "planned").rows.map(({ verdict }) => verdict);
    expect(verdicts(job())).toEqual(verdicts(applied.value.job));
    await user.click(getByRole("button", { name: /^Undo: / }));
    expect(job().devices).toEqual(stereo.devices);
    expect(job().cables).toEqual(stereo.cables);
  });

  test("keep the state before, so that it can be compared", async () => {
    const { findByRole, job, user } = await openPlace(<PlansPlace />, stereo);
    await user.click(await findByRole("button", { name: "Use this plan" }));
    expect(job().snapshots).toHaveLength(stereo.snapshots.length + 1);
  });

  test("are asked for devices where there is nothing to plan", async () => {
    const { findByRole } = await openPlace(<PlansPlace />, { ...stereo, devices: [], cables: [] });
    expect((await findByRole("link", { name: /Gear/ })).getAttribute("href")).toBe("gear");
  });
});

test("other weights can be kept in the brief", async () => {
  const { findByRole, getByRole, job, user } = await openPlace(<PlansPlace />, stereo);
  const weights = within(getByRole("group", { name: "What matters most" }));
  await user.click(weights.getByRole("button", { name: "Least drilling" }));
  await user.click(await findByRole("button", { name: "Save for this job" }));
  expect(job().brief.weighing).toBe("least-drilling");
});
