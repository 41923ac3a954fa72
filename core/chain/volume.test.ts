import { expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { device, made, planned, room, set } from "@/demo/room-under-test";
import { arrivalsOf, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";

const loft = demoJob("sail-loft");
const volume = (job: Job, player: string): Arrival["volume"] => arrivalsOf(job).find((row) => row.player === player)?.volume ?? null;

test("a bar on the TV's HDMI obeys the TV's remote, for the TV's own sound and for a player in the bar", () => {
  expect(volume(loft, "television")).toEqual({ by: "screen-remote", device: "bar" });
  expect(volume(loft, "console")).toEqual({ by: "screen-remote", device: "bar" });
});

test("with HDMI control off at either end only the bar's own remote moves it", () => {
  for (const device of ["television", "bar"])
    expect(volume(made(loft, planned(device, "cec", "off")), "console")).toEqual({ by: "own-remote", device: "bar" });
});

test("where the TV itself plays, its remote moves it", () => {
  const own = made(
    loft,
    { kind: "edit-job", fields: { brief: { ...loft.brief, soundSystem: "television" } } },
    planned("television", "speakers", "own"),
  );
  expect(volume(own, "television")).toEqual({ by: "screen-remote", device: "television" });
});

test("behind a matrix the screen's remote does not reach the receiver", () =>
  expect(volume(demoJob("village-hall"), "disc")).toEqual({ by: "own-remote", device: "receiver" }));

test("nothing that arrives has no volume", () => expect(volume(demoJob("flat-4b"), "streamer")).toBeNull());

test("a screen that sends infrared moves the sound system's volume within its reach, unless a closed door stands between", () => {
  const of = (reachM: number | null, fromScreenM: number | null, hidden: boolean) => {
    const tv = device("tv-earc", "tv");
    const bar = device("bar-one-input", "bar");
    const job = set(
      room(
        [
          { ...tv, control: { ...tv.control, infraredReachM: reachM } },
          { ...bar, control: { ...bar.control, fromScreenM, hidden } },
          device("streamer-4k", "streamer"),
        ],
        "streamer hdmi-out > tv hdmi1",
        "bar hdmi-out > tv hdmi3",
      ),
      "bar cec off",
    );
    return arrivalsOf(job).find(({ player }) => player === "streamer")?.volume;
  };
  expect(of(1, 0.5, false)).toEqual({ by: "screen-remote", device: "bar" });
  expect(of(1, 0.5, true)).toEqual({ by: "own-remote", device: "bar" });
  expect(of(1, 1.5, false)).toEqual({ by: "own-remote", device: "bar" });
  expect(of(1, null, false)).toEqual({ by: "own-remote", device: "bar" });
  expect(of(null, 0.5, false)).toEqual({ by: "own-remote", device: "bar" });
});
