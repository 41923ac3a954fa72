import { expect } from "@playwright/test";
import { test } from "./support";

test("five questions on a phone: the planner answers, and the answer becomes a job", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto("/join");
  await expect(page.getByText("The answer appears here as soon as")).toBeVisible();
  await page.getByLabel("HDMI without ARC, and an optical output").check();
  await page.getByLabel("A bar whose only socket is eARC").check();
  await page.getByLabel("A streamer").check();
  const answer = page.getByRole("region", { name: "The answer" });
  await expect(answer.getByText(/Streamer into /)).toBeVisible();
  await expect(answer.getByText(/Proven best among all ways/)).toBeVisible();
  // Nothing is wider than the phone.
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await answer.getByRole("button", { name: "Save as a job" }).click();
  await expect(page).toHaveURL(/\/jobs\/[^/]+\/arrivals/);
  await expect(page.getByText(/Streamer/).first()).toBeVisible();
});
