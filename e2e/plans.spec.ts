import { expect } from "@playwright/test";
import { choose, expectSaved, importDemo, test } from "./support";

test("plans stand side by side, proven; one is planned by one edit and taken back by one", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/plans`);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
  const screenHub = page.locator('thead button[data-school="screen-hub"]');
  await expect(page.locator("thead button[data-school]").first()).toHaveAttribute("data-school", "screen-hub");
  const story = page.getByRole("complementary", { name: "The chosen plan" });
  await expect(story.getByText(/Streamer, Disc player and Console into Television/)).toBeVisible();
  await expect(story.getByText(/Move Ultra High Speed HDMI: Console/)).toBeVisible();
  await story.getByRole("button", { name: "Use this plan" }).click();
  await expectSaved(page);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
  await screenHub.click();
  await expect(story.getByText("All cables stay where they are.")).toBeVisible();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expectSaved(page);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
  await screenHub.click();
  await expect(story.getByText(/Move Ultra High Speed HDMI: Console/)).toBeVisible();
});

test("a player is pinned, and planned anew at once; what cannot be is told with its reason", async ({ page, request }) => {
  const id = await importDemo(request, "attic-screen");
  await page.goto(`/jobs/${id}/plans?weights=easiest-to-use`);
  await expect(page.getByRole("button", { name: "Easiest to use" })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
  await expect(page.getByRole("region", { name: "Not in this room" })).toContainText(
    "Everything into the screen: no screen of this room has",
  );
  const story = page.getByRole("complementary", { name: "The chosen plan" });
  await story.getByRole("tab", { name: "Wishes" }).click();
  await choose(page, "Where Streamer goes", "in Projector");
  await story.getByRole("tab", { name: "This plan" }).click();
  await expect(story.getByText(/Streamer into Projector/)).toBeVisible();
});

test("a hard wish is kept, why not otherwise is answered, and plans that none beats stand side by side", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/plans`);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
  const story = page.getByRole("complementary", { name: "The chosen plan" });
  await story.getByRole("tab", { name: "Why not" }).click();
  await choose(page, "Why not another way? Choose one", "Console into Bar");
  await expect(story.getByText(/points behind the best: .*Console into Bar/)).toBeVisible();
  await story.getByRole("tab", { name: "Wishes" }).click();
  await choose(page, "Add a wish …", "Everything Console plays arrives in full");
  await expect(story.getByRole("button", { name: "Drop: Everything Console plays arrives in full" })).toBeVisible();
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
  await page.getByRole("button", { name: "Best trade-offs" }).click();
  await expect(page.getByText(/that no other beats in arrivals, ease, cost and work/)).toBeVisible();
  await expect(page.locator("thead button[data-school]").first()).toContainText(/arrives|cheapest|Easiest/i);
});

test("wishes and what counts are kept in the brief, can be turned, are taken back, and hold over HTTP", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/plans?weights=easiest-to-use`);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
  await page.getByRole("button", { name: "Save for this job" }).click();
  await expectSaved(page);
  await expect(page.getByRole("button", { name: "Save for this job" })).toHaveCount(0);
  const story = page.getByRole("complementary", { name: "The chosen plan" });
  await story.getByRole("tab", { name: "Wishes" }).click();
  await choose(page, "Add a wish …", "One remote for every act");
  await story.getByRole("button", { name: "One remote for every act: required. Change that" }).click();
  await expect(story.getByRole("button", { name: "One remote for every act: preferred. Change that" })).toBeVisible();
  await expectSaved(page);
  await page.goto(`/jobs/${id}/brief`);
  await expect(page.getByText("Easiest to use")).toBeVisible();
  const answer = await request.post(`/api/jobs/${id}/plans`, { data: { top: 1 } });
  expect(await answer.json()).toMatchObject({ preset: "easiest-to-use", proven: true });
  await page.goto(`/jobs/${id}/plans`);
  await expect(page.getByRole("button", { name: "Easiest to use" })).toHaveAttribute("aria-pressed", "true");
  await story.getByRole("tab", { name: "Wishes" }).click();
  await story.getByRole("button", { name: "Drop: One remote for every act" }).click();
  await expectSaved(page);
  await expect(story.getByRole("button", { name: /One remote for every act/ })).toHaveCount(0);
});

test("tuned weights stand in the address, and the keyboard moves them", async ({ page, request }) => {
  const id = await importDemo(request, "attic-screen");
  await page.goto(`/jobs/${id}/plans`);
  await page.getByRole("button", { name: "Fine tuning" }).click();
  const ease = page.getByRole("slider", { name: "Ease" });
  await ease.focus();
  await page.keyboard.press("ArrowRight");
  await expect(page).toHaveURL(/weights=60_25_15_0\.5_0\.5_0\.5/);
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
});

test("plans over HTTP: those of a job, and one sentence for what names nothing", async ({ request }) => {
  const id = await importDemo(request, "attic-screen");
  const answer = await request.post(`/api/jobs/${id}/plans`, { data: { preset: "best-sound", top: 2 } });
  expect(answer.status()).toBe(200);
  const body = (await answer.json()) as { plans: { school: string; proven: boolean; command: unknown }[]; proven: boolean };
  expect(body.plans[0]).toMatchObject({ school: "sound-hub", proven: true });
  expect(body.plans.length).toBeLessThanOrEqual(2);
  const more = await request.post(`/api/jobs/${id}/plans`, { data: { trades: true, whatIf: true, whyNot: "school:split" } });
  const told = (await more.json()) as {
    trades: { words: string }[];
    whatIf: { gain: number }[];
    whyNot: { proven: boolean; words: string };
  };
  expect(told.trades.every(({ words }) => words.length > 3)).toBe(true);
  expect(told.whatIf.every(({ gain }) => gain >= 0.5)).toBe(true);
  expect(told.whyNot.words).toMatch(/points behind the best|As good as the best|no plan/);
  const askedOfNothing = await request.post(`/api/jobs/${id}/plans`, { data: { whyNot: "nobody:bar" } });
  expect([askedOfNothing.status(), ((await askedOfNothing.json()) as { detail: string }).detail]).toEqual([
    400,
    "whyNot: “nobody:bar” names nothing in this job.",
  ]);
  const strange = await request.post(`/api/jobs/${id}/plans`, { data: { pin: ["nobody:bar"] } });
  expect(strange.status()).toBe(400);
  expect(await strange.json()).toMatchObject({ detail: "pin: “nobody:bar” names nothing in this job." });
  expect((await request.post("/api/jobs/00000000-0000-4000-8000-000000000000/plans", { data: {} })).status()).toBe(404);
});
