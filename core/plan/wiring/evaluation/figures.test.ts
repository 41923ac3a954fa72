import { describe, expect, test } from "vitest";
import { eventOf } from "@/core/cec";
import { arrivalsOf } from "@/core/chain";
import { device, room } from "@/demo/room-under-test";
import { spaceWith, topologyOf } from "../under-test/space-with";
import { contentShare, rowPoints } from "./figures";
import { remotesNeeded } from "./everyday-acts";
import { jobWith, wiresBetween } from "../space";

const PICTURE_ALONE = { sound: 0, picture: 1, ease: 0, money: 0, hours: 0, pulls: 0 };

describe("what of its picture a content counts in a room with two screens", () => {
  const streamer = device("streamer-4k", "streamer");
  const space = spaceWith(room([device("tv-arc", "tv"), device("receiver-51", "receiver"), streamer, device("projector", "projector")]));
  const topology = topologyOf(space, "receiver>tv");
  const [wire] = wiresBetween(
    space,
    jobWith(space, topology.hubs, [], space.players),
    { device: "streamer", port: "hdmi-out" },
    { device: "receiver", port: "hdmi-in1" },
  );
  if (!wire) throw new Error("no wire");
  const job = jobWith(space, topology.hubs, [...topology.wires, wire], space.players);
  const rows = arrivalsOf(job).filter(({ player }) => player === "streamer");
  const counted = (isSeen: boolean) => {
    const some = rows.filter(({ content }) => (content.picture !== null) === isSeen);
    return rowPoints(space, some, contentShare(space.job), PICTURE_ALONE) / contentShare(space.job) / some.length;
  };

  test("a film that comes to one of them counts half", () => {
    expect(counted(true)).toBeCloseTo(0.5, 9);
  });

  test("music is for no screen, and counts whole once it is heard", () => {
    expect(rows.filter(({ content }) => !content.picture).every(({ arrives }) => arrives !== null)).toBe(true);
    expect(counted(false)).toBeCloseTo(1, 9);
  });
});

describe("how many remotes a household gets along with", () => {
  const acts = [{ act: "screen-on" }, { act: "louder" }, { act: "put-away", device: "disc" }] as const;
  const weighed = acts.map((act) => ({ act, weight: 1 / 3 }));
  const figures = (...verdicts: readonly ("as-wished" | "with-a-step" | "fails" | "unstable")[]) =>
    verdicts.map((verdict, index) => {
      const act = acts[index] ?? acts[0];
      return { event: eventOf(act), verdict, remotes: index + 1, hands: [], steps: 0, readyMs: null };
    });

  test("as many as the act that takes most", () => {
    expect(remotesNeeded(figures("as-wished", "with-a-step"), weighed)).toBe(2);
  });

  test("no number is enough where an act cannot be done: a wish for few remotes is never had by an act that goes wrong", () => {
    expect(remotesNeeded(figures("as-wished", "fails"), weighed)).toBe(Infinity);
    expect(remotesNeeded(figures("unstable", "as-wished"), weighed)).toBe(Infinity);
  });

  test("what nobody did on purpose is not done with a remote", () => {
    expect(remotesNeeded(figures("as-wished", "as-wished", "fails"), weighed)).toBe(3);
  });
});
