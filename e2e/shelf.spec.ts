import { expect } from "@playwright/test";
import { expectNoSeriousIssue } from "./accessible";
import { choose, importDemo, test } from "./support";

test("a device made from nothing by keyboard and mouse is kept, found in a job's list, and taken off again", async ({ page, request }) => {
  const name = `Attic bar ${Date.now()}`;
  await page.goto("/");
  await page.getByRole("link", { name: "Shelf" }).click();
  await expect(page.getByRole("heading", { name: "Shelf" })).toBeVisible();
  await page.getByRole("button", { name: "Make a device" }).click();
  await page.getByRole("button", { name: "Save to the shelf" }).click();
  await expect(page.getByText("Give the device a name")).toBeVisible();
  await page.getByLabel("Name").fill(name);
  await choose(page, "Return channel of socket 1", "eARC");
  await page.getByRole("button", { name: "Add a socket" }).click();
  await page.getByLabel("Print at socket 2").fill("OPT");
  await choose(page, "Kind of socket 2", "optical");
  await page.getByRole("checkbox", { name: "Dolby Digital Plus" }).check();
  await page.getByRole("button", { name: "Save to the shelf" }).click();
  const own = page.getByRole("region", { name: "Your own" });
  await expect(own.getByText(name)).toBeVisible();
  await expect(own.getByText("OPT", { exact: true })).toBeVisible();

  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/gear`);
  await page.getByRole("button", { name: "Add a device" }).click();
  await page.keyboard.type("attic bar");
  await expect(page.getByRole("option", { name: new RegExp(name) })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("list", { name: `Back plate of ${name}` })).toContainText("OPT");

  await page.goto("/shelf");
  await page.getByRole("button", { name: `Take ${name} off the shelf` }).click();
  await expect(own.getByText(name)).toBeHidden();
});

test("a device is found on the shelf by words in any order; without words the whole shelf is there again", async ({ page }) => {
  await page.goto("/shelf");
  const find = page.getByRole("textbox", { name: "Find on the shelf" });
  await find.fill("optical bar");
  const found = page.getByRole("region", { name: "Found" });
  await expect(found.getByRole("listitem").first()).toContainText(/bar/i);
  await expect(found.getByText("OPTICAL", { exact: false }).first()).toBeVisible();
  await expect(page.getByRole("region", { name: "Players" })).toBeHidden();
  await find.fill("zither");
  await expect(page.getByRole("heading", { name: "Nothing on the shelf has these words" })).toBeVisible();
  await find.clear();
  await expect(page.getByRole("region", { name: "Players" })).toBeVisible();
});

test("a device of a job is kept on the shelf for others", async ({ page, request }) => {
  await page.goto(`/jobs/${await importDemo(request, "sail-loft")}/gear`);
  await page.getByRole("button", { name: "Save to the shelf" }).click();
  await expect(page.getByText("Streamer is saved on the shelf for other jobs.")).toBeVisible();
  const { own } = (await (await request.get("/api/shelf")).json()) as { own: { device: { name: string } }[] };
  expect(own.map(({ device }) => device.name)).toContain("Streamer");
});

test("the shelf over HTTP refuses what does not hold together with one sentence, and has nothing serious for axe", async ({
  page,
  request,
}) => {
  const refused = await request.post("/api/shelf", {
    data: { id: "x", name: "X", role: "box", routes: [{ kind: "sound", from: ["a"], to: ["speakers"] }] },
  });
  expect(refused.status()).toBe(422);
  expect(await refused.json()).toMatchObject({ detail: expect.stringMatching(/^routes\[0\]\.from\[0\]: expected a socket/) as unknown });
  expect((await request.delete("/api/shelf/none")).status()).toBe(404);
  await page.goto("/shelf");
  await page.getByRole("button", { name: "Make a device" }).click();
  await expectNoSeriousIssue(page);
});
