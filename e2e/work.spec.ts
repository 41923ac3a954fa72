import { expect } from "@playwright/test";
import { importDemo, test } from "./support";

test("a calculation that cannot run says so, and can be tried again", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  // A worker is fetched as a script of its own; here none comes.
  await page.addInitScript(() => {
    const Real = window.Worker;
    window.Worker = class extends Real {
      constructor(url: string | URL, options?: WorkerOptions) {
        super("fails" in window ? url : "/no-such-worker.js", options);
      }
    };
  });
  await page.goto(`/jobs/${id}/plans`);
  const told = page.getByRole("alert").filter({ hasText: "This could not be calculated" });
  await expect(told).toBeVisible();
  await page.evaluate(() => Object.assign(window, { fails: false }));
  await told.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByText(/Proven best for these weights/)).toBeVisible();
});
