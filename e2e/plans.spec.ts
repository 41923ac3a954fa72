import { expect, test } from "@playwright/test";
import { choose, expectSaved, importDemo } from "./support";

test("plans stand side by side, proven; one is planned by one edit and taken back by one", async ({ page, request }) => {
  const id = await importDemo(request, "receiver-den");
  await page.goto(`/jobs/${id}/plans`);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible({ timeout: 30_000 });
  const columns = page.locator("thead button[data-school]");
  await expect(columns.first()).toHaveAttribute("data-school", "sound-hub");
  const mixed = page.locator('thead button[data-school="mixed"]');
  await mixed.click();
  const story = page.getByRole("complementary", { name: "The chosen plan" });
  await expect(story.getByText(/into Receiver and Set-top box into Television/)).toBeVisible();
  await expect(story.getByText(/Lay Ultra High Speed HDMI: Set-top box/)).toBeVisible();
  await story.getByRole("button", { name: "Plan it so" }).click();
  await expectSaved(page);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible({ timeout: 30_000 });
  await mixed.click();
  await expect(story.getByText("All cables stay as they lie.")).toBeVisible();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expectSaved(page);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible({ timeout: 30_000 });
  await mixed.click();
  await expect(story.getByText(/Lay Ultra High Speed HDMI: Set-top box/)).toBeVisible();
});

test("a player is pinned, and planned anew at once; what cannot be is told with its reason", async ({ page, request }) => {
  const id = await importDemo(request, "attic-screen");
  await page.goto(`/jobs/${id}/plans?weights=easiest-to-use`);
  await expect(page.getByRole("button", { name: "Easiest to use" })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole("region", { name: "Not in this room" })).toContainText(
    "Everything into the screen: no screen of this room has",
  );
  await choose(page, "Where Streamer belongs", "in Projector");
  const story = page.getByRole("complementary", { name: "The chosen plan" });
  await expect(story.getByText(/Streamer into Projector/)).toBeVisible({ timeout: 30_000 });
});

test("plans over HTTP: those of a job, and one sentence for what names nothing", async ({ request }) => {
  const id = await importDemo(request, "attic-screen");
  const answer = await request.post(`/api/jobs/${id}/plans`, { data: { preset: "best-sound", top: 2 } });
  expect(answer.status()).toBe(200);
  const body = (await answer.json()) as { plans: { school: string; proven: boolean; command: unknown }[]; proven: boolean };
  expect(body.plans[0]).toMatchObject({ school: "sound-hub", proven: true });
  expect(body.plans.length).toBeLessThanOrEqual(2);
  const strange = await request.post(`/api/jobs/${id}/plans`, { data: { pin: ["nobody:bar"] } });
  expect(strange.status()).toBe(400);
  expect(await strange.json()).toMatchObject({ detail: "pin: “nobody:bar” names nothing in this job." });
  expect((await request.post("/api/jobs/00000000-0000-4000-8000-000000000000/plans", { data: {} })).status()).toBe(404);
});
