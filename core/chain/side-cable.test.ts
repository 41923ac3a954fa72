import { describe, expect, test } from "vitest";
import { arrivalsOf, type Arrival } from "@/core/chain";
import { smallestChanges } from "@/core/plan";
import { cableByHand, jobByHand } from "@/demo/by-hand-under-test";

const socket = (id: string, connector: string, direction: "in" | "out") => ({ id, label: id, connector, direction });
const lead = (from: string, to: string, kind: string) => cableByHand(from, to, { class: kind, lengthM: 1, returnWires: "none" });
const FILM = { id: "film", name: "film", kind: "film", tracks: [{ coding: "ac3", channels: "5.1" }] };
const MUSIC = { id: "music", name: "music", kind: "music", tracks: [{ coding: "lpcm", channels: "2.0" }] };

/** A player with a film in Dolby Digital and music in LPCM, its digital output under a format setting. */
const player = (format: string) => ({
  id: "player",
  name: "Player",
  role: "player",
  ports: [socket("optical-out", "optical", "out"), socket("rca-out", "rca", "out")],
  sources: [{ id: "disc", name: "disc", kind: "media", contents: [FILM, MUSIC] }],
  decodes: [{ coding: "ac3", channels: "5.1" }],
  routes: [
    {
      kind: "sound",
      from: ["disc"],
      to: ["optical-out", "rca-out"],
      passes: [{ coding: "ac3", channels: "5.1" }],
      lpcm: "2.0",
      encodes: ["ac3"],
      format: "player-audio",
    },
  ],
  settings: [{ key: "player-audio", options: ["auto", "bitstream", "pcm", "dolby-digital"], found: format }],
});
/** A pair of powered speakers: RCA and Bluetooth, no decoder. */
const SPEAKERS = {
  id: "speakers",
  name: "Powered speakers",
  role: "sound",
  ports: [socket("rca-in", "rca", "in"), socket("bluetooth-in", "bluetooth", "in")],
  decodes: [
    { coding: "analogue", channels: "2.0" },
    { coding: "lpcm", channels: "2.0" },
  ],
  speakers: { bed: "2.0" },
  routes: [{ kind: "sound", from: ["rca-in", "bluetooth-in"], to: ["speakers"] }],
};

const jobOf = (devices: readonly object[], cables: readonly object[]) =>
  jobByHand({ name: "Side cable", brief: { soundSystem: "speakers" }, devices, cables });
const words = ({ content, verdict, arrives }: Arrival) =>
  `${content.id} ${verdict} ${arrives ? `${arrives.coding} ${arrives.channels} ${String(arrives.generations)}` : "nothing"}`;

describe("an analogue lead", () => {
  const straight = (format: string) => jobOf([player(format), SPEAKERS], [lead("player rca-out", "speakers rca-in", "rca-pair")]);

  test.each(["auto", "bitstream", "pcm", "dolby-digital"])("has decoded stereo whatever the digital output is set to: %s", (format) => {
    expect(arrivalsOf(straight(format)).map(words)).toEqual(["film full analogue 2.0 1", "music full analogue 2.0 0"]);
  });

  test("has nothing of a film that the player cannot decode", () => {
    const job = jobOf([{ ...player("auto"), decodes: [] }, SPEAKERS], [lead("player rca-out", "speakers rca-in", "rca-pair")]);
    const [film] = arrivalsOf(job);
    expect(film?.verdict).toBe("silent");
    expect(film?.losses[0]).toMatchObject({ reason: { code: "cannot-decode", device: "player", coding: "ac3" }, scope: "path" });
  });
});

describe("a box that takes sound off", () => {
  /** Its chip hands everything on to optical and RCA alike; there is no decoder in it. */
  const box = {
    id: "box",
    name: "Box",
    role: "box",
    ports: [socket("optical-in", "optical", "in"), socket("optical-out", "optical", "out"), socket("rca-out", "rca", "out")],
    decodes: [{ coding: "lpcm", channels: "2.0" }],
    routes: [
      {
        kind: "sound",
        from: ["optical-in"],
        to: ["optical-out", "rca-out"],
        passes: [{ coding: "ac3", channels: "5.1" }],
        lpcm: "2.0",
        blind: true,
      },
    ],
  };
  const behind = (format: string) =>
    jobOf(
      [player(format), box, SPEAKERS],
      [lead("player optical-out", "box optical-in", "optical"), lead("box rca-out", "speakers rca-in", "rca-pair")],
    );

  test("is silent on RCA for Dolby Digital, though it passes that by optical: without a decoder a coding is no sound", () => {
    const rows = arrivalsOf(behind("auto"));
    expect(rows.map(words)).toEqual(["film silent nothing", "music full analogue 2.0 0"]);
    expect(rows[0]?.losses[0]?.reason).toEqual({ code: "cannot-decode", device: "box", coding: "ac3" });
  });

  test("sounds once the player decodes, and that is the smallest change", () => {
    expect(arrivalsOf(behind("pcm")).map(words)).toEqual(["film full analogue 2.0 1", "music full analogue 2.0 0"]);
    const { best } = smallestChanges(behind("auto"));
    expect(best.changes).toMatchObject([{ kind: "setting", command: { device: "player", setting: "player-audio", value: "pcm" } }]);
  });
});

describe("Bluetooth behind an optical lead", () => {
  const sender = {
    id: "sender",
    name: "Sender",
    role: "box",
    ports: [socket("optical-in", "optical", "in"), socket("bluetooth-out", "bluetooth", "out")],
    decodes: [{ coding: "lpcm", channels: "2.0" }],
    routes: [
      {
        kind: "sound",
        from: ["optical-in"],
        to: ["bluetooth-out"],
        passes: [{ coding: "ac3", channels: "5.1" }],
        lpcm: "2.0",
        blind: true,
      },
    ],
  };
  const paired = (format: string) =>
    jobOf(
      [player(format), sender, SPEAKERS],
      [lead("player optical-out", "sender optical-in", "optical"), lead("sender bluetooth-out", "speakers bluetooth-in", "bluetooth")],
    );

  test("codes once more with loss: the first time for music, the second for a film", () => {
    expect(arrivalsOf(paired("pcm")).map(words)).toEqual(["film reduced lpcm 2.0 2", "music reduced lpcm 2.0 1"]);
  });

  test("takes decoded sound alone, also where its maker says that Dolby Digital passes", () => {
    expect(arrivalsOf(paired("auto")).map(words)).toEqual(["film silent nothing", "music reduced lpcm 2.0 1"]);
  });
});

describe("boxes that could be plugged in a ring", () => {
  const box = (id: string, from: string, to: string) => ({
    id,
    name: id,
    role: "box",
    ports: [socket(`${from}-in`, from, "in"), socket(`${to}-out`, to, "out")],
    decodes: [
      { coding: "analogue", channels: "2.0" },
      { coding: "lpcm", channels: "2.0" },
    ],
    routes: [{ kind: "sound", from: [`${from}-in`], to: [`${to}-out`], lpcm: "2.0" }],
  });

  test("code no stream again for ever where a change may plug them", () => {
    const job = jobOf(
      [player("auto"), box("sender", "rca", "bluetooth"), box("receiver", "bluetooth", "rca"), SPEAKERS],
      [
        lead("player rca-out", "sender rca-in", "rca-pair"),
        lead("sender bluetooth-out", "receiver bluetooth-in", "bluetooth"),
        lead("receiver rca-out", "speakers rca-in", "rca-pair"),
      ],
    );
    const { best, proof } = smallestChanges(job);
    expect(arrivalsOf(job).map(words)).toEqual(["film reduced analogue 2.0 2", "music reduced analogue 2.0 1"]);
    // Its own lead straight into the speakers needs no radio.
    expect(best.after.map(({ verdict }) => verdict)).toEqual(["full", "full"]);
    expect(proof).toBe("every-row");
  });
});
