import { describe, expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import { readJob, type Job } from "@/core/job";
import { setWords } from "@/core/text";
import { smallestChanges } from "./smallest-changes";

const hdmi = (id: string, direction: "in" | "out", hdcp: "none" | "1.4" | "2.2" = "2.2", maxGbps = 18) => ({
  id,
  label: id,
  connector: "hdmi",
  direction,
  maxGbps,
  hdcp,
  returns: "none",
});
const PICTURE = { mode: "3840x2160@24", depth: 8, chroma: "420", hdr: "sdr", protected: true };
const PLAIN = { ...PICTURE, mode: "1920x1080@24", protected: false };

/** A player with one content in Dolby Digital. */
const player = (id: string, picture: object) => ({
  id,
  name: id,
  role: "player",
  ports: [hdmi("out", "out")],
  sources: [
    {
      id: "own",
      name: "own",
      kind: "media",
      contents: [{ id: "film", name: "film", kind: "film", tracks: [{ coding: "ac3", channels: "5.1" }], picture }],
    },
  ],
  routes: [
    { kind: "sound", from: ["own"], to: ["out"], passes: [{ coding: "ac3", channels: "5.1" }] },
    { kind: "picture", from: ["own"], to: ["out"] },
  ],
});
const screen = (id: string, hdcp: "none" | "2.2" = "2.2") => ({
  id,
  name: id,
  role: "screen",
  ports: [hdmi("in", "in", hdcp)],
  display: { maxMode: "3840x2160@60", hdr: [], delayMs: 20, gameDelayMs: 10 },
  routes: [{ kind: "picture", from: ["in"], to: ["display"] }],
  presents: [{ rule: "list", ports: ["in"], sound: [{ coding: "ac3", channels: "5.1" }] }],
});
const RECEIVER = {
  id: "receiver",
  name: "receiver",
  role: "sound",
  ports: [hdmi("good", "in"), hdmi("plain", "in", "1.4", 10.2), hdmi("monitor", "out")],
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
const end = (words: string) => ({ device: words.split(" ")[0], port: words.split(" ")[1] });
const cable = (from: string, to: string) => ({
  id: from.replace(" ", "-"),
  from: end(from),
  to: end(to),
  class: "ultra-high-speed",
  lengthM: 2,
  returnWires: "earc",
});

function jobOf(devices: readonly object[], cables: readonly object[]): Job {
  const read = readJob({ format: "octachord-job", version: 1, name: "Making room", brief: { soundSystem: "receiver" }, devices, cables });
  if (!read.ok) throw new Error(JSON.stringify(read.refusal));
  return read.value;
}

describe("a player that is not plugged in yet", () => {
  const cables = [cable("box out", "receiver good"), cable("receiver monitor", "tv in")];
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
      ports: [hdmi("good", "in"), hdmi("middle", "in", "1.4", 18), hdmi("plain", "in", "1.4", 10.2), hdmi("monitor", "out")],
      routes: [
        { kind: "sound", from: ["good", "middle", "plain"], to: ["speakers"] },
        { kind: "picture", from: ["good", "middle", "plain"], to: ["monitor"] },
      ],
      presents: [{ rule: "decoders", ports: ["good", "middle", "plain"] }],
    };
    const game = { ...PICTURE, mode: "3840x2160@60", chroma: "444", protected: false };
    const room = jobOf(
      [player("console", game), player("box", PLAIN), player("streamer", PICTURE), screen("tv"), three],
      [cable("console out", "receiver good"), cable("box out", "receiver middle"), cable("receiver monitor", "tv in")],
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
      [cable("box out", "receiver good"), cable("receiver monitor", "tv in")],
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
        { ...RECEIVER, ports: [hdmi("monitor", "out")], routes: [], presents: [] },
      ],
      [cable("streamer out", "old in"), cable("box out", "new in")],
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
