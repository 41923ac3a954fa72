import { expect } from "@playwright/test";
import { choose, demoFile, expectSaved, expectVerdicts, row, socket, test } from "./support";

test("a newcomer by mouse: imports Flat 4B, reads why the bar is silent, replaces it, moves the players, sees the board turn whole", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByTestId("job-file").setInputFiles(demoFile("flat-4b"));
  await page.waitForURL(/\/arrivals$/);
  await expectVerdicts(page, ["silent", "silent", "silent", "silent"]);
  const story = page.getByRole("complementary", { name: "The chosen row" });
  await expect(story).toContainText("Television “HDMI 3” has no return channel, so no sound comes back out of it.");
  await expect(story).toContainText("Television plays 2.0 from its own speakers.");
  await expect(story).toContainText("No single setting, plug or cable among this gear lifts it.");

  await page.getByRole("link", { name: "Gear" }).click();
  await page.getByRole("button", { name: "Bar", exact: true }).click();
  await page.getByRole("button", { name: "Replace with another" }).click();
  await page.getByRole("option", { name: /5\.1\.2 bar: two HDMI inputs/ }).click();
  await expect(page.getByText("replaced Bar with Bar", { exact: false })).toBeVisible();

  await page.getByRole("link", { name: "Patch" }).click();
  for (const [player, port] of [
    ["set-top-box", "HDMI IN 1"],
    ["streamer", "HDMI IN 2"],
  ] as const) {
    await socket(page, player, "hdmi-out").click();
    await choose(page, "The socket it goes to", `Bar “${port}”`);
  }
  await page.getByRole("link", { name: "Arrivals" }).click();
  await expectVerdicts(page, ["full", "full", "full", "silent"]);
  await expectSaved(page);
  await page.reload();
  await expectVerdicts(page, ["full", "full", "full", "silent"]);
});

test("a newcomer by keyboard alone: a new job, three devices, two cables, the verdict, and the way back", async ({ page }) => {
  await page.goto("/");
  const keys = page.keyboard;
  await page.getByRole("button", { name: "New job" }).first().focus();
  await keys.press("Enter");
  await expect(page.getByRole("dialog")).toBeVisible();
  await keys.type("Reading Room");
  await keys.press("Enter");
  await page.waitForURL(/\/gear$/);

  for (const words of ["streamer", "tv earc", "bar one"]) {
    await page.getByRole("button", { name: "Add a device" }).focus();
    await keys.press("Enter");
    await expect(page.getByRole("combobox", { name: "Find on the shelf" })).toBeFocused();
    await keys.type(words);
    await keys.press("Enter");
    await expect(page.getByRole("dialog")).toBeHidden();
  }
  await expect(page.getByRole("article")).toHaveCount(3);

  await page.locator("body").press("2");
  await page.waitForURL(/\/patch$/);
  for (const [device, port, other] of [
    ["streamer-4k", "hdmi-out", "Television “HDMI 1”"],
    ["bar-one-input", "hdmi-out", "Television “HDMI 3"],
  ] as const) {
    await socket(page, device, port).focus();
    await keys.press("Enter");
    await expect(page.getByRole("combobox", { name: /^The other end/ })).toBeFocused();
    await keys.type(other);
    await keys.press("Enter");
    await expect(page.getByRole("button", { name: "Unplug it" })).toBeVisible();
  }
  await page.locator("body").press("3");
  await page.waitForURL(/\/arrivals$/);
  // Film and music of the streamer, the TV's app and its tuner: whole over eARC.
  await expectVerdicts(page, ["full", "full", "full", "full"]);

  await row(page, /^Streamer, film/).focus();
  await keys.press("ArrowDown");
  await expect(row(page, /^Streamer, music/)).toBeFocused();
  await expect(page.getByRole("complementary", { name: "The chosen row" })).toContainText("Streamer, music");

  await keys.press("Control+z");
  await expectVerdicts(page, ["silent", "silent", "silent", "silent"]);
  await keys.press("Control+Shift+Z");
  await expectVerdicts(page, ["full", "full", "full", "full"]);
  await keys.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
  await keys.press("Escape");
  await expectSaved(page);
});
