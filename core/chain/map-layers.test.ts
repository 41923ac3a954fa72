import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made, planned } from "@/demo/room-under-test";
import { linkLoads, pictureRun, powerNeeds, solve, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { pictureRunWords } from "@/core/text";

const loft = demoJob("sail-loft");
const hall = demoJob("village-hall");
const rowOf = (job: Job, id: string): Arrival => {
  const row = solve(job, "planned").rows.find((one) => one.id === id);
  if (!row) throw new Error(`no row ${id}`);
  return row;
};

describe("the picture on the map", () => {
  test("names every cable on its way with what it needs there and what the class is made for", () => {
    // 2160p60 at 12 bit 4:2:2 is 17.82 Gb/s; the disc's cables here are Premium High Speed, tested for 18.
    const runs = pictureRun(hall, rowOf(hall, "disc/disc/film-truehd-atmos@projector"));
    expect(runs.map(({ cable }) => cable)).toEqual(["disc-matrix", "matrix-projector"]);
    for (const { needGbps, haveGbps } of runs) expect(needGbps).toBeLessThanOrEqual(haveGbps ?? 0);
    expect(runs[0] && pictureRunWords(runs[0])).toMatch(/^[\d.]+ of 18/);
  });

  test("is empty for music, which has none", () => {
    const music = solve(demoJob("attic-screen"), "planned").rows.find(({ content }) => content.kind === "music");
    expect(music && pictureRun(demoJob("attic-screen"), music)).toEqual([]);
  });
});

describe("what must be on", () => {
  test("players, screens and sound systems always; a bar passed on the way only unless it passes signals asleep", () => {
    const attic = demoJob("attic-screen");
    const row = rowOf(attic, "streamer/apps/film-ddp-atmos");
    expect([...powerNeeds(attic, row)].every(([, need]) => need === "on")).toBe(true);
    const screen: Job = { ...attic, brief: { ...attic.brief, soundSystem: null } };
    expect(powerNeeds(screen, rowOf(screen, "streamer/apps/film-ddp-atmos")).get("streamer")).toBe("on");
  });
});

test("the load of a link is what goes over it beside what the best form would need and what it can carry", () => {
  // eARC off: TrueHD would fill 24.576 Mb/s, ARC has 6.144, and what then goes over it is Dolby Digital's 1.536.
  const job = made(loft, planned("television", "earc", "off"));
  const loads = linkLoads(rowOf(job, "disc-player/disc/film-truehd-atmos"));
  expect(loads.at(-1)).toMatchObject({ cable: "bar-tv", link: "arc", haveMbps: 6.144, wantedMbps: 24.576 });
  for (const { carriedMbps, haveMbps } of loads) expect(carriedMbps).toBeLessThanOrEqual(haveMbps);
});
