import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { fromShelfOrThrow, type Device } from "@/core/device";
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
