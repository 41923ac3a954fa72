import { expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { device, made, planned, room, set, withQuirks } from "@/demo/room-under-test";
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

test("a bar that takes keys from its own remote alone, or from its own maker alone, does not obey the TV", () => {
  const bars = (quirk: "volume-by-remote-only" | "ignores-foreign-keys" | "sends-only", maker = "") => ({
    ...loft,
    devices: loft.devices.map((one) => (one.id === "bar" ? withQuirks({ ...one, maker }, quirk) : { ...one, maker: "Fenwick" })),
  });
  const own = { by: "own-remote", device: "bar" };
  expect(volume(bars("volume-by-remote-only"), "console")).toEqual(own);
  expect(volume(bars("sends-only"), "console")).toEqual(own);
  expect(volume(bars("ignores-foreign-keys", "Aldous"), "console")).toEqual(own);
  expect(volume(bars("ignores-foreign-keys", "Fenwick"), "console")).toEqual({ by: "screen-remote", device: "bar" });
});

test("a TV set to its own speakers keeps its volume keys to itself", () =>
  expect(volume(made(loft, planned("television", "speakers", "own")), "console")).toEqual({ by: "own-remote", device: "bar" }));

test("a lead made without the control wire carries no volume keys", () => {
  const cut = { ...loft, cables: loft.cables.map((one) => ({ ...one, controlWire: one.to.device !== "television" })) };
  expect(volume(cut, "console")).toEqual({ by: "own-remote", device: "bar" });
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
