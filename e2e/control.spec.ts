import { expect } from "@playwright/test";
import { choose, expectSaved, importDemo, test } from "./support";

test("a quarrel on the control bus: which device, which switch ends it, applied and ended", async ({ page, request }) => {
  const id = await importDemo(request, "receiver-den");
  await page.goto(`/jobs/${id}/control`);
  const act = page.locator('[data-act="night-update:set-top-box"]');
  await expect(act).toHaveAttribute("data-verdict", "with-a-step");
  await act.getByRole("button").click();
  const story = page.getByRole("complementary", { name: "The chosen act" });
  await expect(story.getByText(/Television comes on although nobody asked for it/)).toBeVisible();
  await expect(story.getByText("Set “Wakes others over HDMI control” at Set-top box to off.")).toBeVisible();
  await story.getByRole("button", { name: "Plan this" }).first().click();
  await expect(act).toHaveAttribute("data-verdict", "as-wished");
  await expect(page.getByText(/Wakes others over HDMI control at Set-top box: off/).first()).toBeVisible();
  await expectSaved(page);
});

test("a change is seen beside the act before it is planned, and a lane's switches are turned right there", async ({ page, request }) => {
  const id = await importDemo(request, "receiver-den");
  await page.goto(`/jobs/${id}/control?act=night-update%3Aset-top-box`);
  const story = page.getByRole("complementary", { name: "The chosen act" });
  await story.getByRole("button", { name: "Compare" }).first().click();
  const beside = page.getByRole("region", { name: "With the change" });
  await expect(beside).toContainText("As wanted");
  // Nothing is changed by looking.
  await expect(page.locator('[data-act="night-update:set-top-box"]')).toHaveAttribute("data-verdict", "with-a-step");
  await story.getByRole("button", { name: "Close the comparison" }).click();
  await expect(beside).toHaveCount(0);
  const ruler = page.getByRole("group", { name: "The act on the wire, pauses shortened" });
  await ruler.getByRole("button", { name: "Set-top box", exact: true }).click();
  await choose(page, "Wakes others over HDMI control at Set-top box", "off");
  await expect(page.locator('[data-act="night-update:set-top-box"]')).toHaveAttribute("data-verdict", "as-wished");
  await expectSaved(page);
});

test("an act plays by itself from frame to frame, and stops when it is paused", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/control?act=tv-remote-power-on`);
  await page.getByRole("button", { name: "Play", exact: true }).click();
  const lines = page.getByRole("list", { name: "What happens, in order" }).getByRole("button");
  await expect(lines.nth(0)).toHaveAttribute("aria-pressed", "true");
  await expect(lines.nth(1)).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("button", { name: "Pause" }).click();
  await expect(page.getByRole("button", { name: "Play", exact: true })).toBeVisible();
});

test("the changes of Arrivals also offer what betters an everyday act, and plan it", async ({ page, request }) => {
  const id = await importDemo(request, "receiver-den");
  await page.goto(`/jobs/${id}/arrivals?view=changes`);
  const acts = page.getByRole("region", { name: "Everyday acts" });
  const line = acts.getByRole("listitem").filter({ hasText: "Set “Goes off with the others” at Television to off" });
  await expect(line).toContainText("better: switch Set-top box off while it is being watched");
  await line.getByRole("button", { name: "Plan this" }).click();
  await expect(line).toHaveCount(0);
  await expectSaved(page);
});

test("by keyboard: an act, its frames in plain words with their bytes, and the address leads back", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/control`);
  const wake = page.getByRole("button", { name: "Wake Console with its own remote" });
  await wake.focus();
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/act=wake%3Aconsole/);
  const frame = page.getByRole("button", { name: /Console tells everyone: I am the source \(3\.1\.0\.0\)/ }).first();
  await frame.focus();
  await page.keyboard.press("Enter");
  await expect(frame).toHaveAttribute("aria-pressed", "true");
  await expect(frame).toContainText("BF:82:31:00");
  await page.getByRole("button", { name: "Frame after" }).click();
  await expect(frame).toHaveAttribute("aria-pressed", "false");
  await page.reload();
  await expect(wake).toHaveAttribute("aria-pressed", "true");
});

test("what was seen on site is ticked and judged at once; the card tells the household", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/control?view=habits`);
  await expect(page.getByText("15 of 15 acts work as wanted")).toBeVisible();
  await page.getByRole("group", { name: "Bar" }).getByLabel("Did not go off with the others").check();
  await expect(page.getByText("14 of 15 acts work as wanted")).toBeVisible();
  const seconds = page.getByRole("spinbutton", { name: "Seconds until Bar is on" });
  await seconds.fill("12");
  await seconds.press("Enter");
  await expect(seconds).toHaveValue("12.0");
  await expectSaved(page);
  await page.getByRole("button", { name: "Remote card" }).click();
  const remote = page.locator("section").filter({ hasText: "Remote of Television" });
  await expect(remote.getByText("Everything off, then Bar: off")).toBeVisible();
});

test("a pasted trace is explained with the room's names; what is strange or no frame is told and stops nothing", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/control?view=trace`);
  await page
    .getByRole("textbox", { name: "Trace of the control bus" })
    .fill("adapter ready <script>\n1.000 0F:36\n1.250 5F:72:00\n1.400 4F:E3\n1.500 4F:82:10:10");
  const lines = page.getByRole("list", { name: "The trace, explained" }).getByRole("listitem");
  await expect(lines).toHaveCount(5);
  await expect(lines.nth(0)).toContainText("Not a frame: adapter ready <script>");
  await expect(lines.nth(1)).toContainText("Television asks everyone: go to standby.");
  await expect(lines.nth(2)).toContainText("0.250");
  await expect(lines.nth(2)).toContainText("Bar tells everyone: the sound is yours again.");
  await expect(lines.nth(3)).toContainText("Streamer tells everyone something that cannot be read.");
  await expect(lines.nth(3)).toContainText("The standard has no message E3.");
  await expect(lines.nth(4)).toContainText("1.0.1.0 is not a possible physical address.");
  await expect(page.getByText("4 frames, 1 line without one, 2 with something strange")).toBeVisible();
  const beside = page.getByRole("region", { name: "Compared with the prediction" });
  await expect(beside).toContainText("Missing: Television asks Bar: take the sound over.");
  await expect(lines.nth(1)).toContainText("Not predicted.");
});

test("a lead made without the control wire is noted at the cable, and Arrivals and Control tell the same story of it", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "receiver-den");
  await page.goto(`/jobs/${id}/patch?cable=receiver-tv`);
  await choose(page, "Control wire of the cable", "made without it");
  await expectSaved(page);
  await page.getByRole("link", { name: "Arrivals" }).click();
  await expect(page.getByText(/has no control wire \(pin 13\), and ARC is started over CEC/).first()).toBeVisible();
  await page.getByRole("link", { name: "Control" }).click();
  const on = page.locator('[data-act="tv-remote-power-on"]');
  await expect(on).not.toHaveAttribute("data-verdict", "as-wished");
  const story = page.getByRole("complementary", { name: "The chosen act" });
  await expect(story.getByText(/which does not join the two\. The .* has no control wire\./)).toBeVisible();
  await expect(story.getByText(/Never tape over or cut/)).toBeVisible();
});
