import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, readFileSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "@playwright/test";
import jsQR from "jsqr";
import { test } from "./support";

const PORT = 4197;
const PASSPHRASE = "long winter loft";
const folder = mkdtempSync(join(tmpdir(), "octachord-open-"));
let server: ChildProcess;
let told = "";

test.use({ baseURL: `https://127.0.0.1:${PORT}`, ignoreHTTPSErrors: true });

test.beforeAll(async () => {
  server = spawn(process.execPath, ["scripts/start.mjs"], {
    env: {
      ...process.env,
      OCTACHORD_DATA: folder,
      OCTACHORD_HOST: "0.0.0.0",
      OCTACHORD_HTTPS: "1",
      OCTACHORD_PASSPHRASE: PASSPHRASE,
      PORT: String(PORT),
    },
    stdio: ["ignore", "pipe", "inherit"],
  });
  server.stdout?.on("data", (chunk: Buffer) => (told += chunk.toString()));
  await expect.poll(() => told, { intervals: [200] }).toContain("Octachord is ready: https://");
});

test.afterAll(async () => {
  const gone = new Promise((resolve) => server.on("exit", resolve));
  server.kill("SIGTERM");
  await gone;
});

test("opened to other machines: HTTPS with a certificate made here and said to be so, and a way in by the passphrase", async ({
  page,
  context,
}) => {
  expect(told).toMatch(/certificate was made on this machine[\s\S]*([0-9A-F]{2}:){31}[0-9A-F]{2}/);
  expect(statSync(join(folder, "https-key.pem")).mode & 0o777).toBe(0o600);
  await page.goto("/settings?from=mail");
  await expect(page).toHaveURL(/\/sign-in\?next=%2Fsettings%3Ffrom%3Dmail/);
  await page.getByLabel("Passphrase", { exact: true }).fill("long winter roof");
  await page.keyboard.press("Enter");
  await expect(page.getByText("That is not the passphrase.")).toBeVisible();
  await page.getByLabel("Passphrase", { exact: true }).fill(PASSPHRASE);
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/\/settings\?from=mail$/);
  await expect(page.getByRole("region", { name: "Who is signed in" }).getByText("This browser")).toBeVisible();
  const [cookie] = (await context.cookies()).filter(({ name }) => name === "octachord");
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: "Strict", secure: true });
  // Neither the passphrase nor the cookie can be had from what is kept.
  const kept = readFileSync(join(folder, "access.json"), "utf8");
  expect(kept).not.toContain(PASSPHRASE);
  expect(kept).not.toContain(cookie?.value.split(".")[0] ?? "nothing");
});

test("nothing is told to whoever is not signed in, and signing out everywhere ends every session", async ({ page, browser }) => {
  const stranger = await browser.newContext({ ignoreHTTPSErrors: true, baseURL: `https://127.0.0.1:${PORT}` });
  for (const path of ["/api/jobs", "/api/backup", "/api/preferences", "/api/jobs/1/photos/2", "/api/health"])
    expect((await stranger.request.get(path)).status(), path).toBe(401);
  await page.goto("/");
  await page.getByLabel("Passphrase", { exact: true }).fill(PASSPHRASE);
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "New job" }).first().click();
  await page.getByRole("textbox", { name: "Name of the job" }).fill("Behind a gate");
  await page.getByRole("button", { name: "Start" }).click();
  await page.waitForURL(/\/jobs\//);

  const other = await stranger.newPage();
  await other.goto("/settings");
  await other.getByLabel("Passphrase", { exact: true }).fill(PASSPHRASE);
  await other.keyboard.press("Enter");
  await expect(other.getByText("A browser at 127.0.0.1").first()).toBeVisible();
  // The page is there before it listens.
  await expect(async () => {
    await other.getByRole("button", { name: "Sign out everywhere" }).click({ timeout: 2000 });
    await other.waitForURL(/\/sign-in/, { timeout: 5000 });
  }).toPass();

  const id = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? "";
  expect((await page.request.get(`/api/jobs/${id}`)).status()).toBe(401);
  await stranger.close();
});

test("a phone beside the laptop: it reads the code, signs in by one press, once, and is on the run sheet", async ({ page, browser }) => {
  await page.goto("/");
  await page.getByLabel("Passphrase", { exact: true }).fill(PASSPHRASE);
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "New job" }).first().click();
  await page.getByRole("textbox", { name: "Name of the job" }).fill("With a phone");
  await page.getByRole("button", { name: "Start" }).click();
  await page.waitForURL(/\/jobs\//);
  const id = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? "";
  await page.goto(`/jobs/${id}/runsheet`);
  await page.getByRole("button", { name: "On the phone" }).click();
  const dialog = page.getByRole("dialog", { name: "On the phone" });
  const code = dialog.getByRole("img", { name: /^Code of https:/ }).first();
  await expect(code).toBeVisible();
  // What a camera sees, read by a program that shares nothing with the one that drew it.
  const { data, width, height } = await code.locator("canvas").evaluate((canvas: HTMLCanvasElement) => {
    const { width: across, height: down } = canvas;
    const pixels = canvas.getContext("2d")?.getImageData(0, 0, across, down).data ?? [];
    return { data: [...pixels], width: across, height: down };
  });
  const read = jsQR(Uint8ClampedArray.from(data), width, height)?.data ?? "";
  expect(read).toMatch(new RegExp(`^https://[\\d.]+:${PORT}/sign-in\\?next=%2Fjobs%2F${id}%2Frunsheet#[\\w-]{22}$`));

  const phone = await browser.newContext({ ignoreHTTPSErrors: true, hasTouch: true, viewport: { width: 390, height: 844 } });
  const hand = await phone.newPage();
  const began = Date.now();
  await hand.goto(read);
  await hand.getByRole("button", { name: "Sign in on this device" }).tap();
  await expect(hand.getByRole("region", { name: "This step" })).toBeVisible();
  expect(Date.now() - began).toBeLessThan(10_000);
  await expect
    .poll(async () => (await phone.cookies()).find(({ name }) => name === "octachord")?.expires ?? 0)
    .toBeGreaterThan(Date.now() / 1000 + 86_400);

  const other = await browser.newContext({ ignoreHTTPSErrors: true });
  const late = await other.newPage();
  await late.goto(read);
  await late.getByRole("button", { name: "Sign in on this device" }).click();
  await expect(late.getByText("This code was used or is too old", { exact: false })).toBeVisible();
  await phone.close();
  await other.close();
});

test("after wrong tries the next one has to wait, whoever asks, and the answer says how long", async ({ request }) => {
  const attempt = (passphrase: string) => request.post("/api/session", { data: { passphrase } });
  for (let count = 0; count < 4; count += 1) await attempt("wrong wrong wrong");
  const answer = await attempt(PASSPHRASE);
  expect(answer.status()).toBe(429);
  expect(Number(answer.headers()["retry-after"])).toBeGreaterThan(0);
  expect(((await answer.json()) as { detail: string }).detail).toMatch(/^Too many wrong tries: the next one counts in \d+ seconds?\.$/);
});
