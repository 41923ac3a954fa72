import { expect } from "@playwright/test";
import { STORED_VERSION } from "@/core/versions";
import { choose, expectSaved, expectVerdicts, importDemo, test } from "./support";

interface Envelope {
  readonly revision: number;
  readonly document: {
    readonly devices: readonly {
      readonly id: string;
      readonly name: string;
      readonly settings: readonly { readonly key: string; readonly planned: string | null }[];
    }[];
  };
}

test("two tabs of one job stay in step, and edits made in both at once both stand", async ({ context, request }) => {
  const id = await importDemo(request, "sail-loft");
  const [one, two] = [await context.newPage(), await context.newPage()];
  await one.goto(`/jobs/${id}/gear`);
  await two.goto(`/jobs/${id}/arrivals`);
  await expectVerdicts(two, ["full", "full", "full", "full", "full", "full"]);
  await choose(one, "eARC at Television, as planned", "off");
  await expectVerdicts(two, ["full", "reduced", "reduced", "full", "full", "full"]);

  // The second tab is cut off while both edit; what it did is made again on top of the first one's work.
  await two.goto(`/jobs/${id}/gear`);
  await two.route("**/api/jobs/**", (route) => route.abort());
  await choose(two, "HDMI control (CEC) at Console, as planned", "off");
  await expect(two.getByText("not saved yet")).toBeVisible();
  await one.getByRole("textbox", { name: "Name of the device" }).fill("Box under the stairs");
  await one.getByRole("textbox", { name: "Name of the device" }).press("Enter");
  await expectSaved(one);
  await two.unroute("**/api/jobs/**");
  // As the browser tells a page when the network is back; without it the next try may be seconds away.
  await two.evaluate(() => window.dispatchEvent(new Event("online")));
  await expectSaved(two);
  await expect(two.getByText("Box under the stairs").first()).toBeVisible();

  const { document } = (await (await request.get(`/api/jobs/${id}`)).json()) as Envelope;
  const planned = (device: string, key: string) =>
    document.devices.find((row) => row.id === device)?.settings.find((row) => row.key === key)?.planned;
  expect(planned("television", "earc")).toBe("off");
  expect(planned("console", "cec")).toBe("off");
  expect(document.devices.find((row) => row.id === "streamer")?.name).toBe("Box under the stairs");
});

test("two windows that were both cut off and closed: the next one makes the edits of both", async ({ context, request }) => {
  const id = await importDemo(request, "sail-loft");
  const [one, two] = [await context.newPage(), await context.newPage()];
  for (const [page, device] of [
    [one, "Console"],
    [two, "Bar"],
  ] as const) {
    await page.goto(`/jobs/${id}/gear`);
    await page.route("**/api/jobs/**", (route) => route.abort());
    await choose(page, `HDMI control (CEC) at ${device}, as planned`, "off");
    await expect(page.getByText("not saved yet")).toBeVisible();
  }
  await one.close();
  await two.close();
  // A page on its way out may still send what it held; whatever it does, the next one finds the rest, and says that it is saving it.
  const next = await context.newPage();
  await next.goto(`/jobs/${id}/gear`);
  const off = async () => {
    const { document } = (await (await request.get(`/api/jobs/${id}`)).json()) as Envelope;
    return document.devices.filter(({ settings }) => settings.some(({ key, planned }) => key === "cec" && planned === "off"));
  };
  await expect.poll(async () => (await off()).map(({ name }) => name)).toEqual(["Console", "Bar"]);
  await expectSaved(next);
});

test("one setting changed differently in two windows: both values are shown, and either can stand", async ({ context, request }) => {
  const id = await importDemo(request, "sail-loft");
  const [one, two] = [await context.newPage(), await context.newPage()];
  await one.goto(`/jobs/${id}/gear?device=television`);
  await two.goto(`/jobs/${id}/gear?device=television`);
  await two.route("**/api/jobs/**", (route) => route.abort());
  await choose(two, "Digital sound output at Television, as planned", "PCM");
  await expect(two.getByText("not saved yet")).toBeVisible();
  await choose(one, "Digital sound output at Television, as planned", "Dolby Digital");
  await expectSaved(one);
  await two.unroute("**/api/jobs/**");
  await two.evaluate(() => window.dispatchEvent(new Event("online")));
  const told = two.getByRole("alert", { name: "Changed in two windows" });
  await expect(told).toContainText(
    "Here: Digital sound output at Television: PCM. There: Digital sound output at Television: Dolby Digital.",
  );
  await told.getByRole("button", { name: "Use the other" }).click();
  await expect(told).toBeHidden();
  await expectSaved(two);
  await expect(one.getByText("Changed in another window")).toBeVisible();
  const { document } = (await (await request.get(`/api/jobs/${id}`)).json()) as Envelope;
  const setting = document.devices.find((row) => row.id === "television")?.settings.find((row) => row.key === "digital-output");
  expect(setting?.planned).toBe("dolby-digital");
});

test("with the network away the page goes on working, and saves when it is back", async ({ page, context, request }) => {
  const id = await importDemo(request, "sail-loft");
  await page.goto(`/jobs/${id}/gear`);
  await context.setOffline(true);
  await choose(page, "eARC at Television, as planned", "off");
  await expect(page.getByText("eARC at Television: off")).toBeVisible();
  await expect(page.getByText("not saved yet")).toBeVisible();
  await context.setOffline(false);
  await expectSaved(page);
  const { revision } = (await (await request.get(`/api/jobs/${id}`)).json()) as Envelope;
  expect(revision).toBe(2);
});

test.describe("a file that cannot be taken in", () => {
  for (const [what, text, sentence] of [
    ["wrong JSON", "{", /bad\.json could not be imported\. The file is not JSON/],
    [
      "a newer version",
      `{"format":"octachord-job","version":${STORED_VERSION + 1},"name":"x"}`,
      new RegExp(`this file is of version ${STORED_VERSION + 1}, this program reads up to version ${STORED_VERSION}`),
    ],
    ["11 MB", `"${"x".repeat(11 * 1024 * 1024)}"`, /The file has 11\.0.MB/],
    [
      "an unknown socket",
      '{"format":"octachord-job","version":1,"name":"x","devices":[{"archetype":"projector","id":"p","ports":{"hdmi7":{}}}]}',
      /devices\[0\]\.ports\[2\]\.connector: expected/,
    ],
  ] as const) {
    test(`${what}: is told in a sentence, and the docket stays as it was`, async ({ page }) => {
      await page.goto("/");
      const before = await page.getByRole("status").innerText();
      await page.getByTestId("job-file").setInputFiles({ name: "bad.json", mimeType: "application/json", buffer: Buffer.from(text) });
      await expect(page.getByText(sentence)).toBeVisible();
      await expect(page.getByRole("status")).toHaveText(before);
    });
  }
});
