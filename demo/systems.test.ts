import { describe, expect, test } from "vitest";
import { arrivalsOf, type Arrival } from "@/core/chain";
import { fromShelfOrThrow } from "@/core/device";
import { LIP_SYNC, withinLipSyncTarget } from "@/core/facts";
import { applyCommand, joinSockets, replaceDevice, type Job } from "@/core/job";
import { liftingChanges } from "@/core/plan";
import { made, planned } from "./room-under-test";
import { demoJob, demoJobNames } from "./demo-jobs";

const names = demoJobNames("systems");
const system = (prefix: string): Job => {
  const name = names.find((one) => one.startsWith(prefix));
  if (!name) throw new Error(`no system ${prefix}`);
  return demoJob(name, "systems");
};
const move = (job: Job, cable: string, device: string, port: string): Job => {
  const old = job.cables.find(({ id }) => id === cable);
  if (!old) throw new Error(`no cable ${cable}`);
  return made(made(job, { kind: "unplug", cable }), joinSockets(job, old.from, { device, port }));
};
const row = (job: Job, player: string, content?: string, screen?: string): Arrival => {
  const found = arrivalsOf(job).find(
    (one) => one.player === player && (!content || one.content.id === content) && (!screen || one.screen === screen),
  );
  if (!found) throw new Error(`no row ${player} ${content ?? ""}`);
  return found;
};
const pathCodes = ({ losses }: Arrival) => losses.filter(({ scope }) => scope === "path").map(({ reason }) => reason.code);
const pictureCodes = ({ pictureLosses }: Arrival) => pictureLosses.map(({ code }) => code);

describe("1. Receiver hub, no ARC", () => {
  const job = system("01");
  test("disc and console arrive whole; the tuner's Dolby Digital crosses optical as it is", () => {
    expect(row(job, "disc", "film-truehd-atmos").verdict).toBe("full");
    expect(row(job, "console").verdict).toBe("full");
    expect(row(job, "tv", "broadcast-ac3")).toMatchObject({ verdict: "full", arrives: { coding: "ac3", channels: "5.1", generations: 1 } });
  });
  test("the TV app's Dolby Digital Plus falls to AC-3 where the TV codes anew, a second lossy generation, else to LPCM 2.0", () => {
    // Native DD+ is generation 1; decoded and coded as AC-3 it is 2.
    expect(row(job, "tv", "series-ddp-atmos")).toMatchObject({
      verdict: "reduced",
      arrives: { coding: "ac3", channels: "5.1", generations: 2 },
    });
    const without: Job = {
      ...job,
      devices: job.devices.map((one) => ({
        ...one,
        routes: one.routes.map((route) => (route.kind === "sound" ? { ...route, encodes: [] } : route)),
      })),
    };
    expect(row(without, "tv", "series-ddp-atmos").arrives).toMatchObject({ coding: "lpcm", channels: "2.0" });
  });
});

test("2. a 7.1 LPCM console through a TV with ARC: LPCM 2.0, or AC-3 5.1 coded on the way where the console may", () => {
  const job = system("02");
  expect(row(job, "console")).toMatchObject({ verdict: "reduced", arrives: { coding: "lpcm", channels: "2.0", lossless: true } });
  // Coded on the way, at the console: the first lossy coding of lossless sound.
  expect(row(made(job, planned("console", "player-audio", "dolby-digital")), "console")).toMatchObject({
    verdict: "reduced",
    arrives: { coding: "ac3", channels: "5.1", lineage: "re-encoded", lossless: false, generations: 1 },
  });
});

test("3. objects that exist only as MAT need 24.576 Mb/s: lost over ARC with 6.144, whole over eARC", () => {
  const job = system("03");
  const arc = row(job, "console");
  expect(arc.arrives?.objects).toBe("none");
  expect(arc.losses[0]?.reason).toMatchObject({ code: "link-capacity", coding: "mat", need: 24.576, have: 6.144 });
  expect(row(made(job, planned("tv", "earc", "on")), "console")).toMatchObject({
    verdict: "full",
    arrives: { coding: "mat", objects: "atmos" },
  });
});

describe("4. TV that refuses DTS", () => {
  const job = system("04");
  test("a DTS disc sent as bitstream is silent; the reason is the TV", () => {
    expect(row(job, "disc")).toMatchObject({ verdict: "silent", leaves: { coding: "dts" } });
    expect(row(job, "disc").losses[0]?.reason).toMatchObject({ code: "does-not-pass", device: "tv", coding: "dts" });
  });
  test("player PCM: 2.0 over ARC, 5.1 over eARC where the TV lists it", () => {
    const pcm = made(job, planned("disc", "player-audio", "pcm"));
    expect(row(pcm, "disc").arrives).toMatchObject({ coding: "lpcm", channels: "2.0" });
    expect(row(made(pcm, planned("tv", "earc", "on")), "disc").arrives).toMatchObject({ coding: "lpcm", channels: "5.1", generations: 1 });
  });
  test("straight into the bar it is whole", () =>
    expect(row(move(job, "disc-tv", "bar", "hdmi-in"), "disc")).toMatchObject({ verdict: "full", arrives: { coding: "dts" } }));
});

describe("5. eARC extractor before a stereo monitor", () => {
  const job = system("05");
  test("copying the monitor, the app hides the object version and LPCM 2.0 arrives; the monitor's list is the reason, shown on by the extractor", () => {
    expect(row(job, "streamer")).toMatchObject({ verdict: "reduced", arrives: { coding: "lpcm", channels: "2.0" } });
    expect(row(job, "streamer").losses[0]?.reason).toMatchObject({ code: "not-listed", device: "monitor", copiedBy: "extractor" });
  });
  test("the mixed rule makes it whole", () => {
    const mixed = made(job, replaceDevice(job, "extractor", fromShelfOrThrow("earc-extractor-mixed", { id: "extractor" })));
    expect(row(mixed, "streamer")).toMatchObject({ verdict: "full", arrives: { coding: "eac3", objects: "atmos" } });
  });
  test("an EDID emulator before the monitor makes it whole", () => {
    const emulator = made(made(job, { kind: "unplug", cable: "extractor-monitor" }), {
      kind: "add-device",
      at: null,
      device: fromShelfOrThrow("edid-emulator", { id: "emulator" }),
    });
    const one = made(emulator, joinSockets(emulator, { device: "extractor", port: "hdmi-out" }, { device: "emulator", port: "hdmi-in" }));
    const two = made(one, joinSockets(one, { device: "emulator", port: "hdmi-out" }, { device: "monitor", port: "hdmi1" }));
    expect(row(two, "streamer").verdict).toBe("full");
  });
  test("before a TV it gets what that TV lists, and the TV's own apps never reach the bar", () => {
    const cleared = made(job, { kind: "unplug", cable: "extractor-monitor" }, { kind: "remove-device", device: "monitor" });
    const withTv = made(cleared, { kind: "add-device", at: null, device: fromShelfOrThrow("tv-earc", { id: "tv" }) });
    const joined = made(withTv, joinSockets(withTv, { device: "extractor", port: "hdmi-out" }, { device: "tv", port: "hdmi1" }));
    // The TV itself lists Dolby Digital Plus without objects: nothing widens its list here.
    expect(row(joined, "streamer").arrives).toMatchObject({ coding: "eac3", channels: "5.1" });
    expect(row(joined, "tv", "series-ddp-atmos").verdict).toBe("silent");
  });
});

describe("6. Extractor with its switch on 2 ch, 5.1 and screen", () => {
  const job = system("06");
  const switched = (value: string) => made(job, planned("extractor", "edid-mode", value));
  test.each([
    ["2ch", { coding: "lpcm", channels: "2.0" }],
    ["5.1", { coding: "ac3", channels: "5.1" }],
    // The old TV lists Dolby Digital and Plus: the disc's AC-3 track comes.
    ["screen", { coding: "ac3", channels: "5.1" }],
  ])("%s: optical gives %o", (value, arrives) => expect(row(switched(value), "disc").arrives).toMatchObject(arrives));

  const analogue = (value: string) => {
    const bar = made(switched(value), { kind: "unplug", cable: "extractor-bar" });
    return made(bar, joinSockets(bar, { device: "extractor", port: "minijack-out" }, { device: "bar", port: "aux-in" }));
  };
  test("the analogue output plays only stereo PCM, else silence; the cure is the player on stereo", () => {
    expect(row(analogue("2ch"), "disc")).toMatchObject({ arrives: { coding: "analogue", channels: "2.0" } });
    const silent = row(analogue("5.1"), "disc");
    expect(silent.verdict).toBe("silent");
    expect(silent.losses[0]?.reason).toMatchObject({ code: "cannot-decode", device: "extractor", coding: "ac3" });
    expect(row(made(analogue("5.1"), planned("disc", "player-audio", "stereo")), "disc").arrives).toMatchObject({ coding: "analogue" });
  });
});

test("7. Extractor with ARC pressed: the TV's sound on optical, its own source on neither optical nor 3.5 mm", () => {
  const job = system("07");
  expect(row(job, "tv", "series-ddp-atmos")).toMatchObject({ arrives: { coding: "ac3", channels: "5.1" } });
  expect(row(job, "disc").verdict).toBe("silent");
  expect(row(job, "disc").losses[0]?.reason).toMatchObject({
    code: "setting-shuts",
    device: "extractor",
    setting: "arc-take",
    wanted: ["off"],
  });
  const aux = made(job, { kind: "unplug", cable: "extractor-bar" });
  const byJack = made(aux, joinSockets(aux, { device: "extractor", port: "minijack-out" }, { device: "bar", port: "aux-in" }));
  // A return feeds optical but never analogue: there is no DAC for it.
  expect(arrivalsOf(byJack).map(({ verdict }) => verdict)).toEqual(arrivalsOf(byJack).map(() => "silent"));
});

describe("8. Matrix with TV and projector", () => {
  const job = system("08");
  test("the bar has all of it whichever screen is in use", () => {
    for (const screen of ["tv", "projector"])
      expect(row(job, "disc", undefined, screen)).toMatchObject({ verdict: "full", arrives: { objects: "atmos" } });
  });
  test("sound assigned to output A is silent for what the projector shows", () => {
    const assigned = made(job, planned("matrix", "sound-follows", "output-a"));
    expect(row(assigned, "disc", undefined, "tv").verdict).toBe("full");
    expect(row(assigned, "disc", undefined, "projector").losses[0]?.reason).toMatchObject({
      code: "setting-shuts",
      setting: "sound-follows",
    });
  });
  test("2160p120 10 bit 4:4:4 passes where every hop has 40 Gb/s, and only just; the projector gets 2160p60", () => {
    expect(row(job, "console", undefined, "tv")).toMatchObject({
      picture: { mode: "3840x2160@120", depth: 10, chroma: "444", gaming: true },
    });
    expect(pictureCodes(row(job, "console", undefined, "tv"))).toEqual(["picture-tight"]);
    expect(row(job, "console", undefined, "projector").picture?.mode).toBe("3840x2160@60");
  });
  test("12 bit needs 48 Gb/s: 40 steps it down", () => {
    const deep: Job = {
      ...job,
      devices: job.devices.map((one) => ({
        ...one,
        sources: one.sources.map((source) => ({
          ...source,
          contents: source.contents.map((content) =>
            content.picture?.gaming ? { ...content, picture: { ...content.picture, depth: 12 as const } } : content,
          ),
        })),
      })),
    };
    const console = row(deep, "console", undefined, "tv");
    expect(console.picture).not.toMatchObject({ mode: "3840x2160@120", depth: 12, chroma: "444" });
    expect(console.pictureLosses).toMatchObject([{ code: "picture-rate", have: 40 }]);
  });
  test("without a scaler both screens get the least of the two", () => {
    const plain: Job = {
      ...job,
      devices: job.devices.map((one) => ({
        ...one,
        routes: one.routes.map((route) => (route.kind === "picture" ? { ...route, scaler: false } : route)),
      })),
    };
    expect(row(plain, "console", undefined, "tv").picture?.mode).toBe("3840x2160@60");
    expect(pictureCodes(row(plain, "console", undefined, "tv"))).toContain("picture-mode");
  });
});

describe("9. Plugs and remotes", () => {
  test("a coaxial TV and an optical bar do not join without a converter", () => {
    const job = system("09-coaxial");
    const bare = made(job, { kind: "unplug", cable: "tv-converter" }, { kind: "unplug", cable: "converter-bar" });
    expect(
      applyCommand(bare, joinSockets(bare, { device: "tv", port: "coaxial-out" }, { device: "bar", port: "optical-in" })),
    ).toMatchObject({
      ok: false,
      refusal: { code: "plug-does-not-fit", plug: "coaxial", socket: "optical" },
    });
    expect(row(job, "box", "news-aac").arrives).toMatchObject({ coding: "lpcm", channels: "2.0" });
    // The stereo bar decodes no Dolby: PCM at the TV cures it.
    expect(row(job, "box", "broadcast-ac3").losses[0]?.reason).toMatchObject({ code: "cannot-decode", device: "bar", coding: "ac3" });
    expect(row(made(job, planned("tv", "digital-output", "pcm")), "box", "broadcast-ac3").arrives).toMatchObject({ coding: "lpcm" });
  });
  test("an ARC adapter keeps the TV's remote in charge of an amplifier with a knob; a DAC does not", () => {
    const job = system("09-knob");
    expect(row(job, "tv", "news-aac")).toMatchObject({
      arrives: { coding: "analogue" },
      volume: { by: "screen-remote", device: "adapter" },
    });
    const bare = made(job, { kind: "unplug", cable: "adapter-tv" }, { kind: "unplug", cable: "adapter-amplifier" });
    const dac = made(bare, { kind: "add-device", at: null, device: fromShelfOrThrow("dac-optical", { id: "dac" }) });
    const one = made(
      dac,
      joinSockets(dac, { device: "tv", port: "optical-out" }, { device: "dac", port: "optical-in" }),
      planned("tv", "digital-output", "pcm"),
    );
    const two = made(one, joinSockets(one, { device: "dac", port: "rca-out" }, { device: "amplifier", port: "rca-in" }));
    expect(row(two, "tv", "news-aac")).toMatchObject({ arrives: { coding: "analogue" }, volume: { by: "knob", device: "amplifier" } });
  });
});

describe("10. Scarce sockets", () => {
  const job = system("10");
  test("an HD stick in a protected 4K socket wastes it, and a socket that would do is named", () =>
    expect(row(job, "stick").cautions).toEqual([{ code: "socket-wasted", device: "receiver", port: "hdmi-in1", better: "hdmi-in5" }]));
  test("the 4K streamer in an old socket falls to 1080p for want of HDCP 2.2", () => {
    expect(row(job, "streamer")).toMatchObject({ verdict: "full", picture: { mode: "1920x1080@60", hdr: "sdr" } });
    expect(row(job, "streamer").pictureLosses).toMatchObject([
      { code: "picture-hdcp", device: "receiver", port: "hdmi-in4", need: "2.2", have: "1.4" },
    ]);
    expect(row(move(job, "streamer-receiver", "receiver", "hdmi-in3"), "streamer").picture).toMatchObject({
      mode: "3840x2160@60",
      hdr: "hdr10",
    });
  });
  test("the wide stick covers the socket beside it, unless it hangs on an extender", () => {
    const beside = { device: "receiver", port: "hdmi-in2" };
    const bare = made(job, { kind: "unplug", cable: "streamer-receiver" });
    const plug = (on: Job) => applyCommand(on, joinSockets(on, { device: "streamer", port: "hdmi-out" }, beside));
    expect(plug(bare)).toMatchObject({ ok: false, refusal: { code: "socket-covered", by: "stick" } });
    expect(plug(made(bare, { kind: "edit-cable", cable: "stick-receiver", fields: { class: "hdmi-extender" } })).ok).toBe(true);
  });
});

test("11. Receiver in all-channel stereo: all of it arrives, stereo plays, so part of it is heard, and the cure is the sound mode", () => {
  const job = system("11");
  const disc = row(job, "disc");
  expect(disc).toMatchObject({ verdict: "reduced", arrives: { coding: "truehd", objects: "atmos" }, plays: { layout: "2.0" } });
  expect(disc.losses[0]).toMatchObject({ scope: "path", reason: { code: "decode-mode", value: "all-channel-stereo", have: "2.0" } });
  const [first] = liftingChanges(job);
  expect(first).toMatchObject({ command: { setting: "decode-mode", value: "auto" }, lowers: [] });
  expect(row(made(job, planned("receiver", "decode-mode", "auto")), "disc")).toMatchObject({
    verdict: "full",
    plays: { layout: "7.1.2", upmixed: false },
  });
});

test("12. Bar in standard picture mode: 2160p60 HDR needs 17.82 Gb/s and finds 9; enhanced cures it", () => {
  const job = system("12");
  expect(row(job, "streamer")).toMatchObject({ verdict: "full", picture: { hdr: "sdr", chroma: "420" } });
  expect(row(job, "streamer").pictureLosses).toMatchObject([
    { code: "picture-rate", at: { device: "bar", standard: true }, need: 17.82, have: 9 },
  ]);
  const enhanced = row(made(job, planned("bar", "signal-format", "enhanced")), "streamer");
  expect(enhanced).toMatchObject({ picture: { mode: "3840x2160@60", hdr: "hdr10" }, pictureLosses: [] });
});

test("13. Set-top box bitstream over ARC: drift is flagged; PCM cures it at the price of 5.1", () => {
  const job = system("13");
  expect(row(job, "box")).toMatchObject({
    verdict: "full",
    arrives: { coding: "ac3", channels: "5.1" },
    cautions: [{ code: "drift", device: "box", coding: "ac3" }],
  });
  expect(row(made(job, planned("box", "player-audio", "pcm")), "box")).toMatchObject({
    arrives: { coding: "lpcm", channels: "2.0" },
    cautions: [],
  });
});

test("14. Composite through a converter: 480 lines whatever the timing; sound LPCM 2.0", () => {
  const job = system("14");
  expect(row(job, "game-box")).toMatchObject({
    arrives: { coding: "lpcm", channels: "2.0" },
    picture: { mode: "1920x1080@60", lines: 480 },
  });
  expect(pictureCodes(row(job, "game-box"))).toEqual(["picture-lines"]);
});

describe("15. Projector and a bar that knows only eARC", () => {
  const job = system("15");
  test("joined by HDMI alone it is silent whatever is set: the projector returns ARC and lists no eARC, or nothing", () => {
    const bare = made(job, { kind: "unplug", cable: "projector-bar" });
    const silent = (one: Job) => expect(arrivalsOf(one).map(({ verdict }) => verdict)).toEqual(arrivalsOf(one).map(() => "silent"));
    silent(bare);
    for (const device of bare.devices)
      for (const { key, options } of device.settings) for (const value of options) silent(made(bare, planned(device.id, key, value)));
  });
  test("over Bluetooth LPCM 2.0 arrives with loss, later than R37 bears", () => {
    const blue = row(made(job, planned("projector", "bluetooth", "on")), "projector");
    // Bluetooth 200 + bar 20 − picture 50 = 170 ms late; R37 allows 60.
    expect(blue).toMatchObject({ verdict: "reduced", arrives: { coding: "lpcm", channels: "2.0", lossless: false }, lipSyncMs: 170 });
    expect(blue.lipSyncMs !== null && withinLipSyncTarget(blue.lipSyncMs)).toBe(false);
    expect(LIP_SYNC.target.lateMs).toBe(60);
  });
  test("with a low-delay codec at both ends it keeps to R37, at one end it does not", () => {
    const low = (job: Job, ...ids: string[]): Job => ({
      ...job,
      devices: job.devices.map((one) =>
        ids.includes(one.id)
          ? { ...one, ports: one.ports.map((port) => (port.connector === "bluetooth" ? { ...port, lowDelay: true } : port)) }
          : one,
      ),
    });
    const on = made(job, planned("projector", "bluetooth", "on"));
    // 40 + 20 − 50 = 10 ms.
    expect(row(low(on, "projector", "bar"), "projector").lipSyncMs).toBe(10);
    expect(row(low(on, "bar"), "projector").lipSyncMs).toBe(170);
  });
});

test("16. Headphone jack into speakers: silent while the TV makes Dolby, plays with PCM", () => {
  const job = system("16");
  expect(row(job, "box").verdict).toBe("silent");
  expect(row(job, "box").losses[0]?.reason).toMatchObject({ code: "setting-shuts", setting: "digital-output", value: "dolby-digital" });
  expect(row(made(job, planned("tv", "digital-output", "pcm")), "box")).toMatchObject({
    verdict: "full",
    arrives: { coding: "analogue", channels: "2.0" },
  });
});

test("17. Computer set to headphone objects sends binaural stereo; the home theater format and a list that has it make it whole", () => {
  const job = system("17");
  expect(row(job, "computer")).toMatchObject({
    verdict: "reduced",
    arrives: { coding: "lpcm", channels: "2.0", objects: "none", lineage: "binaural" },
  });
  expect(row(job, "computer").losses[0]?.reason).toMatchObject({
    code: "setting-shuts",
    setting: "object-format",
    wanted: ["home-theater"],
  });
  expect(row(made(job, planned("computer", "object-format", "home-theater")), "computer")).toMatchObject({
    verdict: "full",
    arrives: { objects: "atmos" },
  });
});

describe("18. Twelve metres of Premium High Speed copper", () => {
  const job = system("18");
  test("17.82 Gb/s is not assured beyond 5 m", () =>
    expect(row(job, "streamer").pictureLosses).toEqual([{ code: "picture-length", cable: "bar-tv", need: 12, have: 5, unit: "m" }]));
  test("10 bit 4:4:4, 22.28 Gb/s, is never on this cable, however short", () => {
    const deep: Job = {
      ...job,
      cables: job.cables.map((cable) => ({ ...cable, lengthM: 1 })),
      devices: job.devices.map((one) => ({
        ...one,
        ports: one.ports.map((port) => (port.connector === "hdmi" ? { ...port, maxGbps: 48 } : port)),
        sources: one.sources.map((source) => ({
          ...source,
          contents: source.contents.map((content) =>
            content.picture ? { ...content, picture: { ...content.picture, depth: 10 as const, chroma: "444" as const } } : content,
          ),
        })),
      })),
    };
    expect(row(deep, "streamer").pictureLosses).toMatchObject([{ code: "picture-rate", at: { kind: "cable" }, need: 22.275, have: 18 }]);
  });
  test("a hybrid optical cable without return wires cures the picture and silences what comes back", () => {
    const hybrid = made(job, {
      kind: "edit-cable",
      cable: "bar-tv",
      fields: { class: "hybrid-optical-hdmi", returnWires: "none", direction: "one-way" },
    });
    expect(row(hybrid, "streamer")).toMatchObject({ verdict: "full", pictureLosses: [] });
    expect(pathCodes(row(hybrid, "tv", "series-ddp-atmos"))).toEqual(["no-return-wire"]);
  });
});

test("there is a file for each of the eighteen, and every loss in them names one hop of its way", () => {
  expect(new Set(names.map((name) => name.slice(0, 2))).size).toBe(18);
  for (const name of names)
    for (const { losses, hops } of arrivalsOf(demoJob(name, "systems")))
      for (const { hop } of losses) expect(hop === 0 || hop < hops.length).toBe(true);
});
