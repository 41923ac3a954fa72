import { readFileSync } from "node:fs";
import { unzipSync } from "fflate";
import { expect, type Page } from "@playwright/test";
import { expectNoSeriousIssue, expectNoSidewaysScroll } from "./accessible";
import { choose, importDemo, test } from "./support";

const sheetOf = (page: Page) => page.getByRole("article");

test("Sail Loft is handed over: a sentence is changed, the package comes down, and a colleague's machine takes it in whole", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/handover`);
  await expect(sheetOf(page).getByRole("heading", { name: "How to use: Sail Loft" })).toBeVisible();
  await expect(sheetOf(page).getByText("Press the power key of the one that you want.")).toBeVisible();
  await expect(sheetOf(page).getByRole("region", { name: "No sound? Try these in order" }).getByRole("listitem")).toHaveCount(6);

  await sheetOf(page)
    .getByRole("button", { name: /^Change this sentence: Volume/ })
    .click();
  const field = page.getByRole("textbox", { name: "Change this sentence" });
  await field.fill("Volume: the round keys of the TV remote, over eARC.");
  await expect(page.getByText("“eARC” is a term of the trade.", { exact: false })).toBeVisible();
  await field.fill("Volume: the round keys of the TV remote.");
  await expect(page.getByText("is a term of the trade", { exact: false })).toBeHidden();
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(sheetOf(page).getByText("Volume: the round keys of the TV remote.")).toBeVisible();

  await page.getByRole("button", { name: "Hand over", exact: true }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Who was there").fill("A. Fitter");
  await dialog.getByRole("spinbutton", { name: "Minutes on site" }).fill("95");
  await dialog.getByLabel("Remarks").fill("The family tried it.");
  const downloading = page.waitForEvent("download");
  await dialog.getByRole("button", { name: "Hand over and download the package" }).click();
  const download = await downloading;
  expect(download.suggestedFilename()).toBe("sail-loft.octachord.zip");
  const bytes = readFileSync(await download.path());
  const files = unzipSync(new Uint8Array(bytes));
  expect(Object.keys(files)).toEqual(
    expect.arrayContaining(["README.txt", "job.octachord.json", "record.pdf", "household.pdf", "map.svg", "tables/cables.csv"]),
  );
  const job = JSON.parse(Buffer.from(files["job.octachord.json"] ?? []).toString("utf8")) as {
    phase: string;
    record: { note: string; who: string; event: { event: string; minutes: number } | null }[];
  };
  expect(job.phase).toBe("handover");
  expect(job.record).toMatchObject([
    { note: "The family tried it.", who: "A. Fitter", event: { event: "visit-ended", minutes: 95, handedOver: true } },
  ]);

  const imported = await request.post("/api/jobs/import", { data: bytes, headers: { "Content-Type": "application/zip" } });
  const { id: copy } = (await imported.json()) as { id: string };
  const back = await request.get(`/api/jobs/${copy}/export?photos=0`);
  expect(Buffer.from(await back.body()).equals(Buffer.from(files["job.octachord.json"] ?? []))).toBe(true);
});

test("a sentence of one's own stays when the job changes, and is marked until it is taken from the job again", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/handover`);
  await sheetOf(page)
    .getByRole("button", { name: /^Change this sentence: Off/ })
    .click();
  await page.getByRole("textbox", { name: "Change this sentence" }).fill("Off: one press on the TV remote.");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await page.goto(`/jobs/${id}/gear`);
  await choose(page, "HDMI control (CEC) at Bar, as planned", "off");
  await page.goto(`/jobs/${id}/handover`);
  const line = sheetOf(page).getByRole("listitem").filter({ hasText: "Off: one press on the TV remote." });
  await expect(line.getByText("The job has changed since.", { exact: false })).toBeVisible();
  await line.getByRole("button", { name: "Use the sentence from the job" }).click();
  await expect(sheetOf(page).getByText("Off: one press on the TV remote.")).toBeHidden();
});

test("the sheet is had in Spanish, and the papers over HTTP are those of the page", async ({ page, request }) => {
  const id = await importDemo(request, "receiver-den");
  await page.goto(`/jobs/${id}/handover`);
  await expect(sheetOf(page).getByRole("heading", { name: "How to use: Receiver Den" })).toBeVisible();
  await choose(page, "Language of the sheet", "Español");
  await expect(sheetOf(page).getByRole("heading", { name: "Cómo se usa: Receiver Den" })).toBeVisible();
  for (const as of ["household", "record", "map", "board", "plans", "lists", "runsheet"]) {
    const answer = await request.get(`/api/jobs/${id}/print?as=${as}&paper=letter`);
    expect(answer.headers()["content-type"]).toBe("application/pdf");
    expect((await answer.body()).subarray(0, 5).toString()).toBe("%PDF-");
  }
  expect((await request.get(`/api/jobs/${id}/print?as=poem`)).status()).toBe(400);
  expect((await request.get(`/api/jobs/00000000-0000-4000-8000-000000000000/print`)).status()).toBe(404);
});

test("a call-back: what is known, what changed since, what is likeliest; what was promised is due and in the calendar", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "receiver-den");
  await page.goto(`/jobs/${id}/handover?view=visits`);
  const call = page.getByRole("region", { name: "Call-back" });
  await expect(call.getByRole("listitem").filter({ hasText: "%" }).first()).toBeVisible();
  await expect(call.getByRole("listitem").filter({ hasText: "%" }).first()).toContainText("Mute");
  await call.getByRole("checkbox", { name: "Somebody changed a menu" }).check();
  await expect(call.getByRole("listitem").filter({ hasText: "%" }).first()).toContainText("Volume");
  await choose(page, "What to write down", "A visit that was promised");
  await page.getByLabel("From the day").fill("2026-01-15");
  await page.getByRole("textbox", { name: "What", exact: true }).fill("rear speakers");
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByRole("region", { name: "Due" }).getByText("Promised visit: rear speakers")).toBeVisible();
  await call.getByRole("button", { name: "Write down the call and search on Fix" }).click();
  await expect(page).toHaveURL(/\/fix$/);
  await expect.poll(async () => (await (await request.get("/api/due?months=0")).text()).includes("rear speakers")).toBe(true);
  expect(await (await request.get("/api/due/calendar?months=0")).text()).toContain("DTSTART;VALUE=DATE:20260115");
  await page.goto("/days");
  await expect(page.getByRole("region", { name: "Due in the next two months" }).getByText("rear speakers").first()).toBeVisible();
});

test("Figures and every view of Handover fit a narrow screen and have nothing serious for axe", async ({ page, request }) => {
  const id = await importDemo(request, "receiver-den");
  await page.setViewportSize({ width: 640, height: 800 });
  for (const path of ["/figures", `/jobs/${id}/handover`, `/jobs/${id}/handover?view=record`, `/jobs/${id}/handover?view=visits`]) {
    await page.goto(path);
    await expect(page.getByRole("main")).toBeVisible();
    if (path.endsWith("/handover")) await expect(sheetOf(page)).toBeVisible();
    await expectNoSidewaysScroll(page);
    await expectNoSeriousIssue(page);
  }
});
