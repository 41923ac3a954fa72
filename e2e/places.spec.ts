import { readFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { choose, demoFile, expectSaved, expectVerdicts, importDemo, row, socket, test } from "./support";

test("a setting changed on Gear moves the board in the same instant, says what moved, and is undone by name", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/gear`);
  await choose(page, "eARC at Television, as planned", "off");
  await expect(page.getByText("eARC at Television: off")).toBeVisible();
  await expect(page.getByText(/Disc player, film: All of it →.*Part of it, and 1 more row/)).toBeVisible();
  await page.getByRole("link", { name: "Arrivals" }).click();
  await expectVerdicts(page, ["full", "reduced", "reduced", "full", "full", "full"]);
  await expect(page.getByText("Dolby TrueHD needs 24.6\u2009Mb/s, ARC has 6.1").first()).toBeVisible();
  await page.getByRole("button", { name: "Undo: eARC at Television: off" }).click();
  await expectVerdicts(page, ["full", "full", "full", "full", "full", "full"]);
});

test("the smallest change that lifts all it can is offered, tried with one press, and taken back", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/gear`);
  await choose(page, "Digital sound output at Television, as planned", "PCM");
  await page.getByRole("link", { name: "Arrivals" }).click();
  await expectVerdicts(page, ["reduced", "reduced", "reduced", "full", "reduced", "full"]);
  await expect(page.getByText(/Set “Digital sound output” to .+ at Television: lifts 4 rows, lowers none\./)).toBeVisible();
  await page.getByRole("button", { name: "Try it", exact: true }).click();
  await expectVerdicts(page, ["full", "full", "full", "full", "full", "full"]);
  await expectSaved(page);
});

test("while a plug is held every socket answers, and one that refuses says why", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/patch`);
  const optical = socket(page, "disc-player", "optical-out");
  await expect(optical).toBeVisible();
  const from = await optical.locator(".react-flow__handle").boundingBox();
  const wrong = await socket(page, "television", "hdmi4").locator(".react-flow__handle").boundingBox();
  const right = await socket(page, "bar", "optical-in").locator(".react-flow__handle").boundingBox();
  if (!from || !wrong || !right) throw new Error("sockets are not drawn");
  const centre = (box: typeof from) => [box.x + box.width / 2, box.y + box.height / 2] as const;

  await page.mouse.move(...centre(from));
  await page.mouse.down();
  await page.mouse.move(...centre(wrong), { steps: 8 });
  await expect(socket(page, "television", "hdmi4")).toContainText("different plug");
  await expect(socket(page, "bar", "optical-in")).toContainText("fits");
  await page.mouse.up();
  await expect(page.getByText("A plug for optical does not fit a socket for HDMI.")).toBeVisible();

  await page.mouse.move(...centre(from));
  await page.mouse.down();
  await page.mouse.move(...centre(right), { steps: 8 });
  await page.mouse.up();
  await expect(page.getByText("Plugged Disc player into Bar “OPTICAL IN”")).toBeVisible();
  await expect(page.getByRole("button", { name: "Unplug it" })).toBeVisible();
});

test("a cable is an object: its return wires decide, and so the board", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/patch`);
  await socket(page, "bar", "hdmi-out").click();
  await choose(page, "Return wires of the cable", "none");
  await expect(page.getByText(/All of it →.*Silent, and 4 more rows/)).toBeVisible();
  await page.getByRole("link", { name: "Arrivals" }).click();
  await expect(row(page, /^Streamer, film.*Silent/)).toBeVisible();
  await expect(page.getByText("no return wire in this cable").first()).toBeVisible();
});

test("the docket finds, bins and puts back, and each job exports as the file it can be imported from", async ({ page, request }) => {
  // A customer of its own: other tests bring in the same demo job at the same time.
  const customer = `Halloran ${Date.now()}`;
  const job = JSON.parse(readFileSync(demoFile("attic-screen"), "utf8")) as Record<string, unknown>;
  const imported = await request.post("/api/jobs/import", { data: { ...job, customer } });
  expect(imported.status()).toBe(201);
  const { id } = (await imported.json()) as { id: string };
  await page.goto("/");
  await page.keyboard.press("/");
  await page.keyboard.type(customer.toLowerCase());
  await page.waitForURL(/q=halloran/);
  await expect(page.getByRole("link", { name: /^Attic Screen/ })).toHaveCount(1);
  const file: unknown = await (await request.get(`/api/jobs/${id}/export`)).json();
  const again = await request.post("/api/jobs/import", { data: file });
  expect(again.status()).toBe(201);
  await request.delete(`/api/jobs/${((await again.json()) as { id: string }).id}`);

  await page.getByRole("button", { name: "Put Attic Screen into the bin" }).click();
  await expect(page.getByText("Attic Screen is in the bin.")).toBeVisible();
  await expect(page.getByText("No job matches")).toBeVisible();
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByRole("link", { name: /^Attic Screen/ })).toHaveCount(1);
});

test("the theme changes at once and is remembered", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Daylight theme" }).click();
  await expect(page.locator("html")).toHaveAttribute("data-theme", "day");
  await page.reload();
  await expect(page.locator("html")).toHaveAttribute("data-theme", "day");
});

test("names with markup, signs and other scripts stand as text", async ({ page, request }) => {
  const name = `<img src=x onerror=alert(1)> =1+1 🎬 שלום ${"long ".repeat(40)}`.trim();
  const made = await request.post("/api/jobs", { data: { name } });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/jobs/${id}/gear`);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText(name);
  await request.delete(`/api/jobs/${id}`);
});
