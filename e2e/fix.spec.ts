import { expect, type Page } from "@playwright/test";
import { expectNoIssueOfLevelAA } from "./accessible";
import { importDemo, test } from "./support";

const cardOf = (page: Page) => page.getByRole("region", { name: "Next check" });
/** The receiver is stuck: only its own power key helps. Everything else is as it should be. */
const ANSWERS: readonly (readonly [RegExp, RegExp])[] = [
  [/power key of Receiver/, /^It was wrong, and now all is well/],
  [/lamp of the sound system|return channel/, /^It shows no return channel/],
  [/lamp of/, /^It is on/],
  [/what was changed/, /^Nothing that they know of/],
  [/comes and goes/, /^It comes and goes/],
  [/^Play this/, /^No sound/],
  [/./, /^(It was right|No change)/],
];

async function answerOne(page: Page): Promise<string> {
  const words = await cardOf(page).getByRole("heading").innerText();
  const answer = ANSWERS.find(([asks]) => asks.test(words))?.[1] ?? /./;
  await cardOf(page).getByRole("button", { name: answer }).first().tap();
  return words;
}

test.describe("on the phone", () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test("a silent hall is searched one check at a time, without a network half-way, until it is mended, and the search is kept", async ({
    page,
    request,
    context,
  }) => {
    const id = await importDemo(request, "village-hall");
    await page.goto(`/jobs/${id}/fix`);
    const begin = page.getByRole("region", { name: "What is wrong?" });
    await expect(begin).toBeVisible();
    // The commonest complaints are buttons, each of which stands there once; every other is found by its words.
    await expect(begin.getByText("Everything: no sound")).toHaveCount(1);
    await begin.getByRole("combobox", { name: "Find a complaint" }).fill("everything no sound");
    await page.getByRole("option", { name: "Everything: no sound" }).tap();
    await expect(cardOf(page)).toBeVisible();
    for (const button of await cardOf(page).getByRole("button").all())
      expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(48);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await expectNoIssueOfLevelAA(page);
    const suspects = page.getByRole("region", { name: "What it may be" });
    await expect(suspects).toContainText("“Mute” at Receiver is on.");
    await expect.poll(() => page.evaluate(() => caches.match(location.pathname).then(Boolean))).toBe(true);

    await context.setOffline(true);
    const first = await answerOne(page);
    await expect(cardOf(page).getByRole("heading")).not.toHaveText(first);
    await expect(page.getByRole("region", { name: "What was done" }).getByRole("listitem")).toHaveCount(1);
    await page.reload();
    await expect(cardOf(page)).toBeVisible();
    await expect(page.getByRole("region", { name: "What was done" }).getByRole("listitem")).toHaveCount(1);
    // What was entered by mistake is taken back, and asked again.
    await cardOf(page).getByRole("button", { name: "Back one step" }).tap();
    await expect(cardOf(page).getByRole("heading")).toHaveText(first);
    await context.setOffline(false);

    const mended = page.getByRole("region", { name: "Mended" });
    for (let step = 0; step < 20 && !(await mended.isVisible()); step += 1) {
      const words = await answerOne(page);
      await expect(page.getByRole("heading", { name: words })).toHaveCount(0);
      await expect(mended.or(cardOf(page)).first()).toBeVisible();
    }
    await expect(mended).toBeVisible();
    await mended.getByRole("button", { name: /stuck since they last found each other/ }).tap();
    await expect(page.getByRole("region", { name: "Earlier searches" })).toContainText(/after \d+ check/);
    await expect
      .poll(async () => {
        const record = (await (await request.get(`/api/jobs/${id}/visit`)).json()) as { entries: { fix: { step: string } | null }[] };
        return record.entries.filter(({ fix }) => fix?.step === "found").length;
      })
      .toBe(1);
  });
});

test("practice: a rig is found and scored, one that is given up shows the line of Fix, and progress is kept", async ({ page }) => {
  await page.goto("/practice?level=formats&rig=5");
  await page.getByRole("textbox", { name: "Your name, for your progress" }).fill("Ida");
  await page.getByRole("button", { name: "Begin" }).click();
  const steps = page.getByRole("region", { name: "What do you do?" });
  await expect(steps).toBeVisible();
  await expectNoIssueOfLevelAA(page);
  await steps.getByRole("button", { name: /^Ask what was changed/ }).click();
  await expect(page.getByRole("region", { name: "What you did" }).getByRole("listitem")).toHaveCount(1);
  // The apprentice may see what an answer makes of the suspects.
  await page.getByRole("button", { name: "Show what it may be now" }).click();
  await expect(page.getByRole("region", { name: "What it may be" })).toContainText("%");
  await steps.getByRole("textbox", { name: "Find a step" }).fill("mute");
  await steps.getByRole("button", { name: /“Mute”/ }).click();
  const card = page.getByRole("region", { name: "Find the fault" }).last();
  await expect(card).toContainText(/\d+ of 100 points/);
  await expect(card).toContainText("“Mute” at");
  await card.getByRole("button", { name: "Next rig" }).click();
  await expect(steps).toBeVisible();
  await steps.getByRole("button", { name: /^Ask what was changed/ }).click();
  await page.getByRole("button", { name: "Give up and see" }).click();
  await expect(card).toContainText("The line that Fix takes here");
  await page.goto("/practice");
  await expect(page.getByRole("region", { name: "Your progress" })).toContainText("Formats and links: 1 rig");
});
