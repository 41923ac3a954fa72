import { describe, expect, test } from "vitest";
import { device, room } from "@/demo/room-under-test";
import { arrivalsOf } from "@/core/chain";
import type { Job } from "@/core/job";
import { givenUp } from "@/core/text";
import { unseenOn } from "./unseen";

const devices = [
  device("tv-earc", "tv"),
  device("projector", "projector"),
  device("receiver-72", "receiver"),
  device("streamer-4k", "streamer"),
];
const planned = (job: Job, place: string) => ({ job, places: new Map<string, string | null>([["streamer", place]]) });
const told = (plan: ReturnType<typeof planned>) => unseenOn(plan, arrivalsOf(plan.job));

describe("what screens do not show", () => {
  test("a second screen that hangs on nothing is dark, although every row of the board is whole", () => {
    const plan = planned(room(devices, "streamer hdmi-out > receiver hdmi-in1", "receiver hdmi-out > tv hdmi3"), "receiver");
    expect(told(plan)).toEqual([{ screen: "projector", players: ["streamer"], isDark: true }]);
  });

  test("a splitter behind the receiver lights both", () => {
    const job = room(
      [...devices, device("splitter-1x2", "splitter")],
      "streamer hdmi-out > receiver hdmi-in1",
      "receiver hdmi-out > splitter hdmi-in",
      "splitter out-1 > tv hdmi1",
      "splitter out-2 > projector hdmi1",
    );
    expect(told(planned(job, "receiver"))).toEqual([]);
  });

  test("of one screen the rows themselves tell, and nobody asks after a player without a socket", () => {
    const [tv, , receiver, streamer] = devices;
    const one = [tv, receiver, streamer].flatMap((each) => each ?? []);
    expect(told(planned(room(one, "streamer hdmi-out > receiver hdmi-in1"), "receiver"))).toEqual([]);
    const unplugged = { job: room(devices), places: new Map([["streamer", null]]) };
    expect(unseenOn(unplugged, arrivalsOf(unplugged.job))).toEqual([]);
  });
});

test("a plan says which screen it leaves out, and why", () => {
  const plan = planned(room(devices, "streamer hdmi-out > receiver hdmi-in1", "receiver hdmi-out > tv hdmi3"), "receiver");
  const words = givenUp(plan).filter(({ device: about }) => about === "projector");
  expect(words.map((one) => one.words)).toEqual(["projector shows nothing of any player: no cable leads to it."]);
});
