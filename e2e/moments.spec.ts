import { expect, test } from "@playwright/test";
import { choose, expectSaved, expectVerdicts, importDemo } from "./support";

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
  await log.getByRole("button", { name: "Look at the job after: the job was taken in from a file" }).click();
  await expect(log.getByText("Then 5 devices and 4 cables, now 5 and 4.")).toBeVisible();
  await expect(log.getByText("Disc player, film")).toBeVisible();
  await log.getByRole("button", { name: "Go back to this moment (1 edit taken back)" }).click();
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
  await expect(page.getByText(`${name} annexe lies in the bin.`)).toBeVisible();
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
