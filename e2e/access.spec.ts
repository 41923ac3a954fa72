import { mkdirSync, writeFileSync } from "node:fs";
import { expect, type Page } from "@playwright/test";
import { expectNoSeriousIssue, expectNoSidewaysScroll } from "./accessible";
import { choose, importDemo, socket, test } from "./support";

const PLACES = ["brief", "gear", "patch", "plans", "arrivals", "control", "room", "runsheet", "prove", "handover"] as const;

/** All of axe in the dim room, then what daylight can change, on the same page: the application follows the system. */
async function expectSoundInBothThemes(page: Page): Promise<void> {
  // What is worked out beside the page has mostly come by then.
  await page.waitForTimeout(400);
  await expectNoSeriousIssue(page);
  await page.emulateMedia({ colorScheme: "light" });
  await expect(page.locator("html")).toHaveAttribute("data-theme", "day");
  // Colours cross over; on a busy machine that takes longer. What turns for ever, as a sign of work, is not waited for.
  await page.waitForFunction(() => document.getAnimations().every(({ effect }) => effect?.getComputedTiming().endTime === Infinity));
  await expectNoSeriousIssue(page, ["color-contrast"]);
  await page.emulateMedia({ colorScheme: "dark" });
}

const OUTSIDE_JOBS = ["/", "/?bin=1", "/days", "/join", "/stock", "/figures", "/settings"];
const OF_FLAT = {
  Gear: ["gear", "gear?show=facts", "gear?show=edid", "gear?show=photos"],
  Plans: ["patch", "plans", "plans?weights=60_25_15_0.5_0.5_0.5", "plans?view=trades"],
  "Arrivals and Control": [
    ...["arrivals", "arrivals?view=changes", "arrivals?view=compare"],
    ...["control", "control?view=card", "control?view=habits", "control?view=trace"],
  ],
} as const;
const OF_HALL = ["brief", "room", "runsheet", "prove", "prove?kind=act", "patch?cable=matrix-projector", "handover"];

async function expectAllSound(page: Page, places: readonly string[]): Promise<void> {
  for (const place of places) {
    await page.goto(place);
    await expect(page.getByRole("main")).toBeVisible();
    await expectSoundInBothThemes(page);
  }
}

test("axe finds nothing serious outside the jobs, dim and day", async ({ page }) => {
  await expectAllSound(page, OUTSIDE_JOBS);
});

for (const [name, places] of Object.entries(OF_FLAT))
  test(`axe finds nothing serious in a job: ${name}, dim and day`, async ({ page, request }) => {
    const flat = await importDemo(request, "flat-4b");
    await expectAllSound(
      page,
      places.map((place) => `/jobs/${flat}/${place}`),
    );
  });

test("axe finds nothing serious in a large job: Brief, Room and the visit, dim and day", async ({ page, request }) => {
  const hall = await importDemo(request, "village-hall");
  await expectAllSound(
    page,
    OF_HALL.map((place) => `/jobs/${hall}/${place}`),
  );
});

test("axe finds nothing serious in what opens over a page, dim and day", async ({ page, request }) => {
  const flat = await importDemo(request, "flat-4b");
  await page.goto(`/jobs/${flat}/patch`);
  await socket(page, "television", "optical-out").click();
  await expect(page.getByRole("listbox", { name: "Sockets of this room" })).toBeVisible();
  await expectSoundInBothThemes(page);
  await page.goto(`/jobs/${flat}/gear`);
  await page.getByRole("button", { name: "Add a device" }).click();
  await expect(page.getByRole("dialog").getByRole("option").first()).toBeVisible();
  await expectSoundInBothThemes(page);
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.getByRole("combobox", { name: "HDMI control (CEC) at Streamer, as planned" }).click({ force: true });
  await expect(page.locator('[role="listbox"][aria-label^="HDMI control (CEC) at Streamer"]')).toHaveCount(1);
  await expectSoundInBothThemes(page);
});

test("where motion is reduced, what was closed is out of sight, and a list leaves room for what lies under it", async ({
  page,
  request,
}) => {
  await page.emulateMedia({ reducedMotion: "reduce" });
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/gear`);
  await choose(page, "eARC at Television, as planned", "off");
  await expect(page.locator(".ant-select-dropdown:visible")).toHaveCount(0);
  await page.getByRole("button", { name: "Add a device" }).click();
  await expect(page.getByRole("dialog")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
});

test("the first load of compressed script is at most 300 kB on the docket and 400 kB inside a job", async ({
  browser,
  request,
  baseURL,
}) => {
  const id = await importDemo(request, "sail-loft");
  const figures: { page: string; kB: number }[] = [];
  for (const path of ["/", ...PLACES.map((place) => `/jobs/${id}/${place}`)]) {
    const context = await browser.newContext(baseURL ? { baseURL } : {});
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    const scripts = new Set<string>();
    let bytes = 0;
    session.on("Network.responseReceived", (event) => event.type === "Script" && scripts.add(event.requestId));
    session.on("Network.loadingFinished", (event) => (bytes += scripts.has(event.requestId) ? event.encodedDataLength : 0));
    await session.send("Network.enable");
    await page.goto(path, { waitUntil: "networkidle" });
    figures.push({ page: path.replace(id, "…"), kB: Math.round(bytes / 1024) });
    await context.close();
  }
  mkdirSync(".next", { recursive: true });
  writeFileSync(".next/first-load.json", JSON.stringify(figures));
  const [docket, ...inside] = figures;
  expect(docket?.kB).toBeLessThanOrEqual(300);
  for (const { kB } of inside) expect(kB).toBeLessThanOrEqual(400);
});

test("every place fits a narrow screen, and twice the size of the print, without a sideways scroll of the page", async ({
  page,
  request,
}) => {
  const id = await importDemo(request, "sail-loft");
  const places = ["/", "/days", "/join", "/stock", "/figures", "/settings", "/shelf", ...PLACES.map((place) => `/jobs/${id}/${place}`)];
  for (const path of places) {
    await page.setViewportSize({ width: 834, height: 1112 });
    await page.goto(path);
    await expect(page.getByRole("main")).toBeVisible();
    await expectNoSidewaysScroll(page);
    // A browser at 200 % of 1280 × 800 lays out 640 × 400.
    await page.setViewportSize({ width: 640, height: 400 });
    await expect(page.getByRole("main")).toBeVisible();
    await expectNoSidewaysScroll(page);
  }
});

test("on a first visit under a light system everything is in daylight, buttons too", async ({ browser, baseURL }) => {
  const context = await browser.newContext({ colorScheme: "light", ...(baseURL ? { baseURL } : {}) });
  const page = await context.newPage();
  await page.goto("/");
  // The brass of daylight, in place of that of the dim room.
  await expect(page.getByRole("button", { name: "New job" })).toHaveCSS("background-color", "rgb(122, 79, 0)");
  await context.close();
});
