import { describe, expect, test } from "vitest";
import type { Job } from "@/core/job";
import { present } from "@/core/outcome";
import { planProof } from "@/core/text";
import { cableByHand, hdmiByHand, jobByHand } from "@/demo/by-hand-under-test";
import { device, room } from "@/demo/room-under-test";
import { PRESETS } from "../evaluation";
import { wiringSpace } from "../space";
import { effortOf } from "./check";
import { checkedPlans } from "./checked-plans";

const WEIGHTS = PRESETS["best-sound"];
const spaceOf = (job: Job) => present(wiringSpace(job, { boxes: [] }), "something to plan");

describe("a setting that nobody has looked at", () => {
  const found = room(
    [device("tv-earc", "tv"), device("bar-one-input", "bar"), device("streamer-4k", "streamer")],
    "streamer hdmi-out > tv hdmi1",
    "bar hdmi-out > tv hdmi3",
  );
  const unknown: Job = {
    ...found,
    devices: found.devices.map((one) => ({ ...one, settings: one.settings.map((row) => ({ ...row, found: null })) })),
  };

  test("is looked at whatever is planned, so leaving it alone is no better than the plan, which stays proven", () => {
    const { plans, proven } = checkedPlans(spaceOf(unknown), WEIGHTS, { onlyBest: true });
    expect(proven).toBe(true);
    const plan = present(plans[0], "a plan").job;
    const space = spaceOf(unknown);
    const left: Job = {
      ...plan,
      devices: plan.devices.map((one) => ({
        ...one,
        settings: one.settings.map((row) => (row.key === "decode-mode" ? { ...row, planned: null } : row)),
      })),
    };
    expect(effortOf(space, left).minutes).toBe(effortOf(space, plan).minutes);
  });

  test("of a player that is unplugged is looked at by nobody", () => {
    const space = spaceOf(unknown);
    const without: Job = { ...unknown, cables: unknown.cables.filter(({ from }) => from.device !== "streamer") };
    const own = unknown.devices.find(({ id }) => id === "streamer")?.settings.length ?? 0;
    expect(own).toBeGreaterThan(0);
    expect(effortOf(space, without).minutes).toBeLessThan(effortOf(space, unknown).minutes + 1);
  });
});

describe("a room that is worth more as it was found than anything the search lays out", () => {
  const film = {
    id: "film",
    name: "film",
    kind: "film",
    tracks: [{ coding: "ac3", channels: "5.1" }],
    picture: { mode: "1920x1080@24", depth: 8, chroma: "420", hdr: "sdr", protected: false },
  };
  const SOUND = [{ coding: "ac3", channels: "5.1" }];

  test("leaves no plan proven: a projector hands sound on by an HDMI output of its own, which no way of wiring uses", () => {
    const job = jobByHand({
      name: "Loop-through",
      brief: { soundSystem: "bar", mayBuy: [] },
      devices: [
        {
          id: "player",
          name: "Player",
          role: "player",
          ports: [hdmiByHand("out", "out")],
          sources: [{ id: "disc", name: "disc", kind: "media", contents: [film] }],
          routes: [
            { kind: "sound", from: ["disc"], to: ["out"], passes: SOUND },
            { kind: "picture", from: ["disc"], to: ["out"] },
          ],
        },
        {
          id: "projector",
          name: "Projector",
          role: "screen",
          ports: [hdmiByHand("in", "in"), hdmiByHand("through", "out")],
          display: { maxMode: "3840x2160@60", hdr: [], delayMs: 20, gameDelayMs: 10 },
          routes: [
            { kind: "picture", from: ["in"], to: ["display"] },
            { kind: "sound", from: ["in"], to: ["through"], passes: SOUND, blind: true },
          ],
          presents: [{ rule: "list", ports: ["in"], sound: SOUND }],
        },
        {
          id: "bar",
          name: "Bar",
          role: "sound",
          ports: [hdmiByHand("in", "in")],
          decodes: SOUND,
          speakers: { bed: "5.1", delayMs: 10 },
          routes: [{ kind: "sound", from: ["in"], to: ["speakers"] }],
          presents: [{ rule: "decoders", ports: ["in"] }],
        },
      ],
      cables: [cableByHand("player out", "projector in"), cableByHand("projector through", "bar in")],
    });
    const found = checkedPlans(spaceOf(job), WEIGHTS);
    expect(found.proven).toBe(false);
    expect(found.gap).toBeGreaterThan(0);
    expect(found.leftOut).toEqual({ standing: [], screens: ["Projector"] });
  });
});

test("a proof names what no way of wiring touches: a second sound system stays as it was found", () => {
  const two = room(
    [device("tv-earc", "tv"), device("bar-one-input", "bar"), device("receiver-51", "cinema"), device("streamer-4k", "streamer")],
    "streamer hdmi-out > tv hdmi1",
    "bar hdmi-out > tv hdmi3",
  );
  const found = checkedPlans(spaceOf({ ...two, brief: { ...two.brief, soundSystem: "bar" } }), WEIGHTS, { onlyBest: true });
  expect(found.leftOut.standing).toEqual(["cinema"]);
  expect(planProof({ ...found, proven: true, beyond: 0, gap: 0 })).toContain("with the boxes at hand, with cinema left as found");
});
