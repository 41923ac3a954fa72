import { readFileSync } from "node:fs";
import { expect, type Page } from "@playwright/test";
import { expectNoSeriousIssue } from "./accessible";
import { choose, importDemo, test } from "./support";

test.use({ hasTouch: true, viewport: { width: 390, height: 844 }, contextOptions: { reducedMotion: "no-preference" } });

const stepOf = (page: Page) => page.getByRole("region", { name: "This step" });
const doneOf = (page: Page) => stepOf(page).getByRole("button", { name: "Done", exact: true });

/** Files that let the run sheet be loaded without a network are on this device. */
const pagesKept = (page: Page, place: string) =>
  expect.poll(() => page.evaluate((path) => caches.match(`${location.pathname.replace(/[a-z]+$/, path)}`).then(Boolean), place)).toBe(true);

test("a whole visit by touch: the plan applied, the network away half-way, the page loaded again, one format otherwise, its cause accepted, all of it on the laptop", async ({
  page,
  request,
  context,
  browser,
  baseURL,
}) => {
  const id = await importDemo(request, "flat-4b");
  await page.goto(`/jobs/${id}/plans`);
  await page.getByRole("button", { name: "Use this plan" }).tap();
  await expect(page.getByRole("button", { name: /^Undo: / })).toBeEnabled();
  await page.goto(`/jobs/${id}/runsheet`);
  await expect(stepOf(page)).toContainText("Cover the floor and furniture");
  for (const name of ["Done", "Not done", "Put off"])
    expect((await stepOf(page).getByRole("button", { name, exact: true }).boundingBox())?.height).toBeGreaterThanOrEqual(48);
  await page.getByRole("textbox", { name: "Your name" }).fill("Ida");
  await page.getByRole("textbox", { name: "Note for this step" }).fill("Rug rolled up");
  await doneOf(page).tap();
  await expect(page.getByText(/^1 of \d+ steps done/)).toBeVisible();
  await pagesKept(page, "runsheet");
  await pagesKept(page, "prove");

  await context.setOffline(true);
  // A step that is put off says why.
  await stepOf(page).getByRole("button", { name: "Put off" }).tap();
  await expect(page.getByText("Write why it is put off, then press again.")).toBeVisible();
  await page.getByRole("textbox", { name: "Note for this step" }).fill("Camera is empty");
  await page.getByLabel(/^Photo at: /).setInputFiles("docs/screenshots/docket.png");
  await expect(stepOf(page).getByRole("button", { name: "1 photo" })).toBeVisible();
  await stepOf(page).getByRole("button", { name: "Put off" }).tap();
  await expect(page.getByText(/2 ticks kept on this device|1 tick kept on this device/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^1 of \d+ steps done/)).toBeVisible();
  let steps = 0;
  while (await doneOf(page).isVisible()) {
    const words = await stepOf(page).locator("h2").innerText();
    await doneOf(page).tap();
    await expect(stepOf(page).locator("h2")).not.toHaveText(words);
    steps += 1;
    if (steps > 40) throw new Error("the visit has no end");
  }
  // What is left are contents to be proven; the first shows stereo in place of what was predicted.
  await expect(stepOf(page)).toContainText(/^Play /);
  await choose(page, "Seen instead", /^LPCM 2\.0$/);
  const why = page.getByRole("region", { name: "What would explain what was seen" });
  await expect(why).toContainText(/not as predicted/);
  await expect(why.getByRole("listitem").first()).toContainText("Explains 1 of 1");
  await context.setOffline(false);
  await why.getByRole("button", { name: "Correct the job" }).first().tap();
  await expect(page.getByText(/kept on this device/)).toHaveCount(0);

  const laptop = await browser.newPage({ ...(baseURL ? { baseURL } : {}), viewport: { width: 1280, height: 800 } });
  await laptop.goto(`/jobs/${id}/prove`);
  await expect(laptop.getByText("1 seen otherwise.", { exact: false })).toBeVisible();
  await laptop
    .getByRole("button", { name: /^As predicted: / })
    .first()
    .click();
  await expect(laptop.getByText(/^1 of \d+ as predicted/)).toBeVisible();
  await laptop.goto(`/jobs/${id}/runsheet`);
  await expect(laptop.getByRole("complementary", { name: "All steps, in order" })).toContainText("put off");
  const record = (await (await request.get(`/api/jobs/${id}/visit`)).json()) as {
    entries: { who: string; note: string; photos: string[] }[];
  };
  expect(record.entries.find(({ note }) => note === "Camera is empty")).toMatchObject({ who: "Ida", photos: [expect.any(String)] });
  const job = (await (await request.get(`/api/jobs/${id}`)).json()) as { document: { attachments: { id: string }[] } };
  expect(job.document.attachments).toHaveLength(1);
  await laptop.close();
});

test("two devices on one visit: a tick of either is on both", async ({ page, request, browser, baseURL }) => {
  const id = await importDemo(request, "village-hall");
  await page.goto(`/jobs/${id}/runsheet`);
  await doneOf(page).tap();
  await expect(page.getByText(/^1 of 15 steps done/)).toBeVisible();
  const laptop = await browser.newPage(baseURL ? { baseURL } : {});
  await laptop.goto(`/jobs/${id}/runsheet`);
  await expect(laptop.getByText(/^1 of 15 steps done/)).toBeVisible();
  await laptop.getByRole("button", { name: "Done", exact: true }).click();
  await expect(page.getByText(/^2 of 15 steps done/)).toBeVisible();
  await laptop.close();
});

test("a wait begins with its tick and goes on over a reload; the labels are had as PDF, as a strip and as CSV", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "village-hall");
  await page.goto(`/jobs/${id}/runsheet?step=${encodeURIComponent("power-on matrix")}`);
  await doneOf(page).tap();
  const waits = page.getByRole("list", { name: "Waiting" });
  await expect(waits).toContainText(/0:\d\d/);
  await page.reload();
  await expect(waits).toContainText("Give Matrix power");
  await page.getByRole("button", { name: "Labels" }).tap();
  const dialog = page.getByRole("dialog", { name: "Labels" });
  const saved = async (name: string) => {
    const [download] = await Promise.all([page.waitForEvent("download"), dialog.getByRole("link", { name, exact: true }).tap()]);
    return readFileSync(await download.path());
  };
  expect((await saved("Labels as PDF")).subarray(0, 5).toString()).toBe("%PDF-");
  expect((await saved("CSV")).toString()).toContain("Streamer");
  await choose(page, "Paper", /^strip/);
  expect((await saved("Labels as PDF")).subarray(0, 5).toString()).toBe("%PDF-");
});

test("the run sheet over HTTP is the one of the page, and every page of a visit is accessible at the size of a phone", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "village-hall");
  const report = (await (await request.get(`/api/jobs/${id}/runsheet?people=2`)).json()) as { proven: boolean; steps: { act: string }[] };
  expect(report.proven).toBe(true);
  expect(report.steps[0]?.act).toBe("protect");
  for (const path of [`/jobs/${id}/runsheet`, `/jobs/${id}/prove`, `/jobs/${id}/prove?kind=act`, "/days", "/needle"]) {
    await page.goto(path);
    await expect(page.getByRole("main")).toBeVisible();
    await expectNoSeriousIssue(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
});

test("Prove by touch: a content, an act with its stopwatch, a speaker; the docket says how far it is", async ({ page, request }) => {
  const id = await importDemo(request, "flat-4b");
  await page.goto(`/jobs/${id}/prove`);
  const check = page.getByRole("region", { name: "This check" });
  await expect(check).toContainText("Set-top box: film on air");
  await check.getByRole("button", { name: "As predicted" }).tap();
  await expect(page.getByText(/^1 of \d+ as predicted/)).toBeVisible();
  await page.getByRole("button", { name: "Everyday acts" }).tap();
  const title = await check.locator("h2").innerText();
  await check.getByRole("button", { name: "Start the stopwatch" }).tap();
  await check.getByRole("button", { name: "Stop: it is on" }).tap();
  await check.getByRole("button", { name: "As predicted" }).tap();
  await expect(check.locator("h2")).not.toHaveText(title);
  await page.getByRole("button", { name: "Speakers" }).tap();
  await choose(page, "Seen instead", /^another speaker plays$/);
  await expect(page.getByText("1 seen otherwise.", { exact: false })).toBeVisible();
  await expect
    .poll(async () => {
      const docket = (await (await request.get("/api/jobs?q=4B")).json()) as { jobs: { id: string; proven: unknown }[] };
      return docket.jobs.find((job) => job.id === id)?.proven;
    })
    .toEqual({ proven: 2, otherwise: 1 });
});

test("while what was done before is still being read, nothing is said to be open", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  let answer = () => {};
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route(`**/api/jobs/${id}/visit`, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(`/jobs/${id}/prove`);
  await expect(page.getByText("Reading what was done here")).toBeVisible();
  await expect(page.getByRole("button", { name: "As predicted" })).toHaveCount(0);
  answer();
  await expect(page.getByText(/^0 of \d+ as predicted/)).toBeVisible();
  await expect(page.getByRole("button", { name: "As predicted", exact: true })).toBeVisible();
});

test("the days: a visit with its time, its load and what to ask, and the same as a calendar file", async ({ page, request }) => {
  const id = await importDemo(request, "village-hall");
  const job = (await (await request.get(`/api/jobs/${id}`)).json()) as { revision: number };
  const fields = [
    { kind: "edit-job", fields: { visitOn: "2031-05-06", phase: "visit" } },
    { kind: "edit-visit", fields: { at: "09:30", address: "4, Mill Lane", agreedMinutes: 30 } },
  ];
  const saved = await request.put(`/api/jobs/${id}`, {
    data: { saveId: crypto.randomUUID(), revision: job.revision, commands: fields },
  });
  expect(saved.ok(), await saved.text()).toBe(true);
  // Days without a visit lead on to the next one.
  await page.goto("/days?from=2031-05-01&days=1");
  await page.getByRole("button", { name: "Next visit: Tuesday, 6 May 2031" }).click();
  await expect(page.getByRole("region", { name: "Tuesday, 6 May" })).toContainText("09:30");
  await page.goto("/days?from=2031-05-06&days=7");
  const day = page.getByRole("region", { name: "Tuesday, 6 May" });
  await expect(day).toContainText("09:30");
  await expect(day).toContainText("4, Mill Lane");
  await expect(day).toContainText(/longer than the 30.min that the household was told/);
  await expect(page.getByRole("complementary", { name: "Load the van" })).toContainText("Premium High Speed HDMI");
  const calendar = await (await request.get("/api/days/calendar?from=2031-05-06&days=1")).text();
  expect(calendar).toMatch(/DTSTART:20310506T093000\r\n/);
  expect(calendar).toMatch(/LOCATION:4\\, Mill Lane/);
});
