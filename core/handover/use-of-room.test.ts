import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { device, room, set } from "@/demo/room-under-test";
import { householdSheet } from "@/core/handover";
import { SHEET_WORDS } from "@/core/text";
import { factsOf, overArc, SOURCE } from "@/demo/sheet-under-test";

describe("how to use a room", () => {
  test("with HDMI control one key is enough: what comes on by itself, and how long it takes", () => {
    expect(factsOf(overArc(), "use")).toEqual(
      expect.arrayContaining([
        { says: "use", players: [{ player: "streamer", uses: expect.arrayContaining(["film"]) as unknown }] },
        { says: "press", press: { device: "streamer", hasRemote: true, key: "power" } },
        { says: "wakes", devices: expect.arrayContaining(["tv", "bar"]) as unknown, seconds: expect.any(Number) as unknown, until: "both" },
        { says: "off", press: { device: "tv", hasRemote: true, key: "power" }, stays: [] },
      ]),
    );
  });

  test("without HDMI control each device is switched on and the input is chosen as it is printed at the socket", () => {
    const job = overArc("tv cec off", "bar cec off", "streamer cec off");
    const port = job.devices[0]?.ports.find(({ id }) => id === "hdmi2")?.label;
    const presses = factsOf(job, "use").flatMap((fact) => (fact.says === "press" ? [fact.press] : []));
    expect(presses).toEqual(
      expect.arrayContaining([
        { device: "streamer", hasRemote: true, key: "power" },
        { device: "tv", hasRemote: true, key: "power" },
        { device: "bar", hasRemote: true, key: "power" },
        { device: "tv", hasRemote: true, key: "input", input: port },
      ]),
    );
  });

  test("two players whose own key does everything share their lines, with the longer wait", () => {
    const two = room(
      [device("tv-arc", "tv"), device("bar-arc-optical", "bar"), device("streamer-4k", "streamer"), device("console-mat", "console")],
      "streamer hdmi-out > tv hdmi2",
      "console hdmi-out > tv hdmi3",
      "bar hdmi-out > tv hdmi1",
    );
    const facts = factsOf(two, "use");
    expect(facts).toContainEqual({ says: "press-own-power" });
    expect(
      facts.filter(({ says }) => says === "use").map((fact) => (fact.says === "use" ? fact.players.map(({ player }) => player) : [])),
    ).toContainEqual(["streamer", "console"]);
  });
});

test("what control does not wake is switched on at once, before the wait: nobody waits for sound with the bar off", () => {
  const job = set(
    room(
      [device("tv-no-return", "tv"), device("bar-two-inputs", "bar"), device("streamer-4k", "streamer"), device("console-mat", "console")],
      "streamer hdmi-out > tv hdmi1",
      "console hdmi-out > tv hdmi2",
      "tv optical-out > bar optical-in",
    ),
    "bar cec off",
    "tv speakers external",
  );
  const lines = factsOf(job, "use");
  const own = lines.findIndex(({ says }) => says === "press-own-power");
  expect(lines.slice(own - 1, own + 3)).toEqual([
    { says: "use", players: [expect.objectContaining({ player: "streamer" }), expect.objectContaining({ player: "console" })] },
    { says: "press-own-power" },
    { says: "press", press: { device: "bar", hasRemote: true, key: "power" } },
    { says: "wakes", devices: ["tv"], seconds: expect.any(Number) as unknown, until: "both" },
  ]);
});

describe("what to choose on the sound system", () => {
  const devices = [
    device("tv-earc", "tv"),
    device("receiver-51", "receiver"),
    device("disc-player-hd", "disc"),
    device("streamer-4k", "streamer"),
  ];

  test("nothing where all comes over HDMI with control: it follows", () =>
    expect(
      factsOf(
        room(devices, "receiver hdmi-out > tv hdmi3", "disc hdmi-out > receiver hdmi-in1", "streamer hdmi-out > receiver hdmi-in2"),
        "sound",
      ),
    ).toEqual([{ says: "follows", system: "receiver" }]));

  test("the optical input, for the players whose sound the TV sends there: nothing tells the receiver of it", () =>
    expect(
      factsOf(
        set(
          room(
            devices,
            "receiver hdmi-out > tv hdmi3",
            "tv optical-out > receiver optical-in",
            "streamer hdmi-out > tv hdmi1",
            "disc hdmi-out > receiver hdmi-in1",
          ),
          "tv earc off",
          "tv arc off",
          "receiver arc off",
        ),
        "sound",
      ),
    ).toEqual([{ says: "choose", on: "receiver", players: ["tv", "streamer"], input: "OPTICAL IN" }]));
});

test("a sound system that hears of no player stays at its input: it is not said to follow", () =>
  // The matrix cuts the control wire at its sound output.
  expect(factsOf(demoJob("village-hall"), "sound")).toEqual([{ says: "stays-at", system: "Receiver", input: "HDMI OUT (ARC/eARC)" }]));

test("where the news come from the screen itself and control is off, each remote is named with what it changes", () => {
  const job = set(
    room(
      [device("tv-no-return", "tv"), device("bar-one-input", "bar"), device("streamer-4k", "streamer")],
      "streamer hdmi-out > bar hdmi-in",
      "bar hdmi-out > tv hdmi1",
    ),
    "bar cec off",
  );
  const lines = factsOf({ ...job, brief: { ...job.brief, newsFrom: "screen" } }, "use");
  expect(lines.filter(({ says }) => says === "volume")).toEqual([
    { says: "volume", device: "tv", by: "remote", players: [{ player: "tv", uses: ["tv"] }] },
    { says: "volume", device: "bar", by: "remote", players: [{ player: "streamer", uses: expect.arrayContaining(["film"]) as unknown }] },
  ]);
  expect(lines.filter(({ says }) => says === "volume").map((fact) => SHEET_WORDS.en.line(fact))).toEqual([
    "Volume, TV with tv: the keys of the remote of tv.",
    "Volume, films and music with streamer: the keys of the remote of bar.",
  ]);
});

test("a box is named with what passes it, and one that is plugged for nothing is not named", () => {
  const split = room(
    [
      device("tv-arc", "tv"),
      device("projector", "projector"),
      device("bar-two-inputs", "bar"),
      device("streamer-4k", "streamer"),
      device("splitter-1x2", "splitter"),
      device("switch-3x1", "spare"),
    ],
    "streamer hdmi-out > bar hdmi-in1",
    "bar hdmi-out > splitter hdmi-in",
    "splitter out-1 > tv hdmi1",
    "splitter out-2 > projector hdmi1",
  );
  expect(factsOf(split, "stays-on")).toContainEqual({ says: "stays-on", devices: ["splitter"], does: "passes-picture" });
  expect(factsOf(split, "lamps").flatMap((fact) => (fact.says === "lamp-box" ? [fact.device] : []))).toEqual(["splitter"]);
});

test("a computer has a power key and no remote", () => {
  const job = room(
    [device("tv-earc", "tv"), device("bar-earc-only", "bar"), device("computer", "computer")],
    "computer hdmi-out > tv hdmi1",
    "bar hdmi-out > tv hdmi3",
  );
  const presses = factsOf(job, "use").filter((fact) => fact.says === "press" && fact.press.device === "computer");
  expect(presses.map((fact) => SHEET_WORDS.en.line(fact))).toContain("Press the power key of computer.");
});

test("an amplifier with nothing but a knob is left on, at its input: its power key is pressed by nobody", () => {
  const job = demoJob("09-knob-amplifier", "systems");
  expect(factsOf(job, "use").filter((fact) => fact.says === "press" && fact.press.device === "Amplifier")).toEqual([]);
  expect(factsOf(job, "stays-on")).toContainEqual({ says: "stays-on", devices: ["Amplifier"], does: "plays" });
  expect(factsOf(job, "sound")).toEqual([{ says: "stays-at", system: "Amplifier", input: "LINE IN L/R" }]);
});

test("an amplifier with nothing but a knob has no mute key to be pressed", () => {
  const knob = room([device("tv-coaxial", "tv"), device("amplifier-knob", "amplifier")], "tv headphones > amplifier aux-in");
  const checks = householdSheet(knob, { ...SOURCE, faults: null }).sections.find(({ id }) => id === "silent")?.lines ?? [];
  expect(checks.map(({ fact }) => (fact.says === "check" ? fact.check.check : fact.says))).toEqual([
    "power-on",
    "louder",
    "restart",
    "call",
  ]);
});

test("a player that no control wire reaches is switched off by hand: the sheet does not promise that everything goes off", () => {
  const off = factsOf(demoJob("14-composite-boxes", "systems"), "use").find(({ says }) => says === "off");
  expect(off).toMatchObject({ stays: ["Game box, old"] });
});

test("another screen that shows the same has its own key on the sheet", () => {
  const lines = factsOf(demoJob("village-hall"), "use");
  const at = lines.findIndex(({ says }) => says === "also-on");
  expect(lines.slice(at, at + 2)).toEqual([
    { says: "also-on", screen: "Desk monitor" },
    { says: "press", press: { device: "Desk monitor", hasRemote: true, key: "power" } },
  ]);
});

test("whichever player was in use, what stays on after the screen’s key is named: a computer that takes no part in control too", () =>
  expect(factsOf(demoJob("village-hall"), "use")).toContainEqual({
    says: "off",
    press: { device: "Projector", hasRemote: true, key: "power" },
    stays: ["Desk computer", "Desk monitor", "Receiver"],
  }));
