import { describe, expect, test } from "vitest";
import { made, planned } from "@/demo/room-under-test";
import { demoJob } from "@/demo/demo-jobs";
import { arrivalsOf, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";

const row = (job: Job, ...[player, content]: Row): Arrival => {
  const found = arrivalsOf(job).find((arrival) => arrival.player === player && arrival.content.id === content);
  if (!found) throw new Error(`no row ${player} ${content}`);
  return found;
};
const pathCodes = (arrival: Arrival) => arrival.losses.filter(({ scope }) => scope === "path").map(({ reason }) => reason.code);

/** A player and a content. */
type Row = readonly [player: string, content: string];
const APP: Row = ["television", "series-ddp-atmos"];
const STREAMER: Row = ["streamer", "film-ddp-atmos"];
const DISC: Row = ["disc-player", "film-truehd-atmos"];
const CONSOLE: Row = ["console", "game-mat-atmos"];

describe("Sail Loft, TV with eARC, bar 5.1.2", () => {
  const loft = demoJob("sail-loft");

  test.each([
    [APP, "eac3"],
    [STREAMER, "eac3"],
    [DISC, "truehd"],
    [CONSOLE, "mat"],
  ])("over eARC %s arrives whole as %s with objects", (one, coding) => {
    const arrival = row(loft, ...one);
    expect(arrival).toMatchObject({
      verdict: "full",
      arrives: { coding, objects: "atmos" },
      plays: { layout: "5.1.2", upmixed: false },
      losses: [],
    });
  });

  test("a DTS disc through a TV that passes no DTS is decoded by the player and arrives whole", () => {
    // eARC lists LPCM 7.1, so `auto` decodes 5.1; nothing of the lossless master is lost.
    expect(row(loft, "disc-player", "concert-dts-hd-ma")).toMatchObject({
      verdict: "full",
      arrives: { coding: "lpcm", channels: "5.1", lossless: true, generations: 0 },
    });
  });

  describe("eARC off at the TV", () => {
    const job = made(loft, planned("television", "earc", "off"));

    test("Dolby Digital Plus with objects still fits ARC", () => {
      expect(row(job, ...APP).verdict).toBe("full");
      expect(row(job, ...STREAMER).verdict).toBe("full");
    });

    test("TrueHD falls to the disc's AC-3 track, lost at the return channel: needs 24.576, has 6.144 Mb/s", () => {
      const disc = row(job, ...DISC);
      expect(disc).toMatchObject({
        verdict: "reduced",
        arrives: { coding: "ac3", channels: "5.1", objects: "none", lossless: false, generations: 1 },
      });
      const [loss] = disc.losses;
      expect(loss?.reason).toEqual({
        code: "link-capacity",
        link: "arc",
        coding: "truehd",
        need: 24.576,
        have: 6.144,
        unit: "Mb/s",
        because: [{ code: "earc-off", device: "television" }],
      });
      expect(disc.hops[loss?.hop ?? -1]).toMatchObject({ device: "bar", cable: "bar-tv", link: "arc" });
    });

    test("the console in the bar's own input is untouched", () => expect(row(job, ...CONSOLE)).toEqual(row(loft, ...CONSOLE)));
  });

  test("a cable with the single return wire does the same, with its own reason", () => {
    const job = made(loft, { kind: "edit-cable", cable: "bar-tv", fields: { returnWires: "arc" } });
    const disc = row(job, ...DISC);
    expect(disc.arrives).toMatchObject({ coding: "ac3", channels: "5.1" });
    expect(disc.losses[0]?.reason).toMatchObject({ code: "link-capacity", because: [{ code: "pair-missing", cable: "bar-tv" }] });
    expect(row(job, ...STREAMER).verdict).toBe("full");
  });

  test("a cable without any return wire silences all that comes through the TV, and only that", () => {
    const job = made(loft, { kind: "edit-cable", cable: "bar-tv", fields: { returnWires: "none" } });
    for (const one of [APP, STREAMER, DISC]) {
      expect(row(job, ...one).verdict).toBe("silent");
      expect(pathCodes(row(job, ...one))).toEqual(["no-return-wire"]);
    }
    expect(row(job, ...CONSOLE).verdict).toBe("full");
  });

  test("TV output PCM: app, streamer and disc arrive as LPCM 2.0, lost at the TV's setting; the console stays whole", () => {
    const job = made(loft, planned("television", "digital-output", "pcm"));
    for (const one of [APP, STREAMER, DISC]) {
      const arrival = row(job, ...one);
      expect(arrival).toMatchObject({ verdict: "reduced", arrives: { coding: "lpcm", channels: "2.0" } });
      expect(arrival.losses[0]?.reason).toMatchObject({
        code: "format-setting",
        device: "television",
        setting: "digital-output",
        value: "pcm",
      });
    }
    expect(row(job, ...CONSOLE).verdict).toBe("full");
  });

  test("CEC off at the TV changes nothing of the sound with eARC; only the TV's remote no longer moves the bar", () => {
    const board = arrivalsOf(made(loft, planned("television", "cec", "off")));
    expect(board.map((one) => ({ ...one, volume: null, cautions: [] }))).toEqual(
      arrivalsOf(loft).map((one) => ({ ...one, volume: null, cautions: [] })),
    );
    expect(row(loft, ...STREAMER).volume).toEqual({ by: "screen-remote", device: "bar" });
    expect(board.find(({ player }) => player === "streamer")?.volume).toEqual({ by: "own-remote", device: "bar" });
    // The loft's household wishes one remote, and this would be another.
    expect(arrivalsOf(loft).flatMap(({ cautions }) => cautions)).toEqual([]);
    for (const { cautions } of board) expect(cautions).toEqual([{ code: "one-more-remote", device: "bar" }]);
  });

  test("CEC off at either end silences ARC, because ARC is started over CEC", () => {
    for (const device of ["television", "bar"]) {
      const job = made(loft, planned("television", "earc", "off"), planned(device, "cec", "off"));
      for (const one of [APP, STREAMER, DISC]) {
        expect(row(job, ...one).verdict).toBe("silent");
        expect(row(job, ...one).losses[0]?.reason).toMatchObject({ code: "return-off", setting: "cec", device });
      }
      expect(row(job, ...CONSOLE).verdict).toBe("full");
    }
  });

  test("TV speakers chosen: the bar is silent, the TV plays, and it is said so", () => {
    const job = made(loft, planned("television", "speakers", "own"));
    const streamer = row(job, ...STREAMER);
    expect(streamer).toMatchObject({ verdict: "silent", screenSpeakers: { layout: "2.0" } });
    expect(pathCodes(streamer)).toEqual(["speakers-choice"]);
    expect(row(job, ...CONSOLE).verdict).toBe("full");
  });

  test("TV output Dolby Digital codes the streamer's sound a second time", () => {
    const job = made(loft, planned("television", "digital-output", "dolby-digital"));
    expect(row(job, ...STREAMER)).toMatchObject({
      verdict: "reduced",
      arrives: { coding: "ac3", channels: "5.1", generations: 2, lineage: "re-encoded" },
    });
  });

  test("player set to PCM keeps the channels and loses the objects, at the player", () => {
    const job = made(loft, planned("disc-player", "player-audio", "pcm"));
    const disc = row(job, ...DISC);
    expect(disc).toMatchObject({ verdict: "reduced", arrives: { coding: "lpcm", channels: "7.1", lossless: true } });
    expect(disc.losses[0]).toMatchObject({ hop: 0, reason: { code: "format-setting", device: "disc-player" } });
  });

  test("sound way and picture way add their delays; lip sync is their difference, late positive", () => {
    // Bar 22 ms + TV hand-on 18 ms = 40 ms of sound; the TV's picture takes 55 ms: sound 15 ms early.
    expect(row(loft, ...DISC)).toMatchObject({ delayMs: 40, lipSyncMs: -15, lipSync: "in-step" });
  });

  test("as found, planned settings do not count yet", () => {
    const job = made(loft, planned("television", "earc", "off"));
    expect(arrivalsOf(job, "found")).toEqual(arrivalsOf(loft));
  });
});

describe("Flat 4B, TV without return, bar whose only input is eARC", () => {
  const flat = demoJob("flat-4b");

  test("is silent at the bar; the reason names the missing return channel, and the TV's speakers play", () => {
    for (const arrival of arrivalsOf(flat)) {
      expect(arrival).toMatchObject({ verdict: "silent", arrives: null, plays: null, screenSpeakers: { layout: "2.0" } });
      expect(arrival.losses[0]?.reason).toEqual({ code: "no-return-socket", device: "television", port: "hdmi3" });
    }
  });

  test("stays silent whatever any setting says", () => {
    for (const device of flat.devices) {
      for (const { key, options } of device.settings) {
        for (const value of options) {
          const board = arrivalsOf(made(flat, planned(device.id, key, value)));
          expect(board.map(({ verdict }) => verdict)).toEqual(board.map(() => "silent"));
          for (const arrival of board) expect(pathCodes(arrival)).toContain("no-return-socket");
        }
      }
    }
  });

  test("TV speakers are mute once the TV is set to leave sound to a sound system", () => {
    expect(row(made(flat, planned("television", "speakers", "external")), ...STREAMER).screenSpeakers).toBeNull();
  });
});

describe("a projector with no sound path", () => {
  const attic = demoJob("attic-screen");

  test("streamer in the bar, bar out to the projector: whole sound, whole picture", () => {
    const arrival = row(attic, ...STREAMER);
    expect(arrival).toMatchObject({ verdict: "full", screen: "projector", picture: { mode: "3840x2160@60", hdr: "hdr10" } });
    expect(arrival.pictureLosses).toEqual([]);
  });

  test("the same streamer in the projector is silent, for want of a return channel", () => {
    const job = made(
      attic,
      { kind: "unplug", cable: "streamer-bar" },
      {
        kind: "plug",
        at: null,
        cable: {
          id: "direct",
          from: { device: "streamer", port: "hdmi-out" },
          to: { device: "projector", port: "hdmi2" },
          class: "premium-high-speed",
          lengthM: 1,
          direction: "either",
          backwards: false,
          miswired: false,
          state: "sound",
          returnWires: "arc",
          controlWire: true,
          label: "",
          tags: { from: "", to: "" },
          supply: "there",
        },
      },
    );
    expect(row(job, ...STREAMER)).toMatchObject({ verdict: "silent", screen: "projector", screenSpeakers: null });
    expect(row(job, ...STREAMER).losses[0]?.reason).toMatchObject({ code: "no-return-socket", device: "projector" });
  });

  test("sound without a picture is said so", () => {
    const job = made(attic, { kind: "unplug", cable: "bar-projector" });
    expect(row(job, ...STREAMER)).toMatchObject({ verdict: "no-picture", screen: null });
    expect(row(job, "streamer", "music-lpcm").verdict).toBe("full");
  });
});

describe("Receiver Den, sound hub with ARC back from the TV", () => {
  const den = demoJob("receiver-den");

  test("every row is whole: players direct, TV app as Dolby Digital Plus over ARC", () => {
    for (const arrival of arrivalsOf(den)) expect(arrival.verdict).toBe("full");
    expect(row(den, ...APP).arrives).toMatchObject({ coding: "eac3", objects: "atmos" });
  });

  test("ARC off at the TV leaves the players and silences the TV's own", () => {
    const job = made(den, planned("television", "arc", "off"));
    expect(row(job, ...APP).losses[0]?.reason).toMatchObject({ code: "return-off", setting: "arc", device: "television" });
    expect(row(job, ...DISC).verdict).toBe("full");
  });
});
