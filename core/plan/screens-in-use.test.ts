import { describe, expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import type { Job } from "@/core/job";
import { cableByHand, hdmiByHand, jobByHand, playerByHand } from "@/demo/by-hand-under-test";
import { weighedChanges } from "./single-changes";
import { commandOf, smallestChanges } from "./smallest-changes";
import { made } from "@/demo/room-under-test";

const PICTURE = { mode: "1920x1080@24", depth: 8, chroma: "420", hdr: "sdr", protected: false };
const player = (id: string) => playerByHand(id, { coding: "lpcm", channels: "2.0" }, PICTURE);
/** A screen with a speaker of its own, so that what is plugged into it sounds too. */
const screen = (id: string) => ({
  id,
  name: id,
  role: "screen",
  ports: [hdmiByHand("in", "in"), hdmiByHand("in2", "in")],
  display: { maxMode: "3840x2160@60", hdr: [], delayMs: 20, gameDelayMs: 10 },
  decodes: [{ coding: "lpcm", channels: "2.0" }],
  speakers: { bed: "2.0", delayMs: 0 },
  routes: [
    { kind: "picture", from: ["in", "in2"], to: ["display"] },
    { kind: "sound", from: ["in", "in2"], to: ["speakers"] },
  ],
  presents: [{ rule: "decoders", ports: ["in", "in2"] }],
});
const RECEIVER = {
  id: "receiver",
  name: "receiver",
  role: "sound",
  ports: [hdmiByHand("in", "in"), hdmiByHand("first", "out"), hdmiByHand("second", "out")],
  decodes: [{ coding: "lpcm", channels: "5.1" }],
  speakers: { bed: "5.1", delayMs: 10 },
  routes: [
    { kind: "sound", from: ["in"], to: ["speakers"] },
    { kind: "picture", from: ["in"], to: ["first", "second"] },
  ],
  presents: [{ rule: "decoders", ports: ["in"] }],
};

const roomOf = (players: readonly string[], cables: readonly object[]): Job =>
  jobByHand({
    name: "Two screens",
    brief: { soundSystem: "receiver" },
    devices: [...players.map(player), screen("tv"), screen("projector"), RECEIVER],
    cables: [cableByHand("disc out", "receiver in"), cableByHand("receiver first", "tv in"), ...cables],
  });
const shown = (job: Job) => arrivalsOf(job).flatMap((row) => (row.picture ? [`${row.player} on ${row.screen}`] : []));

describe("a receiver with a free second output", () => {
  const beside = roomOf(["disc", "camera"], [cableByHand("camera out", "projector in")]);

  test("a projector that something else is plugged into is dark for the disc: a cable from that output lights it", () => {
    expect(shown(beside)).toEqual(["disc on tv", "camera on projector"]);
    const { best } = smallestChanges(beside);
    expect(best.changes.map(({ kind }) => kind)).toEqual(["cable"]);
    expect(shown(made(beside, commandOf(best)))).toContain("disc on projector");
  });

  test("a projector that nothing is plugged into is not in use yet: no row is said to be low for it, and a cable to it is still listed", () => {
    const spare = roomOf(["disc"], []);
    expect(smallestChanges(spare)).toMatchObject({ best: { changes: [] }, proof: "every-row" });
    expect(weighedChanges(spare).some(({ kind, pictureLifts }) => kind === "cable" && pictureLifts.length > 0)).toBe(true);
  });
});
