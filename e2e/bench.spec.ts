import { readFileSync } from "node:fs";
import { expect, type Page } from "@playwright/test";
import { choose, demoFile, expectSaved, expectVerdicts, importDemo, row, socket, test } from "./support";

const openFind = async (page: Page) => {
  const field = page.getByRole("combobox", { name: /^Find a job/ });
  // One that is still closing would take the letters.
  await expect(field).toHaveCount(0);
  await page.keyboard.press("Control+k");
  await expect(field).toBeFocused();
};

test("the board keeps to what is lost, and the address leads back to a row", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/gear`);
  await choose(page, "eARC at Television, as planned", "off");
  await page.getByRole("link", { name: "Arrivals" }).click();
  await page.getByRole("checkbox", { name: /only what is lost/ }).check();
  await expectVerdicts(page, ["reduced", "reduced"]);
  await row(page, /^Disc player, concert/).click();
  await expect(page).toHaveURL(/row=disc-player/);
  await page.reload();
  await expect(page.getByRole("complementary", { name: "The chosen row" })).toContainText("Disc player, concert");
  await page.getByText("Hop by hop").click();
  await expect(page.getByText("Disc player sends")).toBeVisible();
  await page.getByText("How full each link is").click();
  await expect(page.getByRole("img", { name: /Mb\/s on each link: .*ARC/ })).toBeVisible();
});

test("two states are compared with only what differs raised", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/arrivals?view=compare`);
  await expect(page.getByText("The two boards are the same in every row.")).toBeVisible();
  await page.getByRole("textbox", { name: "Name of the saved state" }).fill("As found");
  await page.getByRole("button", { name: "Save this state" }).click();
  await page.getByRole("link", { name: "Gear" }).click();
  await choose(page, "eARC at Television, as planned", "off");
  await page.getByRole("link", { name: "Arrivals" }).click();
  await page.getByRole("button", { name: "Compare" }).click();
  await choose(page, "The state on the left", "saved: As found");
  await expect(page.getByText("sound: right is worse")).toHaveCount(2);
  await expect(page.getByText("4 rows more, the same on both sides.")).toBeVisible();
});

test("changes are ticked, tried together, applied as one and undone as one", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/gear`);
  await choose(page, "Digital sound output at Television, as planned", "PCM");
  await page.getByRole("link", { name: "Arrivals" }).click();
  await page.getByRole("button", { name: "Changes" }).click();
  const set = page.getByRole("region", { name: "The smallest set" });
  await set.getByRole("checkbox").first().check();
  await expect(page.getByText("1 change together:")).toBeVisible();
  await expect(page.getByText(/lifts 4 rows/).last()).toBeVisible();
  await page.getByRole("button", { name: "Apply 1 change" }).click();
  await page.getByRole("button", { name: "Board", exact: true }).click();
  await expectVerdicts(page, ["full", "full", "full", "full", "full", "full"]);
  await page.getByRole("button", { name: /^Undo: Digital sound output/ }).click();
  await expectVerdicts(page, ["reduced", "reduced", "reduced", "full", "reduced", "full"]);
});

test("the map: layers, a plate moved by keyboard stays there, and both drawings are saved", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/patch`);
  await expect(page.getByText("18\u2009ms")).toBeVisible();
  await page.getByRole("button", { name: "Picture" }).click();
  await expect(page.getByText(/ of \d+(\.\d)?\u2009Gb\/s/).first()).toBeVisible();
  await page.getByRole("button", { name: "Control" }).click();
  await expect(page.getByText("CEC", { exact: true }).first()).toBeVisible();
  await page.getByRole("button", { name: "Power" }).click();
  await expect(page.getByText("must be on").first()).toBeVisible();
  await page.getByRole("button", { name: "Sound", exact: true }).click();

  const plate = page.getByRole("button", { name: "Bar: arrow keys move its plate" });
  const before = await plate.boundingBox();
  await plate.focus();
  for (let n = 0; n < 4; n += 1) await page.keyboard.press("ArrowDown");
  await expectSaved(page);
  await page.reload();
  await expect.poll(async () => ((await plate.boundingBox())?.y ?? 0) > (before?.y ?? 0) + 20).toBe(true);
  await page.getByRole("button", { name: "Reset the layout" }).click();
  await expect(page.getByRole("button", { name: "Reset the layout" })).toBeHidden();

  const [svg] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save as SVG" }).click()]);
  expect(svg.suggestedFilename()).toBe("sail-loft-map.svg");
  const text = readFileSync(await svg.path(), "utf8");
  const parsed = await page.evaluate((source) => {
    const document = new DOMParser().parseFromString(source, "image/svg+xml");
    return {
      sound: document.querySelector("parsererror") === null,
      scripts: document.querySelectorAll("script, foreignObject, a, image, [onload], [href]").length,
      words: document.documentElement.textContent,
    };
  }, text);
  expect(parsed).toMatchObject({ sound: true, scripts: 0 });
  expect(parsed.words).toContain("Television");
  expect(parsed.words).toContain("revision");
  const [png] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Save as PNG" }).click()]);
  const bytes = readFileSync(await png.path());
  expect([...bytes.subarray(0, 4)]).toEqual([0x89, 0x50, 0x4e, 0x47]);
  expect(bytes.length).toBeGreaterThan(10_000);
});

test("the find field goes to devices, rows, jobs and acts", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/arrivals`);
  await openFind(page);
  await page.keyboard.type("television device");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/gear\?device=television/);
  await openFind(page);
  await page.keyboard.type("cable bar to television");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/patch\?cable=bar-tv/);
  await expect(page.getByRole("button", { name: "Unplug it" })).toBeVisible();
  await openFind(page);
  await page.keyboard.type("daylight");
  await page.keyboard.press("Enter");
  await expect(page.locator("html")).toHaveAttribute("data-theme", "day");
  await page.goBack();
  await expect(page).toHaveURL(/gear/);
});

test("the van: a part is written down, a cable of a job takes it, and fitted it is gone", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto("/stock");
  await page.getByRole("button", { name: "Add to the van" }).click();
  await choose(page, "Class of the cable", "Ultra High Speed HDMI");
  await page.getByRole("spinbutton", { name: "Length in metres" }).fill("7");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByRole("rowheader", { name: /Ultra High Speed HDMI, 7/ })).toBeVisible();
  await page.goto(`/jobs/${id}/patch?cable=bar-tv`);
  await page.getByRole("spinbutton", { name: "Length in metres" }).fill("6");
  await page.getByRole("spinbutton", { name: "Length in metres" }).press("Enter");
  await choose(page, "Where the cable comes from", "from the van");
  await expectSaved(page);
  await page.goto("/stock");
  const aside = page.getByRole("region", { name: "Set aside for jobs" });
  await expect(aside.getByText("Sail Loft").first()).toBeVisible();
  await aside.getByRole("button", { name: "Fitted: take 1 part out of the van" }).first().click();
  await expect(aside.getByText("Sail Loft")).toBeHidden();
  await expect(page.getByText("below minimum")).toBeHidden();
});

test("settings: feet in place of metres, and the firm's name, are kept", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto("/settings");
  await choose(page, "Units of length", "in feet");
  await page.getByLabel("Name").fill("Reed & Halyard");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText("Saved.")).toBeVisible();
  await page.goto(`/jobs/${id}/patch?cable=bar-tv`);
  await expect(page.getByRole("spinbutton", { name: "Length in feet" })).toBeVisible();
  await request.put("/api/preferences", { data: {} });
});

test("a damaged document opens read-only with what can be saved", async ({ page, request }) => {
  const id = await importDemo(request, "receiver-den");
  const { default: sqlite } = await import("sqlite3");
  const file = `${process.env.OCTACHORD_E2E_DATA ?? ""}/octachord.sqlite`;
  await new Promise<void>((resolve, reject) => {
    const db = new sqlite.Database(file);
    db.run("UPDATE jobs SET summary = NULL WHERE id = ?", [id]);
    db.run("UPDATE job_documents SET document = '{\"format\":' WHERE job_id = ?", [id], (error) => {
      db.close();
      if (error) reject(error);
      else resolve();
    });
  });
  await page.goto(`/jobs/${id}/arrivals`);
  await expect(page.getByRole("heading", { name: "The stored document of this job cannot be read" })).toBeVisible();
  await page.getByRole("button", { name: "Make a new job from what can be read" }).click();
  await page.waitForURL(/\/arrivals$/);
  await expectVerdicts(page, ["full", "full", "full", "full", "full", "full", "full"]);
  await request.delete(`/api/jobs/${id}`);
});

test("a job begins from a common room, is copied, and lies in the bin until it is put back", async ({ page }) => {
  // A name of its own, so that a job left by an earlier run is never taken for this one.
  const name = `Template den ${Date.now()}`;
  await page.goto("/");
  await page.getByRole("button", { name: "New job" }).first().click();
  await page.getByRole("textbox", { name: "Name of the job" }).fill(name);
  await page.getByRole("radio", { name: /^Receiver hub/ }).check();
  await page.getByRole("button", { name: "Start" }).click();
  await page.waitForURL(/\/gear$/);
  await expect(page.getByRole("article")).toHaveCount(6);
  await page.goto(`/?q=${encodeURIComponent(name)}`);
  await page.getByRole("button", { name: `Copy ${name}`, exact: true }).click();
  await expect(page.getByRole("link", { name: `${name}, copy no customer noted`, exact: true })).toBeVisible();
  await page.getByRole("button", { name: `Put ${name}, copy into the bin` }).click();
  await expect(page.getByText(`${name}, copy is in the bin.`)).toBeVisible();
  await page.goto(`/?bin=1&q=${encodeURIComponent(name)}`);
  await page.getByRole("button", { name: `Put ${name}, copy back into the docket` }).click();
  await expect(page.getByText("No job matches")).toBeVisible();
});

test("an own device is corrected on the shelf, and the shelf goes out and comes in as a file", async ({ page, request }) => {
  const { fromShelfOrThrow } = await import("../core/device");
  const name = `Shelf bar ${Date.now()}`;
  await request.post("/api/shelf", { data: fromShelfOrThrow("bar-one-input", { id: "bar", name }) });
  await page.goto("/shelf");
  await page.getByRole("button", { name: `Correct ${name}` }).click();
  // The drawer slides in.
  await page.waitForTimeout(600);
  await choose(page, "Return channel of HDMI OUT (TV eARC) of " + name, "ARC");
  await page.getByRole("button", { name: "Save", exact: true }).click();
  await expect(page.getByText(/Differs from its class: “HDMI OUT \(TV eARC\)” has a different return channel/).first()).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent("download"), page.getByRole("button", { name: "Export your own" }).click()]);
  await page.getByTestId("shelf-file").setInputFiles(await download.path());
  await expect(page.getByRole("button", { name: `Correct ${name}` })).toHaveCount(2);
  await page.getByTestId("shelf-file").setInputFiles({
    name: "bad.json",
    mimeType: "application/json",
    buffer: Buffer.from('{"format":"octachord-shelf","version":1,"devices":[{}]}'),
  });
  await expect(page.getByText(/bad\.json could not be imported\. devices\[0\]\.id: expected/)).toBeVisible();
});

test("a socket answers while held, also by the list, and a press elsewhere puts the plug down", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/patch`);
  await socket(page, "television", "hdmi4").click();
  await expect(page.getByRole("listbox", { name: "Sockets of this room" })).toBeVisible();
  await page.getByRole("button", { name: "Put the plug down" }).click();
  await expect(page.getByRole("listbox", { name: "Sockets of this room" })).toBeHidden();
});

test("by touch: a tap on a socket and a tap on the other end lay the cable", async ({ browser, request, baseURL }) => {
  const id = await importDemo(request, "sail-loft");
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1112, height: 834 }, ...(baseURL ? { baseURL } : {}) });
  const page = await context.newPage();
  await page.goto(`/jobs/${id}/patch`);
  await expect(page.getByText("18\u2009ms")).toBeVisible();
  await socket(page, "disc-player", "optical-out").tap();
  await expect(socket(page, "bar", "optical-in")).toContainText("fits");
  await socket(page, "bar", "optical-in").tap();
  await expect(page.getByText("Plugged Disc player into Bar “OPTICAL IN”")).toBeVisible();
  await context.close();
});

test("a job file dropped anywhere on the docket becomes a new job; anything else is refused with its name", async ({ page }) => {
  await page.goto("/");
  const drop = (name: string, text: string) =>
    page.evaluate(
      ([file, content]) => {
        const data = new DataTransfer();
        data.items.add(new File([content ?? ""], file ?? ""));
        for (const type of ["dragover", "drop"])
          document.body.dispatchEvent(new DragEvent(type, { dataTransfer: data, bubbles: true, cancelable: true }));
      },
      [name, text],
    );
  await drop("holiday.json", "{}");
  await expect(page.getByText(/holiday\.json could not be imported\./)).toBeVisible();
  await drop("flat.octachord.json", readFileSync(demoFile("flat-4b"), "utf8"));
  await page.waitForURL(/\/arrivals$/);
  await expectVerdicts(page, ["silent", "silent", "silent", "silent"]);
});
