import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect } from "@playwright/test";
import { endAll, startServer } from "./own-server";
import { expectSaved, importDemo, test } from "./support";

const PORT = 4195;

test.use({ baseURL: `http://octachord.test:${PORT}` });

test.beforeAll(async () => {
  await startServer(mkdtempSync(join(tmpdir(), "octachord-plain-")), PORT, { OCTACHORD_HOST: "0.0.0.0" });
});

test.afterAll(endAll);

test("over plain HTTP from another machine edits and ticks of a visit are saved, and text is copied", async ({ page, playwright }) => {
  const request = await playwright.request.newContext({ baseURL: `http://127.0.0.1:${PORT}` });
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/gear`);
  // There a browser makes no ids and has no clipboard, no locks and no service workers.
  expect(await page.evaluate(() => [window.isSecureContext, "randomUUID" in crypto, "clipboard" in navigator])).toEqual([
    false,
    false,
    false,
  ]);
  await page.getByRole("textbox", { name: "Name of the device" }).fill("Box by the window");
  await page.getByRole("textbox", { name: "Name of the device" }).press("Enter");
  await expectSaved(page);
  const saved = (await (await request.get(`/api/jobs/${id}`)).json()) as { document: { devices: { name: string }[] } };
  expect(saved.document.devices.map(({ name }) => name)).toContain("Box by the window");

  await page.goto(`/jobs/${id}/arrivals`);
  await page.getByRole("button", { name: "Copy as text" }).click();
  await expect(page.getByText("The board is copied as text.")).toBeVisible();

  await page.goto(`/jobs/${id}/runsheet`);
  await page.getByRole("button", { name: "Done", exact: true }).first().click();
  await expect
    .poll(async () =>
      ((await (await request.get(`/api/jobs/${id}/visit`)).json()) as { entries: { state: string }[] }).entries.map(({ state }) => state),
    )
    .toEqual(["done"]);
  await request.dispose();
});
