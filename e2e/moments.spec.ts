import { readFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { strToU8, unzipSync, zipSync } from "fflate";
import { choose, demoFile, expectSaved, expectVerdicts, importDemo, test } from "./support";

test("after a reload an earlier moment is looked at, gone back to, and that is undone like any edit", async ({ page, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/gear`);
  await choose(page, "eARC at Television, as planned", "off");
  await expectSaved(page);
  await page.goto(`/jobs/${id}/arrivals`);
  await expectVerdicts(page, ["full", "reduced", "reduced", "full", "full", "full"]);
  await page.getByRole("button", { name: "Log of this job: earlier moments" }).click();
  const log = page.getByRole("dialog", { name: "Log of this job" });
  await expect(log.getByText("eARC at Television: off")).toBeVisible();
  await log.getByRole("button", { name: "Look at the job after: job imported from a file" }).click();
  await expect(log.getByText("Then 5 devices and 4 cables, now 5 and 4.")).toBeVisible();
  await expect(log.getByText("Disc player, film")).toBeVisible();
  await log.getByRole("button", { name: "Go back to this moment (undoes 1 edit)" }).click();
  await expectVerdicts(page, ["full", "full", "full", "full", "full", "full"]);
  await expectSaved(page);
  await page.keyboard.press("Control+z");
  await expectVerdicts(page, ["full", "reduced", "reduced", "full", "full", "full"]);
});

test("the bin says when a job goes for good; it can go at once, and so can all of a customer, with a list of what went", async ({
  page,
  request,
}) => {
  const name = `Odd Mill ${Date.now()}`;
  const customer = `Family ${Date.now()}`;
  for (const title of [name, `${name} annexe`]) {
    const { id, revision } = (await (await request.post("/api/jobs", { data: { name: title } })).json()) as {
      id: string;
      revision: number;
    };
    const commands = [{ kind: "edit-job", fields: { customer } }];
    expect((await request.put(`/api/jobs/${id}`, { data: { revision, commands } })).ok()).toBe(true);
  }
  await page.goto(`/?q=${encodeURIComponent(`${name} annexe`)}`);
  await page.getByRole("button", { name: `Put ${name} annexe into the bin` }).click();
  await expect(page.getByText(`${name} annexe is in the bin.`)).toBeVisible();
  await page.goto(`/?bin=1&q=${encodeURIComponent(`${name} annexe`)}`);
  await expect(page.getByText(/erased for good on \d+ \w+ \d{4}/)).toBeVisible();
  await page.getByRole("button", { name: `Erase ${name} annexe for good` }).click();
  await page.getByRole("tooltip").getByRole("button", { name: "Erase", exact: true }).click();
  await expect(page.getByText(`${name} annexe was erased`)).toBeVisible();
  await expect(page.getByText("0 jobs in the bin")).toBeVisible();

  await page.goto("/settings");
  await choose(page, "Customer", customer);
  await expect(page.getByText("1 job, 0 photos.")).toBeVisible();
  await page.getByRole("button", { name: "Erase for good" }).click();
  await page.getByRole("tooltip").getByRole("button", { name: "Erase for good" }).click();
  await expect(page.getByText(`${name}: document, 2 log entries, 0 photos`)).toBeVisible();
  await page.goto(`/?q=${encodeURIComponent(name)}`);
  await expect(page.getByText("0 jobs", { exact: true })).toBeVisible();
});

test("everything leaves as a package of open files, and one that comes in says what came and what did not", async ({ page, request }) => {
  const out = await request.get("/api/everything");
  expect(out.headers()["content-type"]).toBe("application/zip");
  const files = Object.keys(unzipSync(new Uint8Array(await out.body())));
  expect(files).toContain("README.txt");
  expect(files).toContain("settings.octachord.json");

  const name = `Brought in ${Date.now()}`;
  const job = JSON.parse(readFileSync(demoFile("attic-screen"), "utf8")) as Record<string, unknown>;
  const buffer = Buffer.from(
    zipSync({
      "jobs/a/job.octachord.json": strToU8(JSON.stringify({ ...job, name })),
      "jobs/b/job.octachord.json": strToU8(JSON.stringify({ ...job, name: 7 })),
    }),
  );
  await page.goto("/settings");
  await page.getByTestId("everything-file").setInputFiles({ name: "all.zip", mimeType: "application/zip", buffer });
  await expect(page.getByText("Imported: 1 job, 0 devices for the shelf, 0 lines for the van.")).toBeVisible();
  await expect(page.getByText(/^jobs\/b\/job\.octachord\.json could not be imported\. .*name/)).toBeVisible();
  await page.goto(`/?q=${encodeURIComponent(name)}`);
  await expect(page.getByText("1 job", { exact: true })).toBeVisible();
  // The docket of the other tests stays as it was.
  await page.getByRole("button", { name: `Put ${name} into the bin` }).click();
  await expect(page.getByText(`${name} is in the bin.`)).toBeVisible();
});
