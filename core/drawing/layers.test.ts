import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made, planned } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import type { Job } from "@/core/job";
import { LAYERS, layerOf } from "./layers";

const loft = demoJob("sail-loft");
const rowOf = (job: Job, id: string) => {
  const row = solve(job, "planned").rows.find((one) => one.id === id);
  if (!row) throw new Error(`no row ${id}`);
  return row;
};
const DISC = "disc-player/disc/film-truehd-atmos";

describe("the layers of the map", () => {
  test("say nothing of a row that is not chosen, but control is there without one", () => {
    for (const key of LAYERS) {
      const { cables, plates, sockets } = layerOf(loft, null, key);
      expect([plates.size, key === "control" || cables.size + sockets.size === 0]).toEqual([0, true]);
    }
    expect(layerOf(loft, null, "control").cables.get("bar-tv")?.line).toBe("lit");
  });

  test("sound runs along the row's own way, and the delay that has gathered never falls", () => {
    const { cables } = layerOf(loft, rowOf(loft, DISC), "sound");
    expect([...cables.keys()]).toEqual(["disc-tv", "bar-tv"]);
    for (const { line, stream } of cables.values()) expect([line, stream?.coding]).toEqual(["strings", "truehd"]);
    const delays = [...cables.values()].map(({ words }) => Number.parseInt(words ?? "", 10));
    expect(delays[1]).toBeGreaterThanOrEqual(delays[0] ?? Infinity);
  });

  test("a cable that carries nothing of the row is drawn as lost", () => {
    const off = made(loft, planned("television", "earc", "off"), planned("television", "cec", "off"));
    const { cables } = layerOf(off, rowOf(off, DISC), "sound");
    expect(cables.get("bar-tv")).toMatchObject({ line: "lost", stream: null, words: null });
  });

  test("picture is told at the input of each cable, in figures and as a sentence", () => {
    const { cables, sockets } = layerOf(loft, rowOf(loft, DISC), "picture");
    expect([...cables.keys()]).toEqual(["disc-tv"]);
    const into = loft.cables.find(({ id }) => id === "disc-tv")?.to;
    const told = sockets.get(`${into?.device ?? ""} ${into?.port ?? ""}`);
    expect(told?.words).toMatch(/^\d+\.\d+ of \d+\.\d+\u2009Gb\/s$/);
    expect(told?.sentence).toBe(`The picture needs ${told?.words ?? ""} here`);
  });

  test("control that stops is lost at its cable and told at the socket it goes into", () => {
    const off = made(loft, planned("television", "cec", "off"));
    const { cables, sockets } = layerOf(off, null, "control");
    expect(cables.get("bar-tv")?.line).toBe("lost");
    expect(sockets.get("television hdmi3")).toEqual({
      words: "CEC off",
      sentence: "Television has CEC off, so it neither sends nor obeys HDMI control.",
    });
  });

  test("power stands on the plates that the row passes, and on no other", () => {
    const { plates } = layerOf(loft, rowOf(loft, DISC), "power");
    expect([...plates.keys()].sort()).toEqual(["bar", "disc-player", "television"]);
    for (const words of plates.values()) expect(words).toBe("must be on");
  });
});
