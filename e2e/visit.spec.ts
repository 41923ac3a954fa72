import { readFileSync } from "node:fs";
import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { choose, importDemo } from "./support";

test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

test("a visit by touch: ticks count at once, without a network and over a reload, and a second device has them", async ({
  page,
  request,
  context,
  browser,
  baseURL,
}) => {
  const id = await importDemo(request, "village-hall");
  await page.goto(`/jobs/${id}/runsheet`);
  const step = page.getByRole("region", { name: "This step" });
  await expect(step).toContainText("Cover the floor and furniture");
  const done = step.getByRole("button", { name: "Done", exact: true });
  expect((await done.boundingBox())?.height).toBeGreaterThanOrEqual(48);
  await done.tap();
  await expect(step).toContainText("Photograph every back plate");
  await context.setOffline(true);
  await step.getByRole("textbox", { name: "Note for this step" }).fill("Rack is locked");
  await step.getByRole("button", { name: "Put off" }).tap();
  await step.getByRole("button", { name: "Done", exact: true }).tap();
  await expect(page.getByText("2 ticks kept on this device until the server answers.")).toBeVisible();
  await context.setOffline(false);
  await page.reload();
  await expect(page.getByText(/^2 of 14 steps done/)).toBeVisible();
  await expect(page.getByText(/kept on this device/)).toHaveCount(0);
  await expect(step).toContainText("Plug cable Streamer");

  const laptop = await browser.newPage(baseURL ? { baseURL } : {});
  await laptop.goto(`/jobs/${id}/runsheet`);
  await expect(laptop.getByText(/^2 of 14 steps done/)).toBeVisible();
  await laptop.getByRole("button", { name: "Done", exact: true }).click();
  await expect(page.getByText(/^3 of 14 steps done/)).toBeVisible({ timeout: 15_000 });
  await laptop.close();
});

test("a wait is counted down, the labels are had as PDF, and the sheet is the one of the command line", async ({ page, request }) => {
  const id = await importDemo(request, "village-hall");
  await page.goto(`/jobs/${id}/runsheet?step=${encodeURIComponent("power-on matrix")}`);
  await page.getByRole("button", { name: "Start the timer" }).tap();
  await expect(page.getByRole("timer")).toContainText(/0:\d\d to wait/);
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name: "Labels as PDF" }).tap()]);
  expect(
    readFileSync(await download.path())
      .subarray(0, 5)
      .toString(),
  ).toBe("%PDF-");
  const report = (await (await request.get(`/api/jobs/${id}/runsheet?people=2`)).json()) as { proven: boolean; steps: { act: string }[] };
  expect(report.proven).toBe(true);
  expect(report.steps[0]?.act).toBe("protect");
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(
    violations
      .filter(({ impact }) => impact === "serious" || impact === "critical")
      .map(({ id: rule, nodes }) => `${rule}: ${nodes[0]?.html}`),
  ).toEqual([]);
});

test("a format that shows something else is explained by one fact, and the job is corrected by it", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/runsheet`);
  const step = page.getByRole("region", { name: "This step" });
  for (const words of ["Cover the floor", "Photograph every back plate"]) {
    await expect(step).toContainText(words);
    await step.getByRole("button", { name: "Done", exact: true }).tap();
  }
  await expect(step).toContainText("The display says Dolby");
  // The television was left at PCM: stereo shows where a stream with objects was predicted.
  for (let row = 0; row < 6; row += 1) {
    const text = await step.innerText();
    if (/Play film from Disc player/.test(text)) {
      await choose(page, "Seen instead", /^LPCM 2\.0$/);
      break;
    }
    await step.getByRole("button", { name: "As predicted" }).tap();
  }
  const why = page.getByRole("region", { name: "What would explain what was seen" });
  await expect(why).toContainText(/not as predicted/, { timeout: 20_000 });
  await expect(why.getByRole("listitem").first()).toContainText("Explains");
  await why.getByRole("button", { name: "Correct the job" }).first().tap();
  await expect(page.getByRole("button", { name: /^Undo: / })).toBeEnabled();
});
