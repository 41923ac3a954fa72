import { describe, expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import type { Job } from "@/core/job";
import { setWords } from "@/core/text";
import { cableByHand, hdmiByHand, jobByHand, playerByHand } from "@/demo/by-hand-under-test";
import { smallestChanges } from "./smallest-changes";

const PICTURE = { mode: "3840x2160@24", depth: 8, chroma: "420", hdr: "sdr", protected: true };
const PLAIN = { ...PICTURE, mode: "1920x1080@24", protected: false };

/** A player with one content in Dolby Digital. */
const player = (id: string, picture: object) => playerByHand(id, { coding: "ac3", channels: "5.1" }, picture);
const screen = (id: string, hdcp: "none" | "2.2" = "2.2") => ({
  id,
  name: id,
  role: "screen",
  ports: [hdmiByHand("in", "in", { hdcp })],
  display: { maxMode: "3840x2160@60", hdr: [], delayMs: 20, gameDelayMs: 10 },
  routes: [{ kind: "picture", from: ["in"], to: ["display"] }],
  presents: [{ rule: "list", ports: ["in"], sound: [{ coding: "ac3", channels: "5.1" }] }],
});
const RECEIVER = {
  id: "receiver",
  name: "receiver",
  role: "sound",
  ports: [hdmiByHand("good", "in"), hdmiByHand("plain", "in", { hdcp: "1.4", maxGbps: 10.2 }), hdmiByHand("monitor", "out")],
  decodes: [
    { coding: "lpcm", channels: "5.1" },
    { coding: "ac3", channels: "5.1" },
  ],
  speakers: { bed: "5.1", delayMs: 10 },
  routes: [
    { kind: "sound", from: ["good", "plain"], to: ["speakers"] },
    { kind: "picture", from: ["good", "plain"], to: ["monitor"] },
  ],
  presents: [{ rule: "decoders", ports: ["good", "plain"] }],
};

const jobOf = (devices: readonly object[], cables: readonly object[]): Job =>
  jobByHand({ name: "Making room", brief: { soundSystem: "receiver" }, devices, cables });

describe("a player that is not plugged in yet", () => {
  const cables = [cableByHand("box out", "receiver good"), cableByHand("receiver monitor", "tv in")];
  const job = jobOf([player("box", PLAIN), player("streamer", PICTURE), screen("tv"), RECEIVER], cables);

  test("is given the one socket with HDCP 2.2, and the player that does without makes room for it", () => {
    // What has to move has lost nothing itself, so no row of it asks for that.
    const [box] = arrivalsOf(job);
    expect(box).toMatchObject({ player: "box", verdict: "full", pictureLosses: [] });
    const smallest = smallestChanges(job);
    expect(setWords(job, smallest)).toContain("Move box to receiver “plain”");
    expect(smallest.best.after.map(({ verdict, picture }) => `${verdict} ${picture?.mode ?? "-"}`)).toEqual([
      "full 1920x1080@24",
      "full 3840x2160@24",
    ]);
    expect(smallest.proof).toBe("every-row");
  });

  test("is given it although two others have to move up, each into the socket that the next one leaves", () => {
    // Open 2160p60 needs the rate of the middle socket, 1080p none of it; only the good one has HDCP 2.2.
    const three = {
      ...RECEIVER,
      ports: [
        hdmiByHand("good", "in"),
        hdmiByHand("middle", "in", { hdcp: "1.4" }),
        hdmiByHand("plain", "in", { hdcp: "1.4", maxGbps: 10.2 }),
        hdmiByHand("monitor", "out"),
      ],
      routes: [
        { kind: "sound", from: ["good", "middle", "plain"], to: ["speakers"] },
        { kind: "picture", from: ["good", "middle", "plain"], to: ["monitor"] },
      ],
      presents: [{ rule: "decoders", ports: ["good", "middle", "plain"] }],
    };
    const game = { ...PICTURE, mode: "3840x2160@60", chroma: "444", protected: false };
    const room = jobOf(
      [player("console", game), player("box", PLAIN), player("streamer", PICTURE), screen("tv"), three],
      [cableByHand("console out", "receiver good"), cableByHand("box out", "receiver middle"), cableByHand("receiver monitor", "tv in")],
    );
    const { best, proof } = smallestChanges(room);
    expect(best.after.map(({ player: id, hops }) => `${id} ${hops[1]?.port ?? "-"}`)).toEqual([
      "console middle",
      "box plain",
      "streamer good",
    ]);
    expect(best.after.every(({ verdict, pictureLosses }) => verdict === "full" && pictureLosses.length === 0)).toBe(true);
    expect(proof).toBe("every-row");
  });

  test("takes the plain socket where nobody can make room", () => {
    const full = jobOf(
      [player("box", PICTURE), player("streamer", PICTURE), screen("tv"), RECEIVER],
      [cableByHand("box out", "receiver good"), cableByHand("receiver monitor", "tv in")],
    );
    const { best, proof } = smallestChanges(full);
    expect(best.after.map(({ picture }) => picture?.mode ?? "-")).toEqual(["3840x2160@24", "1920x1080@24"]);
    expect(proof).toBe("best-together");
  });
});

describe("a picture that stays black on the screen that it reaches", () => {
  test("may come to light on another one that a player without contents gives up, and that is counted", () => {
    const job = jobOf(
      [
        { ...player("box", PLAIN), sources: [{ id: "own", name: "own", kind: "media", contents: [] }] },
        player("streamer", PICTURE),
        screen("old", "none"),
        screen("new"),
        { ...RECEIVER, ports: [hdmiByHand("monitor", "out")], routes: [], presents: [] },
      ],
      [cableByHand("streamer out", "old in"), cableByHand("box out", "new in")],
    );
    const [black] = arrivalsOf(job);
    expect(black).toMatchObject({ player: "streamer", screen: "old", picture: null });
    const { best } = smallestChanges(job, { kinds: ["plug"] });
    expect(best.after.map(({ player: id, screen: shown, picture }) => `${id} ${shown ?? "-"} ${picture?.mode ?? "black"}`)).toEqual([
      "streamer new 3840x2160@24",
    ]);
    expect(best.pictureLowers).toEqual([]);
  });
});
