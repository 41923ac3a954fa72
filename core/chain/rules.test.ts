import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { findContent, fromShelfOrThrow, type Device } from "@/core/device";
import { arrivalsOf, compareArrivals, listingAt, makeRig, returnChannel } from "@/core/chain";
import { applyCommand, emptyJob, joinSockets, type Job } from "@/core/job";

/** A small room: devices by archetype, joined in pairs of "device port". */
function room(devices: Record<string, string | Device>, cables: readonly (readonly [string, string])[]): Job {
  let job = emptyJob("room");
  for (const [id, what] of Object.entries(devices))
    job.devices.push(typeof what === "string" ? fromShelfOrThrow(what, { id }) : { ...what, id });
  for (const pair of cables) {
    const [a, b] = pair.map((text) => ({ device: text.split(" ")[0] ?? "", port: text.split(" ")[1] ?? "" }));
    if (!a || !b) continue;
    const applied = applyCommand(job, joinSockets(job, a, b));
    if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
    job = applied.value.job;
  }
  return job;
}
const changed = (job: Job, id: string, change: (device: Device) => Device): Job => ({
  ...job,
  devices: job.devices.map((device) => (device.id === id ? change(device) : device)),
});

describe("what a player sees on offer", () => {
  const loft = demoJob("sail-loft");
  const listed = (job: Job, device = "disc-player", port = "hdmi-out") =>
    Object.fromEntries(listingAt(makeRig(job, "planned"), { device, port }).sounds);

  test("behind a TV with eARC: the TV's list widened by what the bar reports and the TV passes, so no DTS", () => {
    const list = listed(loft);
    expect(list).toMatchObject({
      truehd: { channels: "7.1", objects: true },
      mat: { objects: true },
      lpcm: { channels: "7.1" },
      eac3: { objects: true },
    });
    expect(list).not.toHaveProperty("dts-hd-ma");
  });

  test("with eARC off: nothing that ARC could not carry, and LPCM of two channels", () => {
    const off = changed(loft, "television", (tv) => ({
      ...tv,
      settings: tv.settings.map((row) => (row.key === "earc" ? { ...row, planned: "off" } : row)),
    }));
    const list = listed(off);
    expect(list).toMatchObject({ lpcm: { channels: "2.0" }, eac3: { objects: true }, ac3: { channels: "5.1" } });
    expect(list).not.toHaveProperty("truehd");
    expect(list).not.toHaveProperty("mat");
  });

  test("at a bar's own input: the bar's decoders", () => {
    expect(listed(loft, "console")).toMatchObject({ mat: { objects: true }, "dts-hd-ma": { channels: "7.1" } });
  });

  test("on optical nothing is reported: Dolby Digital, DTS and stereo are taken for granted", () => {
    const job = room({ disc: "disc-player-4k", bar: "bar-one-input" }, [["disc optical-out", "bar optical-in"]]);
    expect(Object.keys(listed(job, "disc", "optical-out")).sort()).toEqual(["ac3", "dts", "lpcm"]);
  });

  test("at an empty socket: nothing", () => expect(listed(loft, "disc-player", "optical-out")).toEqual({}));
});

describe("optical", () => {
  test("a disc's TrueHD goes as its AC-3 track, DTS-HD as its core", () => {
    const job = room({ disc: "disc-player-4k", bar: "bar-arc-optical" }, [["disc optical-out", "bar optical-in"]]);
    const [film, concert] = arrivalsOf(job);
    expect(film?.arrives).toMatchObject({ coding: "ac3", channels: "5.1", generations: 1 });
    expect(concert?.arrives).toMatchObject({ coding: "dts", channels: "5.1", generations: 1, lineage: "native" });
  });

  test("Dolby Digital Plus does not fit, so a TV codes its app's sound again as Dolby Digital", () => {
    const job = room({ tv: "tv-earc", bar: "bar-one-input" }, [["tv optical-out", "bar optical-in"]]);
    const app = arrivalsOf(job).find(({ source }) => source === "apps");
    expect(app).toMatchObject({ verdict: "reduced", arrives: { coding: "ac3", generations: 2, lineage: "re-encoded" } });
    expect(app?.losses[0]).toMatchObject({
      hop: 1,
      reason: { code: "link-capacity", link: "optical", coding: "eac3", need: 6.144, have: 3.072 },
    });
  });
});

describe("stereo LPCM of 192 kHz", () => {
  const hires = (player: string, end: readonly [string, string], ...more: readonly (readonly [string, string])[]) => {
    const base = room({ player, tv: "tv-earc", bar: "bar-one-input" }, [end, ...more]);
    const music = findContent("music-hires");
    return changed(base, "player", (device) => ({
      ...device,
      decodes: [...(device.decodes ?? []), { coding: "lpcm", channels: "2.0", objects: false }],
      sources: device.sources.map((source) => ({ ...source, contents: music ? [music] : [] })),
    }));
  };

  test("crosses HDMI and eARC as it is", () => {
    const job = hires("disc-player-4k", ["player hdmi-out", "tv hdmi1"], ["bar hdmi-out", "tv hdmi3"]);
    expect(arrivalsOf(job)[0]).toMatchObject({ verdict: "full", arrives: { sampleRateKHz: 192, lossless: true } });
  });

  test("fills 6.144 Mb/s where ARC is certain of 1.536, so it comes at 48 kHz and is no longer the master's", () => {
    // 192 000 frames of 32 bits are 6.144 Mb/s, 48 000 are 1.536.
    const job = changed(hires("disc-player-4k", ["player hdmi-out", "tv hdmi1"], ["bar hdmi-out", "tv hdmi3"]), "tv", (tv) => ({
      ...tv,
      settings: tv.settings.map((row) => (row.key === "earc" ? { ...row, planned: "off" } : row)),
    }));
    expect(arrivalsOf(job)[0]).toMatchObject({ verdict: "reduced", arrives: { sampleRateKHz: 48, lossless: false, lineage: "resampled" } });
    expect(arrivalsOf(job)[0]?.losses[0]?.reason).toMatchObject({
      code: "link-capacity",
      link: "arc",
      coding: "lpcm",
      need: 6.144,
      have: 1.536,
    });
  });

  test("over optical too", () => {
    const job = hires("disc-player-4k", ["player optical-out", "bar optical-in"]);
    expect(arrivalsOf(job)[0]).toMatchObject({ verdict: "reduced", arrives: { sampleRateKHz: 48 } });
  });
});

describe("the return channel", () => {
  const arcTv = room({ tv: "tv-arc", bar: "bar-one-input" }, [["bar hdmi-out", "tv hdmi1"]]);
  const channelOf = (job: Job) => {
    const [cable] = job.cables;
    if (!cable) throw new Error("no cable");
    return returnChannel(makeRig(job, "planned"), cable);
  };

  test("between eARC and ARC is ARC, and says which socket is the reason", () => {
    expect(channelOf(arcTv)).toEqual({ kind: "open", link: "arc", because: [{ code: "socket-arc-only", device: "tv", port: "hdmi1" }] });
  });

  test("from another socket of the TV than the marked one there is none", () => {
    const job = room({ tv: "tv-earc", bar: "bar-one-input" }, [["bar hdmi-out", "tv hdmi1"]]);
    expect(channelOf(job)).toMatchObject({ kind: "closed", reasons: [{ code: "no-return-socket", device: "tv", port: "hdmi1" }] });
    expect(arrivalsOf(job).find(({ source }) => source === "apps")?.verdict).toBe("silent");
  });

  test("over a cable nobody has looked at is not known, and the verdict is not 'all of it'", () => {
    const job = { ...arcTv, cables: arcTv.cables.map((cable) => ({ ...cable, returnWires: null })) };
    expect(channelOf(job)).toMatchObject({ kind: "unknown", facts: [{ fact: "return-wires", cable: "cable-1" }] });
    const app = arrivalsOf(job).find(({ source }) => source === "apps");
    expect(app).toMatchObject({ verdict: "unknown", losses: [{ reason: { code: "unknown-fact", unknown: { fact: "return-wires" } } }] });
  });
});

describe("a missing fact", () => {
  const base = demoJob("sail-loft");
  const cases: readonly (readonly [string, string, (device: Device) => Device])[] = [
    [
      "whether the TV's socket has a return",
      "return-socket",
      (tv) => ({
        ...tv,
        ports: tv.ports.map((port) => (port.id === "hdmi3" && port.connector === "hdmi" ? { ...port, returns: null } : port)),
      }),
    ],
    [
      "how eARC is set",
      "setting",
      (tv) => ({ ...tv, settings: tv.settings.map((row) => (row.key === "earc" ? { ...row, found: null } : row)) }),
    ],
    [
      "which format the TV is set to",
      "setting",
      (tv) => ({ ...tv, settings: tv.settings.map((row) => (row.key === "digital-output" ? { ...row, found: null } : row)) }),
    ],
    [
      "what the TV passes",
      "passes",
      (tv) => ({
        ...tv,
        routes: tv.routes.map((route) => (route.kind === "sound" && route.to.includes("hdmi3") ? { ...route, passes: null } : route)),
      }),
    ],
    [
      "what the TV lists",
      "listing",
      (tv) => ({ ...tv, presents: tv.presents.map((rule) => (rule.rule === "list" ? { ...rule, sound: null } : rule)) }),
    ],
  ];
  test.each(cases)("%s makes the disc's verdict unknown and is named", (_words, fact, change) => {
    const disc = arrivalsOf(changed(base, "television", change)).find(({ content }) => content.id === "film-truehd-atmos");
    expect(disc?.verdict).toBe("unknown");
    expect(disc?.losses[0]?.reason).toMatchObject({ code: "unknown-fact", unknown: { fact } });
  });

  test("about the TV does not touch the console in the bar", () => {
    for (const [, , change] of cases)
      expect(arrivalsOf(changed(base, "television", change)).find(({ player }) => player === "console")?.verdict).toBe("full");
  });
});

describe("the sound system's own limits", () => {
  test("7.1 on 5.1 speakers is a ceiling and stays whole", () => {
    const job = room({ console: "console-mat", bar: "bar-one-input", tv: "tv-arc" }, [
      ["console hdmi-out", "bar hdmi-in"],
      ["bar hdmi-out", "tv hdmi1"],
    ]);
    const noObjects = changed(job, "bar", (bar) => ({ ...bar, decodes: bar.decodes?.filter(({ coding }) => coding !== "mat") ?? null }));
    const [game] = arrivalsOf(noObjects);
    expect(game).toMatchObject({ verdict: "full", arrives: { coding: "lpcm", channels: "7.1" }, plays: { layout: "5.1" } });
    expect(game?.losses.map(({ reason, scope }) => [reason.code, scope])).toEqual([
      ["no-object-decoder", "ceiling"],
      ["speakers-fewer", "ceiling"],
    ]);
  });

  test.each([
    ["5.1", 0, "5.1", ["no-height-speakers", "speakers-fewer"]],
    ["7.1", 0, "7.1", ["no-height-speakers"]],
    ["5.1", 2, "5.1.2", []],
  ] as const)(
    "7.1 with objects on %s speakers and %i heights plays as %s; what is missing is a ceiling",
    (bed, heights, layout, ceilings) => {
      const joined = room({ disc: "disc-player-4k", receiver: "receiver-72", tv: "tv-earc" }, [
        ["disc hdmi-out", "receiver hdmi-in1"],
        ["receiver hdmi-out", "tv hdmi1"],
      ]);
      const job = changed(joined, "receiver", (receiver) => ({
        ...receiver,
        speakers: { bed, heights, delayMs: receiver.speakers?.delayMs ?? null, later: [] },
      }));
      const film = arrivalsOf(job).find(({ content }) => content.id === "film-truehd-atmos");
      expect(film).toMatchObject({ verdict: "full", arrives: { channels: "7.1", objects: "atmos" }, plays: { layout } });
      expect(film?.losses.map(({ reason, scope }) => [reason.code, scope])).toEqual(ceilings.map((code) => [code, "ceiling"]));
    },
  );

  test("an upmixer fills speakers and restores nothing", () => {
    const job = changed(demoJob("attic-screen"), "bar", (bar) => ({
      ...bar,
      settings: bar.settings.map((row) => (row.key === "upmix" ? { ...row, planned: "on" } : row)),
    }));
    const music = arrivalsOf(job).find(({ content }) => content.id === "music-lpcm");
    expect(music).toMatchObject({ verdict: "full", arrives: { channels: "2.0" }, plays: { layout: "5.1.2", upmixed: true } });
  });
});

describe("where no way leads", () => {
  test("a player with no cable says so", () => {
    const job = room({ streamer: "streamer-4k", bar: "bar-one-input" }, []);
    expect(arrivalsOf(job)[0]).toMatchObject({
      verdict: "silent",
      losses: [{ reason: { code: "not-connected", device: "streamer" }, hop: 0 }],
    });
  });

  test("a TV that nothing joins to the bar is where the sound ends", () => {
    const job = room({ streamer: "streamer-4k", tv: "tv-earc", bar: "bar-one-input" }, [["streamer hdmi-out", "tv hdmi1"]]);
    expect(arrivalsOf(job).find(({ player }) => player === "streamer")?.losses[0]?.reason).toEqual({
      code: "no-way",
      device: "tv",
      to: "bar",
    });
  });

  test("a room without speakers says so", () => {
    const job = room({ streamer: "streamer-4k", p: "projector" }, [["streamer hdmi-out", "p hdmi1"]]);
    expect(arrivalsOf(job)[0]?.losses[0]?.reason).toEqual({ code: "no-sound-system" });
  });

  test("a room with only a TV plays from the TV", () => {
    const job = room({ streamer: "streamer-4k", tv: "tv-no-return" }, [["streamer hdmi-out", "tv hdmi1"]]);
    expect(arrivalsOf(job)[0]).toMatchObject({ system: "tv", plays: { layout: "2.0" } });
  });
});

test("better and worse rows are told apart, and beyond 'all of it' nothing is better", () => {
  const loft = demoJob("sail-loft");
  const [a] = arrivalsOf(loft);
  const silent = arrivalsOf({ ...loft, cables: [] })[0];
  if (!a || !silent) throw new Error("rows expected");
  expect(compareArrivals(a, silent)).toBeGreaterThan(0);
  expect(compareArrivals(silent, a)).toBeLessThan(0);
  expect(compareArrivals(a, a)).toBe(0);
});

describe("what works and is to be minded", () => {
  test("a lead for sound beyond what its kind is certain of: 12 m of plastic fibre, certain to 5", () => {
    const job = room({ disc: "disc-player-4k", bar: "bar-arc-optical" }, [["disc optical-out", "bar optical-in"]]);
    const long = { ...job, cables: job.cables.map((cable) => ({ ...cable, lengthM: 12 })) };
    expect(arrivalsOf(job)[0]?.cautions).toEqual([]);
    expect(arrivalsOf(long)[0]?.cautions).toEqual([{ code: "lead-long", cable: "cable-1", need: 12, have: 5, unit: "m" }]);
  });

  test("a box that keeps its old list is to be plugged again once its list has changed since it was found, and not before", () => {
    const job = room({ disc: "disc-player-4k", box: "extractor", tv: "tv-no-return", bar: "bar-many-inputs" }, [
      ["disc hdmi-out", "box hdmi-in"],
      ["box hdmi-out", "tv hdmi1"],
      ["box optical-out", "bar optical-in"],
    ]);
    const switched = changed(job, "box", (box) => ({
      ...box,
      settings: box.settings.map((row) => (row.key === "edid-mode" ? { ...row, planned: "2ch" } : row)),
    }));
    expect(arrivalsOf(job)[0]?.cautions).toEqual([]);
    expect(arrivalsOf(switched)[0]?.cautions).toEqual([{ code: "keeps-old-edid", device: "box" }]);
    // As it was found nothing has changed yet.
    expect(arrivalsOf(switched, "found")[0]?.cautions).toEqual([]);
  });

  test("two volumes in series, the TV's and the speakers' knob, are both named", () => {
    const job = room({ tv: "tv-headphone", speakers: "powered-speakers" }, [["tv headphones", "speakers aux-in"]]);
    expect(arrivalsOf(job)[0]?.cautions).toEqual([{ code: "two-volumes", device: "tv", then: "speakers" }]);
  });

  test("a TV in its standard picture mode takes 9 Gb/s, as it comes from the factory", () => {
    const job = room({ streamer: "streamer-4k", tv: "tv-earc-dts" }, [["streamer hdmi-out", "tv hdmi1"]]);
    expect(arrivalsOf(job)[0]?.pictureLosses).toMatchObject([
      { code: "picture-rate", at: { device: "tv", standard: true }, need: 17.82, have: 9 },
    ]);
  });

  test("a hub that does not share the screen's dynamic HDR leaves HDR10, and names itself", () => {
    const job = room({ streamer: "streamer-4k", bar: "bar-picture-mode", tv: "tv-earc" }, [
      ["streamer hdmi-out", "bar hdmi-in"],
      ["bar hdmi-out", "tv hdmi3"],
    ]);
    const vision = changed(changed(job, "streamer", dolbyVision), "bar", (bar) => ({
      ...bar,
      settings: bar.settings.map((row) => (row.key === "signal-format" ? { ...row, planned: "enhanced" } : row)),
    }));
    expect(arrivalsOf(vision)[0]).toMatchObject({ picture: { hdr: "hdr10" }, pictureLosses: [{ code: "picture-hdr", device: "bar" }] });
  });

  test("a receiver in stand-by passes nothing, unless it is set to pass through", () => {
    const job = room({ streamer: "streamer-4k", receiver: "receiver-72", tv: "tv-earc" }, [
      ["streamer hdmi-out", "receiver hdmi-in1"],
      ["receiver hdmi-out", "tv hdmi3"],
    ]);
    const asleep = (pass: "on" | "off") =>
      changed({ ...job, brief: { ...job.brief, soundSystem: "tv" } }, "receiver", (receiver) => ({
        ...receiver,
        settings: receiver.settings.map((row) =>
          row.key === "power" ? { ...row, planned: "standby" } : row.key === "standby-pass" ? { ...row, planned: pass } : row,
        ),
      }));
    const tvPlays = (one: Job) =>
      arrivalsOf(
        changed(one, "tv", (tv) => ({
          ...tv,
          settings: tv.settings.map((row) => (row.key === "speakers" ? { ...row, planned: "own" } : row)),
        })),
      )[0];
    expect(tvPlays(asleep("off"))).toMatchObject({
      verdict: "silent",
      picture: null,
      pictureLosses: [{ code: "picture-shut", device: "receiver" }],
    });
    expect(tvPlays(asleep("on"))).toMatchObject({ verdict: "full", picture: { mode: "3840x2160@60" }, plays: { layout: "2.0" } });
  });

  test("composite pictures leave a receiver only by its composite monitor output", () => {
    const job = room({ box: "game-box-composite", receiver: "receiver-51", tv: "tv-earc" }, [
      ["box video-out", "receiver video-in1"],
      ["box audio-out", "receiver rca-in1"],
      ["receiver hdmi-out", "tv hdmi3"],
    ]);
    expect(arrivalsOf(job)[0]).toMatchObject({ verdict: "no-picture", screen: null, arrives: { coding: "analogue" } });
  });

  test("a plug in a TV's headphone jack mutes its speakers", () => {
    const job = room({ tv: "tv-headphone", phones: "headphones" }, [["tv headphones", "phones jack"]]);
    const own = { ...job, brief: { ...job.brief, soundSystem: "tv" } };
    expect(arrivalsOf(own)[0]?.losses[0]?.reason).toEqual({ code: "plug-mutes", device: "tv", port: "headphones" });
    expect(arrivalsOf({ ...own, cables: [] })[0]?.verdict).toBe("full");
  });

  test("a TV that ties ARC to HDMI control loses both with one switch", () => {
    const job = room({ tv: "tv-arc-cec-linked", bar: "bar-arc-only" }, [["bar hdmi-out", "tv hdmi2"]]);
    const off = changed(job, "tv", (tv) => ({
      ...tv,
      settings: tv.settings.map((row) => (row.key === "cec" ? { ...row, planned: "off" } : row)),
    }));
    expect(arrivalsOf(job)[0]?.arrives).not.toBeNull();
    expect(arrivalsOf(off)[0]?.losses[0]?.reason).toMatchObject({ code: "setting-shuts", device: "tv", setting: "cec", wanted: ["on"] });
  });

  test("a speaker hub has HDMI only once its module is fitted", () => {
    const job = room({ tv: "tv-arc", hub: "wireless-hub" }, [["hub hdmi", "tv hdmi1"]]);
    expect(arrivalsOf(job)[0]?.losses[0]?.reason).toMatchObject({
      code: "setting-shuts",
      device: "hub",
      setting: "module",
      value: "missing",
    });
  });

  test("a splitter shows the player only what both screens list, and both get what the lesser can", () => {
    const job = room({ streamer: "streamer-4k", splitter: "splitter-1x2", tv: "tv-earc", monitor: "projector-hd" }, [
      ["streamer hdmi-out", "splitter hdmi-in"],
      ["splitter out-1", "tv hdmi1"],
      ["splitter out-2", "monitor hdmi1"],
    ]);
    const list = listingAt(makeRig(job, "planned"), { device: "streamer", port: "hdmi-out" });
    expect([...list.sounds.keys()]).toEqual(["lpcm"]);
    expect(arrivalsOf(job).find(({ screen }) => screen === "tv")?.picture?.mode).toBe("1920x1080@60");
  });
});

const dolbyVision = (device: Device): Device => ({
  ...device,
  sources: device.sources.map((source) => ({
    ...source,
    contents: source.contents.map((content) =>
      content.picture ? { ...content, picture: { ...content.picture, hdr: "dolby-vision" as const } } : content,
    ),
  })),
});
