import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { device, room } from "@/demo/room-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { arrivalsOf, type Arrival } from "@/core/chain";
import type { Content, Device } from "@/core/device";
import { connectorFact } from "@/core/facts";
import { findPort, type Job } from "@/core/job";
import { soundKept } from "../evaluation";
import { wiringSpace, type WiringSpace } from "../space";
import { overLeads } from "./lead-bound";

const spaceOf = (job: Job): WiringSpace => {
  const space = wiringSpace(job, { boxes: [] });
  if (!space) throw new Error("nothing to plan");
  return space;
};

describe("what a content keeps where nothing but a lead for sound comes into the sound system", () => {
  const disc = device("disc-player-4k", "disc");
  const contents = disc.sources.flatMap((source) => source.contents);
  const named = (id: string) => {
    const found = contents.find((content) => content.id === id);
    if (!found) throw new Error(`no ${id}`);
    return found;
  };
  const mostInto = (system: Device) => overLeads(spaceOf(room([device("tv-earc", "tv"), system, disc])));

  test("Dolby TrueHD with objects comes as Dolby Digital 5.1 by optical: 0.4 + 0.25 for channels + 0.02, no objects, nothing lossless", () => {
    const most = mostInto(device("receiver-72", "receiver"))(named("film-truehd-atmos"));
    // Its speakers are 5.1.2: all channels of Dolby Digital sound.
    expect(most).toBeCloseTo(0.4 + 0.25 + 0.02, 9);
    // Where the receiver knows no objects, there are none to lose.
    expect(mostInto(device("receiver-51", "receiver"))(named("film-truehd-atmos"))).toBeCloseTo(0.4 + 0.25 + 0.2 + 0.02, 9);
  });

  test("all of it where that is all that the content has: Dolby Digital 5.1 crosses an optical lead as it is", () => {
    const box = device("set-top-box", "box");
    const most = overLeads(spaceOf(room([device("tv-earc", "tv"), device("receiver-51", "receiver"), box])));
    const film = box.sources.flatMap((source) => source.contents).find(({ tracks }) => tracks.some(({ coding }) => coding === "ac3"));
    if (!film) throw new Error("no Dolby Digital");
    expect(most(film)).toBe(1);
  });

  test("LPCM that is too fast for a lead still comes, at a slower rate: two of its six channels", () => {
    const fast: Content = {
      ...named("film-truehd-atmos"),
      tracks: [{ coding: "lpcm", channels: "5.1", objects: "none", sampleRateKHz: 192 }],
    };
    expect(mostInto(device("receiver-51", "receiver"))(fast)).toBeGreaterThanOrEqual(0.4 + (0.25 * 2) / 6);
  });

  test("nothing where no lead of this gear leads there at all", () => {
    const bar = device("bar-earc-only", "bar");
    const hdmiAlone = { ...bar, ports: bar.ports.filter(({ connector }) => connector === "hdmi") };
    expect(mostInto(hdmiAlone)(named("film-truehd-atmos"))).toBe(0);
  });
});

/** Rows whose sound comes into the system by a lead at last. */
const byLead = (job: Job, space: WiringSpace): readonly Arrival[] =>
  arrivalsOf(job).filter(({ arrives, hops, system }) => {
    if (!arrives || system !== space.system.id) return false;
    const into = hops.findLast((hop) => hop.device === space.system.id && hop.link !== null && hop.cable !== null);
    const socket = into && findPort(job, { device: into.device, port: into.port });
    return (
      socket !== undefined && socket.direction === "in" && socket.connector !== "hdmi" && connectorFact(socket.connector).link !== null
    );
  });

test("nothing that comes by a lead keeps more, in rooms of any kind and gear spelled out by hand", () => {
  let rows = 0;
  fc.assert(
    fc.property(fc.oneof(anyRoom.map(anyJob), spelledRooms), (job) => {
      const space = wiringSpace(job, { boxes: [] });
      if (!space) return;
      const most = overLeads(space);
      for (const row of byLead(job, space)) {
        rows += 1;
        expect(soundKept(job, row)).toBeLessThanOrEqual(most(row.content) + 1e-9);
      }
    }),
    tries(400, 10_000, 53),
  );
  // Rooms in which nothing takes a lead would show nothing.
  expect(rows).toBeGreaterThan(50);
});
