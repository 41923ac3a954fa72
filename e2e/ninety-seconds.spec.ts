import { expect, type Page } from "@playwright/test";
import { expectSaved, row, test } from "./support";

test.use({ contextOptions: { reducedMotion: "no-preference" } });

const GEAR = [
  "4k disc player",
  "objects only as dolby mat, else lpcm up to 7.1",
  "4k streamer: dolby",
  "television box: dolby digital broadcasts",
  "dvd player",
  "4k tv, earc",
  "receiver 5.1.2",
];
/** What is in each socket, in the order of the walk; the receiver's output sits in a socket of the TV that has no return. */
const PLUGS: Readonly<Record<string, string>> = {
  "Receiver HDMI IN 1": "disc player hdmi",
  "Receiver HDMI IN 2": "console",
  "Receiver HDMI IN 3": "streamer",
  "Receiver HDMI IN 4": "dvd player hdmi",
  "Receiver HDMI OUT": "television “hdmi 4”",
  "Receiver OPTICAL 1": "television digital",
  "Receiver OPTICAL 2": "dvd player optical",
  "Receiver AUDIO IN L/R 1": "dvd player",
  "Television HDMI 1": "set-top",
};

/** Types what the person would and goes on; a socket that is not named above is empty. */
async function answerSocket(page: Page): Promise<boolean> {
  const field = page.getByRole("combobox", { name: /^What is plugged into/ });
  if (!(await field.isVisible())) return false;
  const label = (await field.getAttribute("aria-label")) ?? "";
  const words = Object.entries(PLUGS).find(([socket]) => {
    const [device, ...print] = socket.split(" ");
    return label.includes(device ?? "") && label.toUpperCase().includes(print.join(" "));
  })?.[1];
  if (words) await page.keyboard.type(words);
  await page.keyboard.press("Enter");
  await expect(field.and(page.locator(`[aria-label="${label.replaceAll('"', '\\"')}"]`))).toHaveCount(0);
  return true;
}

test("from the empty start by keyboard alone: seven devices, nine cables, what is lost and its cure, the map saved", async ({ page }) => {
  const keys = page.keyboard;
  await page.goto("/");
  await keys.press("Control+k");
  await expect(page.getByRole("combobox", { name: /^Find a job/ })).toBeFocused();
  await keys.type("new job");
  await keys.press("Enter");
  await expect(page.getByRole("textbox", { name: "Name of the job" })).toBeFocused();
  await keys.type("Ninety seconds");
  await keys.press("Enter");
  await page.waitForURL(/\/gear$/);
  await expectSaved(page);
  for (const [index, words] of GEAR.entries()) {
    await page.locator("body").press("a");
    await expect(page.getByRole("combobox", { name: "Find on the shelf" })).toBeFocused();
    await keys.type(words);
    await keys.press("Enter");
    await expect(page.getByRole("article")).toHaveCount(index + 1);
  }
  await page.locator("body").press("w");
  while (await answerSocket(page));
  const written = page.getByRole("dialog").getByRole("listitem");
  await expect(written).toHaveCount(9);
  await keys.press("Enter");

  await page.locator("body").press("3");
  await page.waitForURL(/\/arrivals$/);
  // The TV's own sound comes back by optical; its app with objects is less than it could be.
  await row(page, /^Television, its own app/).focus();
  await keys.press("Enter");
  const story = page.getByRole("complementary", { name: "The chosen row" });
  await expect(story).toContainText("Where it is lost");
  await expect(page.getByText("Smallest change that lifts everything it can")).toBeVisible();
  await expect(page.getByRole("button", { name: "Try it", exact: true })).toBeVisible();
  await page.locator("body").press("2");
  await page.waitForURL(/\/patch$/);
  const save = page.getByRole("button", { name: "Save as SVG" });
  await save.focus();
  const [drawing] = await Promise.all([page.waitForEvent("download"), keys.press("Enter")]);
  expect(drawing.suggestedFilename()).toBe("ninety-seconds-map.svg");
});
