import { readdirSync, readFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { expectVerdicts, row, test } from "./support";

interface Report {
  readonly arrivals: readonly {
    readonly verdict: string;
    readonly losses: readonly { readonly scope: string; readonly words: string }[];
  }[];
}

test("the board shows each of the eighteen systems as the machine answer has it, with its first reason in words", async ({
  page,
  request,
}) => {
  for (const file of readdirSync("demo/systems")) {
    const imported = await request.post("/api/jobs/import", {
      data: readFileSync(`demo/systems/${file}`),
      headers: { "Content-Type": "application/json" },
    });
    const { id } = (await imported.json()) as { id: string };
    const { arrivals } = (await (await request.get(`/api/jobs/${id}/arrivals`)).json()) as Report;
    await page.goto(`/jobs/${id}/arrivals`);
    await expectVerdicts(
      page,
      arrivals.map(({ verdict }) => verdict),
    );
    // The page opens at the first row that is not full, and tells its first reason.
    const words = arrivals.find(({ verdict }) => verdict !== "full")?.losses[0]?.words;
    if (words) await expect(page.getByText(words).first()).toBeVisible();
  }
});

test("two screens get a row each, and a change for the picture is offered with what it costs", async ({ page, request }) => {
  const imported = await request.post("/api/jobs/import", {
    data: readFileSync("demo/jobs/village-hall.octachord.json"),
    headers: { "Content-Type": "application/json" },
  });
  const { id } = (await imported.json()) as { id: string };
  await page.goto(`/jobs/${id}/arrivals`);
  await expect(row(page, /^Streamer, film on Desk monitor.*All it can play/)).toBeVisible();
  await row(page, /^Streamer, film on Projector/).click();
  await expect(page.getByText("picture not guaranteed").first()).toBeVisible();
  await page.getByRole("button", { name: /^Try it: Change the cable Matrix to Projector for hybrid optical HDMI/ }).click();
  await expect(page.getByText("picture not guaranteed")).toHaveCount(0);
});
