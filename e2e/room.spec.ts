import { readFileSync } from "node:fs";
import { expect, type Page } from "@playwright/test";
import { makeSignal, planSignal, writeWav } from "@/core/measure";
import { expectNoSeriousIssue } from "./accessible";
import { expectSaved, importDemo, test } from "./support";

/** A job with a 5.1 bar with wireless subwoofer and rears, and no room yet. */
async function newJob(request: import("@playwright/test").APIRequestContext): Promise<string> {
  const response = await request.post("/api/jobs/import", {
    data: JSON.stringify({
      format: "octachord-job",
      version: 2,
      name: "Room by touch",
      devices: [{ archetype: "bar-picture-mode", id: "bar", name: "Bar" }],
    }),
    headers: { "Content-Type": "application/json" },
  });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { id: string }).id;
}

const plan = (page: Page, room: RegExp) => page.getByRole("group", { name: room });
const field = (page: Page, name: string) => page.getByRole("textbox", { name, exact: true });

test.describe("by touch", () => {
  test.use({ hasTouch: true, viewport: { width: 834, height: 1112 } });

  test("a 5.1 bar with wireless rears is placed in a room of 4.2 by 3.6 m, and its dialling sheet is right to the step", async ({
    page,
    request,
  }) => {
    await page.goto(`/jobs/${await newJob(request)}/room`);
    await field(page, "Width of the room").fill("4.2");
    await field(page, "Depth of the room").fill("3.6");
    await field(page, "Depth of the room").press("Enter");
    await page.getByRole("button", { name: "Draw this room" }).tap();
    await page.getByRole("button", { name: "the screen", exact: true }).tap();
    await expect(page.getByRole("region", { name: "Screen" })).toBeVisible();
    await page.getByRole("button", { name: "Propose places" }).tap();
    await page.getByRole("button", { name: "Use these places" }).tap();
    await expectSaved(page);
    const left = plan(page, /^Plan of/).getByRole("button", { name: /^left rear, \d+° left, in its window$/ });
    await expect(left).toBeVisible();
    // Dragged a little towards the screen it is beside the seat, and says so.
    const box = await left.boundingBox();
    if (!box) throw new Error("not drawn");
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 90, { steps: 6 });
    await page.mouse.up();
    await expect(page.getByText("Second best: it is at the side instead of a little behind the seat.")).toBeVisible();
    await page.getByRole("button", { name: /^Undo: placed left rear/ }).tap();
    await expect(left).toBeVisible();

    await page.getByRole("button", { name: "Dials" }).tap();
    // One number, Enter, the next.
    await field(page, "Distance of Front left").focus();
    for (const metres of ["2.43", "2.43", "2.43"]) {
      await page.keyboard.type(metres);
      await page.keyboard.press("Enter");
    }
    await field(page, "Distance of Left surround").fill("1.56");
    await field(page, "Distance of Left surround").press("Enter");
    const row = page.getByRole("row", { name: /^Left surround/ });
    await expect(row).toContainText("1.6\u2009m");
    await expect(row).toContainText("0.12\u2009ms (4.0\u2009cm) early");
    await expect(page.getByRole("region", { name: "Dialling sheet" })).toContainText("Save choose “save” in the menu before leaving it");
    await expectSaved(page);
    await page.reload();
    await expect(field(page, "Distance of Left surround")).toHaveValue("1.56");
  });
});

test("by keyboard: a speaker moves by centimetres, and what cannot be a length is not kept", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "receiver-den")}/room`);
  const surround = plan(page, /^Plan of Den/).getByRole("button", { name: /^left surround/ });
  await surround.focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowUp");
  await expect(field(page, "From the screen wall")).toHaveValue("3.1");
  await field(page, "Height of its middle").fill("-2");
  await expect(field(page, "Height of its middle")).toHaveAttribute("aria-invalid", "true");
  await field(page, "Height of its middle").blur();
  await expect(field(page, "Height of its middle")).toHaveValue("1.3");
  await field(page, "Height of its middle").fill("4' 7 1/8\"");
  await field(page, "Height of its middle").press("Enter");
  await expect(field(page, "Height of its middle")).toHaveValue("1.4");
});

test("a recording of the test signal is read on the page, and becomes the readings of the room", async ({ page, request }) => {
  const signal = makeSignal(planSignal("5.1"));
  const { sampleRate } = signal;
  // A microphone that hears each channel after its own way: 10 ms, and 7 ms more for each further one.
  const heard = new Float64Array((signal.channels[0]?.length ?? 0) + sampleRate);
  signal.channels.forEach((list, index) =>
    list.forEach((sample, n) => {
      const at = n + Math.round(sampleRate * (0.3 + index * 0.007));
      heard[at] = (heard[at] ?? 0) + sample * 0.5;
    }),
  );
  await page.goto(`/jobs/${await importDemo(request, "receiver-den")}/room?view=sound`);
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: "recording.wav", mimeType: "audio/wav", buffer: Buffer.from(writeWav({ sampleRate, channels: [heard] }, 4)) });
  await expect(page.getByRole("row", { name: /^Front right/ })).toContainText("7.00\u2009ms later");
  await expect(page.getByText("Tape and sound differ by more than 15 cm")).toBeVisible();
  await page.getByRole("button", { name: "Use these as readings" }).click();
  await expectSaved(page);
  await page
    .locator('input[type="file"]')
    .setInputFiles({ name: "song.wav", mimeType: "audio/wav", buffer: Buffer.from("ID3 this is an MP3") });
  await expect(page.getByRole("alert").first()).toContainText("This is not a WAV file. It is an MP3 by its first bytes");
});

test("the drilling template and the sheets are had as PDF from the page", async ({ page, request }) => {
  const id = await importDemo(request, "attic-screen");
  await page.goto(`/jobs/${id}/room?view=wire`);
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name: "PDF, A4" }).first().click()]);
  const path = await download.path();
  expect(readFileSync(path).subarray(0, 5).toString()).toBe("%PDF-");
  const sheets = await request.get(`/api/jobs/${id}/room?as=pdf`);
  expect(sheets.headers()["content-type"]).toBe("application/pdf");
  expect((await (await request.get(`/api/jobs/${id}/room`)).json()) as object).toHaveProperty("rooms");
  expect((await request.get(`/api/jobs/${id}/template?unit=nobody`)).status()).toBe(404);
});

for (const view of ["plan", "dials", "wire", "sound"])
  test(`${view} of Room: no serious finding of axe`, async ({ page, request }) => {
    await page.goto(`/jobs/${await importDemo(request, "receiver-den")}/room?view=${view}&chosen=unit%20receiver%20ls`);
    await expect(page.getByRole("button", { name: "Dials" })).toBeVisible();
    await expectNoSeriousIssue(page);
  });
