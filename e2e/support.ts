import { readFileSync } from "node:fs";
import { expect, test as base, type APIRequestContext, type Page } from "@playwright/test";

/** A test whose page answers presses as soon as `goto` or `reload` has ended. */
export const test = base.extend({
  page: async ({ page }, give) => {
    const untilAlive =
      <Given extends unknown[], Answer>(load: (...given: Given) => Promise<Answer>) =>
      async (...given: Given): Promise<Answer> => {
        const answer = await load(...given);
        await expectAlive(page);
        return answer;
      };
    page.goto = untilAlive(page.goto.bind(page));
    page.reload = untilAlive(page.reload.bind(page));
    await give(page);
  },
});

/** What the server wrote shows everything and answers nothing, until React has taken over each button and field and is done with it. */
async function expectAlive(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    [...document.querySelectorAll("button, input")].every((one) => Object.keys(one).some((key) => key.startsWith("__react"))),
  );
  await page.evaluate(() => new Promise((resolve) => requestIdleCallback(resolve)));
}

export const demoFile = (name: string): string => `demo/jobs/${name}.octachord.json`;

/** Takes a demo job in over HTTP and returns its id. */
export async function importDemo(request: APIRequestContext, name: string): Promise<string> {
  const response = await request.post("/api/jobs/import", {
    data: readFileSync(demoFile(name)),
    headers: { "Content-Type": "application/json" },
  });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { id: string }).id;
}

export const row = (page: Page, name: RegExp) => page.getByRole("button", { name });

export async function expectVerdicts(page: Page, verdicts: readonly string[]): Promise<void> {
  await expect
    .poll(() => page.locator("[data-verdict]").evaluateAll((rows) => rows.map((one) => one.getAttribute("data-verdict"))))
    .toEqual(verdicts);
}

export const expectSaved = (page: Page) => expect(page.getByRole("status").filter({ hasText: /^saved \d\d:\d\d$/ })).toBeVisible();

/** Chooses an option of one of the application's select fields by mouse. */
export async function choose(page: Page, field: string, option: string | RegExp): Promise<void> {
  const wanted = page.locator(".ant-select-dropdown:visible .ant-select-item-option").filter({ hasText: option }).first();
  // A list that was chosen from before may still be sliding shut, and holds the same words.
  await expect(page.locator(".ant-select-dropdown:visible")).toHaveCount(0);
  // A press while something still slides in may not open the list; it is then pressed again.
  await expect(async () => {
    if (!(await wanted.isVisible())) await page.getByRole("combobox", { name: field }).click({ force: true });
    await expect(wanted).toBeVisible({ timeout: 3000 });
  }).toPass();
  await wanted.click();
}

export const socket = (page: Page, device: string, port: string) => page.locator(`[data-socket="${device}/${port}"]`);
