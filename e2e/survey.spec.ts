import { writeFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { choose, expectSaved, importDemo, row, test } from "./support";

test("the brief is answered on one page, and the engine uses the answers", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/brief`);
  await page.getByRole("textbox", { name: "Who uses the room" }).fill("Two grown-ups, a grandmother");
  await page.getByRole("radio", { name: "the screen", exact: true }).check();
  await expect(page.getByText("Changed the brief")).toBeVisible();
  await page.getByRole("button", { name: "A room or place" }).click();
  await choose(page, "What stands in Loft", "Television");
  await page.keyboard.press("Escape");
  await expect(page.locator(".ant-select-dropdown:visible")).toHaveCount(0);
  await choose(page, "What stands in Place 2", "Bar");
  await page.keyboard.press("Escape");
  await expect(page.locator(".ant-select-dropdown:visible")).toHaveCount(0);
  await choose(page, "Whether a cable may run from Loft to Place 2", "no cable possible");
  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Who uses the room" })).toHaveValue("Two grown-ups, a grandmother");

  await page.getByRole("link", { name: "Arrivals" }).click();
  await row(page, /^Television, its tuner, news/).click();
  await expect(page.getByRole("complementary", { name: "The chosen row" })).toContainText("Television plays");
  await page.getByRole("link", { name: "Patch" }).click();
  await page.locator('[data-socket="bar/optical-in"]').click();
  await expect(page.getByText("According to the brief, no cable can run between Loft and Place 2.").first()).toBeVisible();
});

test("three keystrokes add a device: A, a letter or two, Enter", async ({ page, request }) => {
  const made = await request.post("/api/jobs", { data: { name: "Keys" } });
  await page.goto(`/jobs/${((await made.json()) as { id: string }).id}/gear`);
  // The time of day shows once the page listens to keys.
  await expectSaved(page);
  await page.locator("body").press("a");
  await page.keyboard.type("voice");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("article")).toHaveCount(1);
  await expect(page.getByRole("list", { name: "Back plate of Voice puck" })).toBeVisible();
});

test("the plugs are written down by keyboard alone, and the list comes of it", async ({ page, request }) => {
  const made = await request.post("/api/jobs", { data: { name: "Walk" } });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/jobs/${id}/gear`);
  await expectSaved(page);
  for (const words of ["stick", "tv-headphone small", "powered"]) {
    await page.locator("body").press("a");
    await page.keyboard.type(words === "tv-headphone small" ? "small hd tv" : words);
    await page.keyboard.press("Enter");
    await expect(page.getByRole("dialog")).toBeHidden();
  }
  await page.getByRole("button", { name: "Write down the plugs" }).focus();
  await page.keyboard.press("Enter");
  const field = page.getByRole("combobox", { name: /^What is plugged into/ });
  // Speakers first: RCA empty, then 3.5 mm from the TV's jack; then the TV's first HDMI from the stick.
  const answers = ["", "headphone", "stick", "", ""];
  for (const [index, words] of answers.entries()) {
    await expect(page.getByText(`${index} of`, { exact: false })).toBeVisible();
    await expect(field).toBeFocused();
    if (words) await page.keyboard.type(words);
    await page.keyboard.press("Enter");
    if (await page.getByText("Every socket has been checked.").isVisible()) break;
  }
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByText("Every socket has been checked.")).toBeVisible();
  await expect(dialog.getByRole("listitem")).toHaveCount(2);
  await expect(dialog).toContainText("Stick");
  await page.keyboard.press("Enter");
  await expect(dialog).toBeHidden();
});

test("a table of devices is looked at first and added whole; a line that is not understood stops it, by its number", async ({
  page,
  request,
}) => {
  await page.goto(`/jobs/${await importDemo(request, "receiver-den")}/gear`);
  await page.getByRole("button", { name: "Devices from a table" }).click();
  const field = page.getByRole("textbox", { name: "Table of devices" });
  await field.fill("kind,name\nflux capacitor,Box\nvoice puck,Puck");
  await expect(page.getByText("Nothing on the shelf matches “flux capacitor”.")).toBeVisible();
  await expect(page.getByRole("button", { name: "Add 1 device" })).toBeDisabled();
  await field.fill("kind\tname\nvoice puck\t=1+1 <b>Puck</b>\nstick-hd\tשלום");
  await page.getByRole("button", { name: "Add 2 devices" }).click();
  await expect(page.getByText("Added 2 devices")).toBeVisible();
  await expect(page.getByRole("button", { name: "=1+1 <b>Puck</b>", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Undo: added 2 devices" }).click();
  await expect(page.getByRole("button", { name: "=1+1 <b>Puck</b>", exact: true })).toBeHidden();
});

test("an EDID is read beside the device, and taken over; anything else is refused with a sentence", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/gear?device=television&show=edid`);
  await page
    .getByTestId("edid-file")
    .setInputFiles({ name: "x.bin", mimeType: "application/octet-stream", buffer: Buffer.from("nonsense") });
  await expect(page.getByText(/An EDID has at least 128 bytes/)).toBeVisible();
  const made = await import("../core/edid");
  const { fromShelfOrThrow } = await import("../core/device");
  const edid = made.edidOfDevice(fromShelfOrThrow("monitor-stereo", { id: "m" }));
  if (!edid) throw new Error("no EDID");
  const file = `${test.info().outputPath("monitor.bin")}`;
  writeFileSync(file, made.writeEdid(edid));
  await page.getByTestId("edid-file").setInputFiles(file);
  await expect(page.getByText(/Dolby Digital Plus: the EDID lists nothing, the job had/)).toBeVisible();
  await page.getByRole("button", { name: "Use these values" }).click();
  await expect(page.getByText("Corrected Television")).toBeVisible();
  await expect(page.getByText(/Differs from its class: .*what it advertises/)).toBeVisible();
  await page.getByRole("button", { name: "Undo: corrected Television" }).click();
  await expect(page.getByText(/Differs from its class: .*what it advertises/)).toBeHidden();
});

test("a fact not known is told on Brief with the rows that wait for it, and leads to where it is written down", async ({
  page,
  request,
}) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/gear?device=television&show=facts`);
  await choose(page, "Return channel of HDMI 3 eARC of Television", "return?");
  await page.getByRole("link", { name: /to find out on site/ }).click();
  const question = page.getByRole("link", { name: "Whether Television “HDMI 3 eARC” has a return channel" });
  await expect(question).toBeVisible();
  await expect(page.getByText("needed for 5 rows of the board")).toBeVisible();
  await question.click();
  await choose(page, "Return channel of HDMI 3 eARC of Television", "eARC");
  await expect(page.getByRole("link", { name: /to find out on site/ })).toBeHidden();
});

test("photos: a picture is kept with the device and goes out with the job; a page under a picture's name is refused", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/gear?device=bar&show=photos`);
  await page
    .getByTestId("photo-file")
    .setInputFiles({ name: "evil.png", mimeType: "image/png", buffer: Buffer.from("<html><script>1</script>") });
  await expect(page.getByText("This file is not a JPEG, PNG or WebP picture")).toBeVisible();
  const dot = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAQAAAC1HAwCAAAAC0lEQVR42mNk+M8AAAMBAQAY3Y2wAAAAAElFTkSuQmCC", "base64");
  await page.getByTestId("photo-file").setInputFiles({ name: "back of the bar.png", mimeType: "image/png", buffer: dot });
  await expect(page.getByRole("img", { name: "back of the bar.png, back of Bar" })).toBeVisible();
  await expectSaved(page);
  const zip = await request.get(`/api/jobs/${id}/export?photos=1`);
  expect(zip.headers()["content-type"]).toBe("application/zip");
  const again = await request.post("/api/jobs/import", { data: await zip.body(), headers: { "Content-Type": "application/zip" } });
  expect(again.status()).toBe(201);
  const { document } = (await (await request.get(`/api/jobs/${((await again.json()) as { id: string }).id}`)).json()) as {
    document: { attachments: unknown[] };
  };
  expect(document.attachments).toHaveLength(1);
});
