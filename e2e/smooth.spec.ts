import { mkdirSync, writeFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { fromShelfOrThrow } from "../core/device";
import { applyCommand, emptyJob, joinSockets, whyNotPlug, type Job } from "../core/job";
import { expectSaved, socket, test } from "./support";

// How fast it is counts as most people see it, with what moves.
test.use({ contextOptions: { reducedMotion: "no-preference" } });

/** The largest room that is worked on: thirty devices, forty-five cables. */
function largeRoom(): Job {
  const kinds = [...Array<string>(10).fill("dvd-player"), ...Array<string>(8).fill("tv-earc"), ...Array<string>(12).fill("receiver-51")];
  const devices = kinds.map((kind, index) => fromShelfOrThrow(kind, { id: `device-${index}`, name: `Device ${index}` }));
  let job: Job = { ...emptyJob("Thirty devices"), devices };
  const ends = devices.flatMap((device) => device.ports.map((port) => ({ device: device.id, port: port.id })));
  for (const from of ends)
    for (const to of ends.toReversed()) {
      if (job.cables.length >= 45) return job;
      if (whyNotPlug(job, from, to)) continue;
      const applied = applyCommand(job, joinSockets(job, from, to));
      if (applied.ok) job = applied.value.job;
    }
  return job;
}

test("a plate of a room of thirty devices is dragged, and a setting answers; how fast is written down", async ({ page, request }) => {
  const room = largeRoom();
  const made = await request.post("/api/jobs/import", { data: room });
  expect([room.devices.length, room.cables.length]).toEqual([30, 45]);
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/jobs/${id}/patch`);
  await expect(socket(page, "device-10", "hdmi1")).toBeVisible();
  const plate = page.getByRole("button", { name: /^Device 1: arrow keys/ });
  // The map fits itself into the page first.
  await page.waitForTimeout(700);
  const box = await plate.boundingBox();
  if (!box) throw new Error("no plate");
  await page.evaluate(() => {
    const frames: number[] = [];
    let last = performance.now();
    const tick = (now: number) => {
      frames.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
    Object.assign(window, { frames });
  });
  await page.mouse.move(box.x + 40, box.y + 10);
  await page.mouse.down();
  for (let n = 0; n < 60; n += 1) await page.mouse.move(box.x + 40 + n * 4, box.y + 10 + n * 3);
  await page.mouse.up();
  const frames = await page.evaluate(() => (window as unknown as { frames: number[] }).frames.slice(2).sort((a, b) => a - b));
  await expect(page.getByText("Moved Device 1 on the map")).toBeVisible();
  await expectSaved(page);

  await page.goto(`/jobs/${id}/gear?device=device-10`);
  await page.evaluate(() => {
    const slow: number[] = [];
    // A press or a key counts, not the pointer on its way: that is what "interaction to next paint" means.
    const isInteraction = (entry: PerformanceEntry) => Boolean((entry as PerformanceEntry & { interactionId?: number }).interactionId);
    new PerformanceObserver((list) =>
      slow.push(
        ...list
          .getEntries()
          .filter(isInteraction)
          .map(({ duration }) => duration),
      ),
    ).observe({
      type: "event",
      durationThreshold: 16,
    } as PerformanceObserverInit);
    Object.assign(window, { slow });
  });
  await page.getByRole("combobox", { name: "eARC, as planned" }).selectOption("off");
  await expect(page.getByText(/eARC at .*: off/).first()).toBeVisible();
  // A real press, whose way to the next paint the browser times itself.
  await page.getByRole("button", { name: /^Undo: eARC at/ }).click();
  await expect(page.getByText(/Undone: eARC at/)).toBeVisible();
  await page.waitForTimeout(300);
  const slowest = await page.evaluate(() => Math.max(0, ...(window as unknown as { slow: number[] }).slow));
  mkdirSync(".next", { recursive: true });
  const at = (share: number) => Number((frames[Math.min(frames.length - 1, Math.floor(frames.length * share))] ?? 0).toFixed(1));
  writeFileSync(
    ".next/smoothness.json",
    JSON.stringify([
      {
        devices: room.devices.length,
        cables: room.cables.length,
        frames: frames.length,
        "median ms": at(0.5),
        "95 % ms": at(0.95),
        "longest ms": at(1),
        "slowest interaction ms": slowest,
      },
    ]),
  );
});
