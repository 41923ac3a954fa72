import AxeBuilder from "@axe-core/playwright";
import { mkdirSync, writeFileSync } from "node:fs";
import { expect, test, type Page } from "@playwright/test";
import { importDemo, socket } from "./support";

const PLACES = ["brief", "gear", "patch", "plans", "arrivals", "control", "room", "runsheet", "prove"] as const;

async function expectNoSeriousIssue(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const serious = violations.filter(({ impact }) => impact === "serious" || impact === "critical");
  expect(
    serious.map(({ id, nodes }) => [id, nodes.map(({ html, failureSummary }) => `${html.slice(0, 160)} ${failureSummary ?? ""}`)]),
  ).toEqual([]);
}

for (const theme of ["dim", "day"] as const) {
  test(`axe finds nothing serious on any place, ${theme}`, async ({ page, context, request, baseURL }) => {
    test.setTimeout(180_000);
    await context.addCookies([{ name: "octachord-theme", value: theme, url: baseURL ?? "" }]);
    const flat = await importDemo(request, "flat-4b");
    const hall = await importDemo(request, "village-hall");
    const places = [
      ...["/", "/?bin=1", "/days", "/join", "/stock", "/settings"],
      ...[
        "gear",
        "gear?show=facts",
        "gear?show=edid",
        "gear?show=photos",
        "patch",
        "plans",
        "plans?weights=60_25_15_0.5_0.5_0.5",
        "plans?view=trades",
        "arrivals",
        "arrivals?view=changes",
        "arrivals?view=compare",
        "control",
        "control?view=card",
        "control?view=habits",
        "control?view=trace",
      ].map((place) => `/jobs/${flat}/${place}`),
      ...["brief", "room", "runsheet", "prove", "prove?kind=act"].map((place) => `/jobs/${hall}/${place}`),
      `/jobs/${hall}/patch?cable=matrix-projector`,
    ];
    for (const place of places) {
      await page.goto(place);
      await expect(page.getByRole("main")).toBeVisible();
      await page.waitForTimeout(400);
      await expectNoSeriousIssue(page);
    }
    await page.goto(`/jobs/${flat}/patch`);
    // A press before the page has come alive opens nothing.
    await expect(async () => {
      await socket(page, "television", "optical-out").click();
      await expect(page.getByRole("listbox", { name: "Sockets of this room" })).toBeVisible({ timeout: 2000 });
    }).toPass();
    await expectNoSeriousIssue(page);
    await page.goto(`/jobs/${flat}/gear`);
    await page.getByRole("button", { name: "Add a device" }).click();
    await expect(page.getByRole("dialog").getByRole("option").first()).toBeVisible();
    await expectNoSeriousIssue(page);
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog")).toBeHidden();
    await page.getByRole("combobox", { name: "HDMI control (CEC) at Streamer, as planned" }).click({ force: true });
    await expect(page.locator('[role="listbox"][aria-label^="HDMI control (CEC) at Streamer"]')).toHaveCount(1);
    await page.waitForTimeout(400);
    await expectNoSeriousIssue(page);
  });
}

test("the first load of compressed script is at most 350 kB on the docket and 450 kB inside a job", async ({
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
  expect(docket?.kB).toBeLessThanOrEqual(350);
  for (const { kB } of inside) expect(kB).toBeLessThanOrEqual(450);
});

test("every place fits a narrow screen without a sideways scroll of the page", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.setViewportSize({ width: 834, height: 1112 });
  for (const path of ["/", "/days", "/join", "/stock", "/settings", "/shelf", ...PLACES.map((place) => `/jobs/${id}/${place}`)]) {
    await page.goto(path);
    await expect(page.getByRole("main")).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  }
});

test("at twice the size of the print every place still shows its work, by scrolling down only", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  // A browser at 200 % of 1280 × 800 lays out 640 × 400.
  await page.setViewportSize({ width: 640, height: 400 });
  for (const path of ["/", "/days", "/join", "/stock", "/settings", ...PLACES.map((place) => `/jobs/${id}/${place}`)]) {
    await page.goto(path);
    await expect(page.getByRole("main")).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
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
