import { describe, expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import { deviceFromParts, DeviceParts, findContent, fromShelfOrThrow } from "@/core/device";
import { applyCommand, breachesOf, emptyJob, joinSockets, type Job } from "@/core/job";

const parts = (given: object): DeviceParts =>
  DeviceParts.parse({ name: "Thing", sounds: null, speakers: null, display: null, contents: [], ...given });
const film = findContent("film-ddp-atmos");
const SOUNDS = [
  { coding: "lpcm", channels: "5.1" },
  { coding: "eac3", channels: "5.1", objects: true },
];
const hdmi = (label: string, direction: "in" | "out", rest: object = {}) => ({
  label,
  connector: "hdmi",
  direction,
  hdcp: "2.2",
  maxGbps: 18,
  ...rest,
});

const player = deviceFromParts(parts({ role: "player", sockets: [hdmi("OUT", "out")], sounds: SOUNDS, contents: [film] }), "player");
const bar = deviceFromParts(
  parts({
    role: "sound",
    sockets: [hdmi("IN", "in"), hdmi("TV", "out", { returns: "earc" }), { label: "OPT", connector: "optical", direction: "in" }],
    sounds: SOUNDS,
    speakers: { bed: "5.1", heights: 2 },
  }),
  "bar",
);
const screen = deviceFromParts(
  parts({
    role: "screen",
    sockets: [hdmi("1", "in"), hdmi("2 eARC", "in", { returns: "earc" })],
    sounds: SOUNDS,
    speakers: { bed: "2.0", heights: 0 },
    display: { maxMode: "3840x2160@60", hdr: ["hdr10"] },
  }),
  "screen",
);

const joined = (job: Job, a: [string, string], b: [string, string]): Job => {
  const applied = applyCommand(job, joinSockets(job, { device: a[0], port: a[1] }, { device: b[0], port: b[1] }));
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  return applied.value.job;
};

describe("a device from nothing but its sockets and what it knows", () => {
  test("is sound in every role", () => {
    const box = deviceFromParts(parts({ role: "box", sockets: [hdmi("IN", "in"), hdmi("OUT", "out")] }), "box");
    expect(breachesOf({ ...emptyJob("x"), devices: [player, bar, screen, box] })).toEqual([]);
  });

  test("plays: player into the bar's own input, bar to the screen", () => {
    let job: Job = { ...emptyJob("x"), devices: [player, screen, bar] };
    job = joined(job, ["player", "socket-1"], ["bar", "socket-1"]);
    job = joined(job, ["bar", "socket-2"], ["screen", "socket-2"]);
    expect(arrivalsOf(job)[0]).toMatchObject({ verdict: "full", arrives: { coding: "eac3", objects: "atmos" }, screen: "screen" });
  });

  test("plays over the return of a screen made the same way, and does not pretend to know the delay", () => {
    let job: Job = { ...emptyJob("x"), devices: [player, screen, bar] };
    job = joined(job, ["player", "socket-1"], ["screen", "socket-1"]);
    job = joined(job, ["bar", "socket-2"], ["screen", "socket-2"]);
    expect(arrivalsOf(job)[0]).toMatchObject({ verdict: "full", delayMs: null });
  });

  test("of unknown sounds leaves the verdict unknown", () => {
    const mute = deviceFromParts(parts({ role: "sound", sockets: [hdmi("IN", "in")], speakers: { bed: "2.0", heights: 0 } }), "bar");
    const streamer = fromShelfOrThrow("streamer-4k", { id: "player" });
    const job = joined({ ...emptyJob("x"), devices: [streamer, mute] }, ["player", "hdmi-out"], ["bar", "socket-1"]);
    expect(arrivalsOf(job)[0]?.verdict).toBe("unknown");
    // Nor is it said to be unable to decode: that is not known either.
    expect(arrivalsOf(job)[0]?.losses.map(({ reason }) => reason.code)).toEqual(["unknown-fact"]);
  });
});
