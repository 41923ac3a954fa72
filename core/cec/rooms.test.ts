import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { device, made, room, set, withQuirks } from "@/demo/room-under-test";
import {
  actOfEvent,
  conflictsOf,
  curesOf,
  faultOf,
  householdOf,
  judgeAct,
  judgeAll,
  networkOf,
  readTrace,
  remoteCardOf,
  simulate,
  traceDifference,
  type Household,
  type JudgedAct,
  type Trace,
} from "@/core/cec";
import { arrivalsOf } from "@/core/chain";
import { removeWithCables, type Job } from "@/core/job";
import { smallestChanges } from "@/core/plan";
import { addressNamesOf, conflictSentence, cureWords, frameBytes, frameWords, reasonSentence } from "@/core/text";

const judged = (job: Job | Household, event: string): JudgedAct => {
  const household = "network" in job ? job : householdOf(job);
  const act = actOfEvent(household, event);
  const result = act && judgeAct(household, act);
  if (!result) throw new Error(`no act ${event}`);
  return result;
};
const bytesOf = ({ frames }: Trace): readonly string[] => frames.map(({ bytes }) => frameBytes(bytes));
const verdictOf = (job: Job, event: string) => judged(job, event).verdict.verdict;

const plain = room(
  [device("tv-arc", "tv"), device("bar-arc-only", "bar"), device("streamer-4k", "streamer")],
  "bar hdmi-out > tv hdmi1",
  "streamer hdmi-out > tv hdmi2",
);

describe("1. television, ARC bar and player, all on", () => {
  const on = judged(plain, "tv-remote-power-on");

  test("one key: the bar wakes, takes the sound, and the return channel begins", () => {
    expect(on.verdict).toEqual({ verdict: "as-wished" });
    expect(bytesOf(on.played.trace)).toEqual(["0F:85", "05:70:00:00", "5F:72:01", "50:C0", "05:C1"]);
    expect(on.played.trace.end.get("tv")).toMatchObject({ power: "on", systemAudio: true, arc: true });
    expect(on.remotes).toEqual(["tv"]);
  });

  test("frames keep the times of the wire: none overlaps, and each waits at least five bits of rest", () => {
    const { frames } = on.played.trace;
    frames.forEach((frame, index) => {
      const before = frames[index - 1];
      if (before) expect(frame.tMs - before.endMs).toBeGreaterThanOrEqual(12 - 1e-9);
    });
  });

  test("the player's own key lights the screen, which turns to it", () => {
    const wake = judged(plain, "wake:streamer");
    expect(wake.verdict).toEqual({ verdict: "as-wished" });
    expect(bytesOf(wake.played.trace).slice(0, 2)).toEqual(["40:04", "4F:82:20:00"]);
    expect(wake.pictureMs).toBeGreaterThanOrEqual(6000);
    expect(wake.soundMs).toBeGreaterThan(wake.pictureMs ?? Infinity);
  });

  test("the screen's remote moves the bar's loudness, which says how loud it is", () => {
    const louder = judged(plain, "tv-remote-volume-up");
    expect(bytesOf(louder.played.trace)).toEqual(["05:44:41", "05:45", "50:7A:16"]);
    expect(louder.played.trace.end.get("bar")?.volume).toBe(22);
  });

  test("every act of the house goes as wished", () => {
    const household = householdOf(plain);
    expect(judgeAll(household).filter(({ verdict }) => verdict.verdict !== "as-wished")).toEqual([]);
    expect(conflictsOf(household)).toEqual([]);
  });
});

describe("2. HDMI control off at the television", () => {
  const off = set(plain, "tv cec off");
  test("the bar stays off and the return channel never begins; the cure is that switch", () => {
    const on = judged(off, "tv-remote-power-on");
    expect(on.verdict).toMatchObject({ verdict: "fails", misses: [{ miss: "system-off", device: "bar" }] });
    expect(on.played.trace.frames).toEqual([]);
    const [first] = curesOf(householdOf(off), on);
    expect(first).toMatchObject({ cure: "setting", device: "tv", setting: "cec", value: "on" });
    expect(first && cureWords(off, first, "tv")).toBe("set “HDMI control (CEC)” at tv to on");
    expect(conflictsOf(householdOf(off)).map(({ conflict }) => conflict)).toEqual(["return-needs-control"]);
  });
});

describe("3. the return channel off in the bar's own menu", () => {
  test("the sound is taken over and nothing arrives: silence, cured by that menu", () => {
    const off = set(plain, "bar arc off");
    const on = judged(off, "tv-remote-power-on");
    expect(on.verdict).toMatchObject({ verdict: "fails", misses: [{ miss: "no-sound" }] });
    expect(on.played.trace.end.get("tv")).toMatchObject({ systemAudio: true, arc: false });
    expect(curesOf(householdOf(off), on)[0]).toMatchObject({ device: "bar", setting: "arc", value: "on" });
  });
});

describe("4. four players of a kind", () => {
  const players = ["one", "two", "three", "four"];
  const four = room(
    [device("tv-earc", "tv"), device("bar-two-inputs", "bar"), ...players.map((id) => device("console-mat", id))],
    "bar hdmi-out > tv hdmi3",
    "one hdmi-out > tv hdmi1",
    "two hdmi-out > tv hdmi2",
    "three hdmi-out > tv hdmi4",
    "four hdmi-out > bar hdmi-in1",
  );
  const household = householdOf(four);

  test("the fourth finds no address, and the calls show how", () => {
    expect(["one", "two", "three", "four"].map((id) => household.claims.held.get(id))).toEqual([4, 8, 15, 11]);
    const calls = household.claims.polls.filter((poll) => poll.device === "three").map(({ frame, taken }) => [frame.to, taken]);
    expect(calls).toEqual([
      [4, true],
      [8, true],
      [11, true],
    ]);
    const [conflict] = conflictsOf(household);
    expect(conflict).toEqual({ conflict: "no-address-left", device: "three" });
    expect(conflict && conflictSentence(four, conflict)).toContain("no other device can wake it, query it or switch it off");
  });

  test("power in another order gives the address to the one that needs it", () => {
    const other = householdOf(four, "planned", { order: ["three", "one", "two", "four"] });
    expect(other.claims.held.get("three")).toBe(4);
    expect(other.claims.held.get("four")).toBe(15);
  });
});

describe("5. a set-top box that steals the source", () => {
  const thief = (id: string) => withQuirks(device("set-top-box", id), "steals-source");
  test("against one player it wins; two of them never come to rest, and the conflict names both", () => {
    const two = room(
      [device("tv-arc", "tv"), device("bar-arc-only", "bar"), thief("box"), thief("other")],
      "bar hdmi-out > tv hdmi1",
      "box hdmi-out > tv hdmi2",
      "other hdmi-out > tv hdmi3",
    );
    const household = householdOf(two);
    const start = simulate(household.stations, [{ atMs: 0, device: "box", key: { press: "power-on" } }]).end;
    const trace = simulate(start, [{ atMs: 0, device: "other", key: { press: "power-on" } }]);
    expect(trace.restless).toBe(true);
    expect(trace.frames.filter(({ frame }) => frame.message?.kind === "active-source").length).toBeGreaterThan(6);
    expect(conflictsOf(household)).toEqual([{ conflict: "claimants", devices: ["box", "other"] }]);
  });
});

describe("6. an extractor without control between player and screen", () => {
  const cut = room(
    [device("tv-arc", "tv"), device("bar-arc-only", "bar"), device("earc-extractor-copy", "extractor"), device("streamer-4k", "streamer")],
    "bar hdmi-out > tv hdmi1",
    "extractor hdmi-out > tv hdmi2",
    "streamer hdmi-out > extractor hdmi-in",
  );
  test("cuts the wire: the player lights nothing, the steps for a person are named", () => {
    const network = networkOf(cut);
    expect(network.cuts).toEqual([{ at: "device", device: "extractor" }]);
    const wires = new Map(network.nodes.map(({ device: id, wire }) => [id, wire]));
    expect(wires.get("streamer")).not.toBe(wires.get("tv"));
    const wake = judged(cut, "wake:streamer");
    expect(wake.verdict.verdict).not.toBe("as-wished");
    // Its call to the screen goes unanswered and is tried five times again.
    const calls = wake.played.trace.frames.filter(({ frame }) => frame.message?.kind === "image-view-on");
    expect(wake.played.trace.frames[faultOf(wake.played.trace) ?? -1]).toBe(calls[0]);
    expect(calls.map(({ acknowledged, again }) => [acknowledged, again])).toEqual([0, 1, 2, 3, 4, 5].map((again) => [false, again]));
  });
});

describe("7. a matrix that passes control on one output only", () => {
  const matrix = room(
    [device("tv-arc", "tv"), device("tv-no-return", "second"), device("matrix-4x2", "matrix"), device("disc-player-4k", "disc")],
    "matrix output-a > tv hdmi2",
    "matrix output-b > second hdmi1",
    "disc hdmi-out > matrix hdmi-in1",
  );
  test("the player lights the screen at that output, not the other", () => {
    const wake = judged(matrix, "wake:disc");
    expect(wake.played.trace.end.get("tv")?.power).toBe("on");
    expect(wake.played.trace.end.get("second")?.power).toBe("standby");
    expect(networkOf(matrix).cuts).toEqual([{ at: "socket", device: "matrix", port: "output-b" }]);
  });

  test("it counts its inputs: the player stands one level below it", () => {
    expect(networkOf(matrix).nodes.find((node) => node.device === "disc")?.address).toBe("2.1.0.0");
  });
});

describe("8. two bars on one wire", () => {
  const two = room(
    [device("tv-arc", "tv"), device("bar-arc-only", "bar"), device("bar-two-inputs", "other")],
    "bar hdmi-out > tv hdmi1",
    "other hdmi-out > tv hdmi2",
  );
  test("one is the audio system, the other hears no loudness keys", () => {
    const household = householdOf(two);
    expect([household.claims.held.get("bar"), household.claims.held.get("other")]).toEqual([5, 15]);
    expect(conflictsOf(household)).toEqual([{ conflict: "two-sound-systems", devices: ["bar", "other"] }]);
  });
});

describe("9. a receiver between players and screen", () => {
  const den = room(
    [device("tv-arc", "tv"), device("receiver-72", "receiver"), device("disc-player-4k", "disc")],
    "receiver hdmi-out > tv hdmi1",
    "disc hdmi-out > receiver hdmi-in2",
  );
  test("turns to the input of the player that wakes", () => {
    const wake = judged(den, "wake:disc");
    expect(wake.verdict).toEqual({ verdict: "as-wished" });
    expect(wake.played.trace.end.get("receiver")).toMatchObject({ power: "on", input: 2, systemAudio: true });
    expect(networkOf(den).nodes.find((node) => node.device === "disc")?.address).toBe("1.2.0.0");
  });
});

describe("10. a projector that speaks no control", () => {
  test("no screen answers at address 0, and a person switches it on", () => {
    const projector = device("projector", "projector", { speaksCec: false });
    const hall = room(
      [projector, device("receiver-72", "receiver"), device("disc-player-4k", "disc")],
      "receiver hdmi-out > projector hdmi1",
      "disc hdmi-out > receiver hdmi-in1",
    );
    const household = householdOf(hall);
    expect(household.claims.held.get("projector")).toBeNull();
    expect(networkOf(hall).nodes.find((node) => node.device === "disc")?.address).toBe("1.1.0.0");
    const wake = judged(household, "wake:disc");
    expect(wake.verdict).toMatchObject({ misses: expect.arrayContaining([{ miss: "screen-off", device: "projector" }]) as unknown });
  });
});

describe("11. a television that wakes with the bar", () => {
  test("music lights the screen where the bar wakes others, and not where that switch is off", () => {
    const wakes = set(plain, "bar control-wakes on");
    expect(judged(wakes, "music").verdict).toMatchObject({ misses: [{ miss: "woke", device: "tv" }] });
    expect(verdictOf(plain, "music")).toBe("as-wished");
    expect(curesOf(householdOf(wakes), judged(wakes, "music"))[0]).toMatchObject({ device: "bar", setting: "control-wakes", value: "off" });
  });
});

describe("12. eARC with control off", () => {
  const earc = set(
    room(
      [device("tv-earc", "tv"), device("bar-two-inputs", "bar"), device("streamer-4k", "streamer")],
      "bar hdmi-out > tv hdmi3",
      "streamer hdmi-out > tv hdmi1",
    ),
    "tv cec off",
  );
  test("sound comes once the bar is on by its own remote, which then also moves the loudness", () => {
    expect(judged(earc, "tv-remote-power-on").verdict).toMatchObject({
      verdict: "with-a-step",
      steps: [{ device: "bar", key: { press: "power-on" } }],
    });
    expect(judged(earc, "tv-remote-volume-up").verdict).toMatchObject({
      verdict: "with-a-step",
      steps: [{ device: "bar", key: { press: "volume-up" } }],
    });
    expect(conflictsOf(householdOf(earc))).toEqual([]);
  });
});

describe("habits learned on site", () => {
  const withBar = (...quirks: Parameters<typeof withQuirks>[1][]) => ({
    ...plain,
    devices: plain.devices.map((one) => (one.id === "bar" ? withQuirks(one, ...quirks) : one)),
  });

  test("a bar that ignores stand-by stays on, and a person presses it", () => {
    expect(judged(withBar("ignores-standby"), "tv-remote-standby").verdict).toMatchObject({
      verdict: "with-a-step",
      misses: [{ miss: "still-on", device: "bar" }],
      steps: [{ device: "bar", key: { press: "power-off" } }],
    });
  });

  test("a bar that takes the sound over only when it is on already needs its own remote", () => {
    const on = judged(withBar("system-audio-only-when-on"), "tv-remote-power-on");
    expect(on.verdict).toMatchObject({ verdict: "with-a-step", steps: [{ device: "bar", key: { press: "power-on" } }] });
    const refusal = on.played.trace.frames.find(({ frame }) => frame.message?.kind === "feature-abort");
    expect(refusal && frameWords(refusal.frame, addressNamesOf(householdOf(plain), refusal.wire))).toBe(
      "bar tells tv: no to System Audio Mode Request (70): not in the state for it.",
    );
  });

  test("keys of another maker are ignored by one that is known for it, its own maker's are not", () => {
    const of = (maker: string): Job => ({
      ...withBar("ignores-foreign-keys"),
      devices: withBar("ignores-foreign-keys").devices.map((one) => ({ ...one, maker: one.id === "tv" ? maker : "Halden" })),
    });
    expect(verdictOf(of("Orrin"), "tv-remote-volume-up")).toBe("with-a-step");
    expect(verdictOf(of("Halden"), "tv-remote-volume-up")).toBe("as-wished");
  });

  test("a player that wakes by itself at night lights the room, unless its waking of others is off", () => {
    const night: Job = {
      ...plain,
      devices: plain.devices.map((one) => (one.id === "streamer" ? withQuirks(one, "wakes-by-itself") : one)),
    };
    const woke = judged(night, "night-update:streamer");
    expect(woke.verdict).toMatchObject({ misses: expect.arrayContaining([{ miss: "woke", device: "tv" }]) as unknown });
    expect(curesOf(householdOf(night), woke)[0]).toMatchObject({ device: "streamer", setting: "control-wakes", value: "off" });
  });

  test("a lead without the control wire cuts it, and is named", () => {
    const lead = made(plain, { kind: "edit-cable", cable: plain.cables[1]?.id ?? "", fields: { controlWire: false } });
    expect(networkOf(lead).cuts).toEqual([{ at: "cable", cable: plain.cables[1]?.id }]);
    expect(verdictOf(lead, "wake:streamer")).not.toBe("as-wished");
  });
});

describe("a trace beside what an act should send", () => {
  const { frames } = judged(plain, "tv-remote-power-on").played.trace;
  const printed = frames.map(({ bytes }) => frameBytes(bytes));
  const beside = (lines: readonly string[]) => traceDifference(frames, readTrace(lines.join("\n")));

  test("of the same act differs in nothing, whatever its times and calls between", () => {
    expect(beside(["FF", ...printed.flatMap((line, index) => [`${index * 3}.5 ${line}`, "44"])])).toMatchObject({
      missing: [],
      unforeseen: [],
      alike: frames.length,
    });
  });

  test("names what did not come and what nobody foresaw, and keeps the rest in step", () => {
    const other = beside([...printed.slice(0, 2), "50:00:70:01", ...printed.slice(3)]);
    expect(other.missing.map(({ bytes }) => frameBytes(bytes))).toEqual(["5F:72:01"]);
    expect(other.unforeseen.map(({ text }) => text)).toEqual(["50:00:70:01"]);
    expect(other.alike).toBe(frames.length - 1);
  });

  test("of nothing has everything missing", () => {
    expect(beside([]).missing).toHaveLength(frames.length);
  });
});

describe("the household's card", () => {
  test("has the buttons of acts that work, with what is left to press after them", () => {
    const card = remoteCardOf(judgeAll(householdOf(set(plain, "streamer control-wakes off"))));
    const streamer = card.find(({ remote }) => remote === "streamer");
    expect(streamer?.buttons[0]).toMatchObject({ step: { device: "streamer", key: { press: "power-on" } } });
    expect(streamer?.buttons[0]?.then.map((step) => step.device)).toContain("tv");
    expect(card.find(({ remote }) => remote === "tv")?.buttons.some(({ act }) => act.act === "louder")).toBe(true);
  });

  test("is silent about acts that fail", () => {
    const card = remoteCardOf(judgeAll(householdOf(set(plain, "tv cec off"))));
    expect(card.flatMap(({ buttons }) => buttons).some(({ act }) => act.act === "screen-on")).toBe(false);
  });
});

test("ARC that nobody can start is silence on the board, with that reason; a cable with its wire is the cure", () => {
  const bar = plain.cables.find(({ from }) => from.device === "bar")?.id ?? "";
  const lead = made(plain, { kind: "edit-cable", cable: bar, fields: { controlWire: false } });
  const news = arrivalsOf(lead, "planned").find(({ player }) => player === "tv");
  expect(news?.verdict).toBe("silent");
  const reason = news?.losses.find(({ scope }) => scope === "path")?.reason;
  expect(reason).toMatchObject({ code: "no-control-wire", cable: bar });
  expect(reason && reasonSentence(lead, reason)).toContain("has no control wire (pin 13), and ARC is started over CEC.");
  const { best } = smallestChanges(lead);
  expect(best.changes.map(({ command }) => command)).toMatchObject([
    { kind: "edit-cable", cable: bar, fields: { class: "ultra-high-speed", returnWires: "earc", controlWire: true, direction: "either" } },
  ]);
});

describe("whatever keys are pressed in whatever order", () => {
  const rooms = [plain, set(plain, "tv cec off"), removeRoom(plain, "streamer")];
  const press = fc.record({
    who: fc.nat(),
    key: fc.constantFrom(
      { press: "power-on" } as const,
      { press: "power-off" } as const,
      { press: "volume-up" } as const,
      { press: "mute" } as const,
      { press: "input", input: 1 } as const,
      { press: "input", input: null } as const,
    ),
    atMs: fc.integer({ min: 0, max: 30_000 }),
  });

  test("no address has two owners, ARC is on only where both ends agreed, and the bus comes to rest", () => {
    fc.assert(
      fc.property(fc.constantFrom(...rooms), fc.array(press, { maxLength: 8 }), fc.nat(), (job, presses, seed) => {
        const household = householdOf(job);
        const names = [...household.stations.keys()];
        const trace = simulate(
          household.stations,
          presses.map(({ who, key, atMs }) => ({ atMs, device: names[who % names.length] ?? "", key })),
          seed,
        );
        expect(trace.restless).toBe(false);
        const held = [...household.claims.held.values()].filter((address) => address !== null && address !== 15);
        expect(new Set(held).size).toBe(held.length);
        const agreed = trace.frames.some(({ frame, acknowledged }) => frame.message?.kind === "report-arc-initiated" && acknowledged);
        for (const { arc } of trace.end.values()) if (arc) expect(agreed).toBe(true);
      }),
      { numRuns: 150, seed: 51 },
    );
  });

  test("the same room, keys and seed give the same trace", () => {
    const household = householdOf(plain);
    const once = () => simulate(household.stations, [{ atMs: 0, device: "tv", key: { press: "power-on" } }], 7);
    expect(bytesOf(once())).toEqual(bytesOf(once()));
    expect(once().frames.map(({ tMs }) => tMs)).toEqual(once().frames.map(({ tMs }) => tMs));
  });
});

function removeRoom(job: Job, id: string): Job {
  return made(job, removeWithCables(job, id));
}

describe("a player at each of two screens, both at their input 1", () => {
  // Every display is the root of its own addresses: 1.0.0.0 at the one is not 1.0.0.0 at the other (HDMI 1.4 §8.7).
  const both = room(
    [
      device("tv-arc", "tv"),
      device("projector", "projector"),
      device("bar-one-input", "bar"),
      device("streamer-4k", "first"),
      device("streamer-4k", "second"),
    ],
    "bar hdmi-out > tv hdmi1",
    "first hdmi-out > tv hdmi2",
    "second hdmi-out > projector hdmi2",
  );
  const without = {
    ...both,
    devices: both.devices.filter(({ id }) => id !== "first"),
    cables: both.cables.filter(({ from }) => from.device !== "first"),
  };
  const wakeOf = (job: typeof both) => judgeAct(householdOf(job, "planned", { mainScreen: "tv" }), { act: "wake", device: "second" });

  test("waking the one is judged at its own screen, whoever sits at the other", () => {
    expect(wakeOf(both)?.verdict).toEqual(wakeOf(without)?.verdict);
    const shown = wakeOf(both)?.played.trace.end;
    expect(shown?.get("projector")?.source).toBe(shown?.get("second")?.nature.physical);
    expect(shown?.get("tv")?.power).toBe("standby");
  });
});
