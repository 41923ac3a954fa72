import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { device, made, room, set, withQuirks } from "@/demo/room-under-test";
import { actFigures, actOfEvent, conflictsOf, faultOf, householdOf, judgeAct, judgeAll, relianceOf, type JudgedAct } from "@/core/cec";
import type { Device } from "@/core/device";
import { arrivalsOf } from "@/core/chain";
import { joinSockets, type Job } from "@/core/job";
import { cautionSentence, conflictSentence, frameBytes, relianceSentence } from "@/core/text";

const judged = (job: Job, event: string): JudgedAct => {
  const household = householdOf(job);
  const act = actOfEvent(household, event);
  const result = act && judgeAct(household, act);
  if (!result) throw new Error(`no act ${event}`);
  return result;
};
const speaks = (one: Device, version: Device["control"]["version"]): Device => ({ ...one, control: { ...one.control, version } });

describe("backup addresses of CEC 2.0", () => {
  const players = ["one", "two", "three", "four"];
  const four = (newest: Device["control"]["version"], screen: Device["control"]["version"]) =>
    room(
      [
        speaks(device("tv-earc", "tv"), screen),
        speaks(device("bar-two-inputs", "bar"), "2.0"),
        ...players.map((id) => speaks(device("console-mat", id), newest)),
      ],
      "bar hdmi-out > tv hdmi3",
      "one hdmi-out > tv hdmi1",
      "two hdmi-out > tv hdmi2",
      "three hdmi-out > tv hdmi4",
      "four hdmi-out > bar hdmi-in1",
    );

  test("the fourth player of its kind takes 12 instead of none", () => {
    expect(householdOf(four("2.0", "2.0")).claims.held.get("three")).toBe(12);
    expect(householdOf(four("1.4", "2.0")).claims.held.get("three")).toBe(15);
    expect(conflictsOf(householdOf(four("2.0", "2.0")))).toEqual([]);
    expect(judged(four("2.0", "2.0"), "wake:three").verdict.verdict).toBe("as-wished");
  });

  test("a screen of 1.4 need not heed what 12 tells it alone: it stays dark, and the conflict says why", () => {
    const older = four("2.0", "1.4");
    expect(judged(older, "wake:three").verdict).toMatchObject({ misses: [{ miss: "screen-off", device: "tv" }, { miss: "system-off" }] });
    expect(judged(older, "wake:one").verdict.verdict).toBe("as-wished");
    const [conflict] = conflictsOf(householdOf(older));
    expect(conflict && conflictSentence(older, conflict)).toBe(
      "three has a backup address of CEC 2.0; tv, of CEC 1.4, may ignore what it sends to them directly, such as a command to wake.",
    );
  });
});

describe("a place that sleeps with its screen", () => {
  const sleepy = room(
    [device("tv-arc", "tv", { habits: [{ habit: "forgets-edid" }] }), device("bar-arc-only", "bar"), device("streamer-4k", "streamer")],
    "bar hdmi-out > tv hdmi1",
    "streamer hdmi-out > tv hdmi2",
  );
  const wake = judged(sleepy, "wake:streamer");
  const sent = wake.played.trace.frames.filter((frame) => frame.device === "streamer").map(({ bytes }) => frameBytes(bytes));

  test("the player can only ask the screen to wake, as one without an address; then it says where it stands and that it is the source", () => {
    // F0:04 from 15; 44 asks whether 4 is free; 4F:84 reports 2.0.0.0 and type 4; 4F:82 claims.
    expect(sent.slice(0, 4)).toEqual(["F0:04", "44", "4F:84:20:00:04", "4F:82:20:00"]);
    expect(wake.verdict).toEqual({ verdict: "as-wished" });
  });

  test("a call whether an address is free goes unanswered and is no fault", () => {
    const { frames } = wake.played.trace;
    const call = frames.find(({ frame }) => frame.message === null);
    expect(call).toMatchObject({ acknowledged: false, again: 0 });
    expect(frames[faultOf(wake.played.trace) ?? -1]?.frame.message).not.toBeNull();
  });

  test("it is told, with the screen that must be awake", () => {
    expect(conflictsOf(householdOf(sleepy))).toEqual([{ conflict: "place-sleeps", screen: "tv", devices: ["bar", "streamer"] }]);
  });
});

describe("a second screen", () => {
  test("has its own remote, and who listens to the sound system switches that on too", () => {
    const two = room(
      [
        device("tv-arc", "tv"),
        device("projector", "projector"),
        device("receiver-72", "receiver"),
        device("matrix-4x2", "matrix"),
        device("disc-player-4k", "disc"),
      ],
      "matrix output-a > receiver hdmi-in1",
      "receiver hdmi-out > tv hdmi1",
      "matrix output-b > projector hdmi1",
      "disc hdmi-out > matrix hdmi-in1",
    );
    const on = judged(two, "screen-on:projector");
    expect(on.played.trace.end.get("projector")?.power).toBe("on");
    expect(on.played.trace.end.get("tv")?.power).toBe("standby");
    expect(on.remotes[0]).toBe("projector");
    expect(on.verdict.verdict).toBe(
      arrivalsOf(two).some(({ screen, arrives }) => screen === "projector" && arrives) ? "with-a-step" : "as-wished",
    );
  });
});

describe("a return channel that begins by hand only", () => {
  const byHand = room(
    [device("tv-arc", "tv"), withQuirks(device("bar-arc-only", "bar"), "arc-only-by-hand"), device("streamer-4k", "streamer")],
    "bar hdmi-out > tv hdmi1",
    "streamer hdmi-out > tv hdmi2",
  );
  test("leaves its key to press in Control, and a caution on every row that comes back so", () => {
    const on = judged(byHand, "tv-remote-power-on");
    expect(on.verdict).toMatchObject({ verdict: "with-a-step", steps: [{ device: "bar", key: { press: "begin-return" } }] });
    for (const { cautions } of arrivalsOf(byHand)) {
      const [caution] = cautions.filter(({ code }) => code === "return-by-hand");
      expect(caution && cautionSentence(byHand, caution)).toContain("starts its return channel only from its own key or menu");
    }
  });
});

test("a projector that plays nothing of its own is promised a picture when it is switched on, and no sound", () => {
  const of = (name: string) => judgeAct(householdOf(demoJob(name)), { act: "screen-on" });
  expect(of("village-hall")).toMatchObject({ pictureMs: 6000, soundMs: null });
  expect(of("sail-loft")?.soundMs).toBeGreaterThan(6000);
});

describe("what needs HDMI control", () => {
  test("is named at the screen that the sound comes back from, whichever of two is the main one", () => {
    const two = room(
      [device("tv-arc", "main"), device("tv-arc", "second"), device("bar-arc-only", "bar"), device("streamer-4k", "streamer")],
      "streamer hdmi-out > main hdmi2",
      "bar hdmi-out > second hdmi1",
    );
    expect(relianceOf(householdOf(two))).toEqual([{ screen: "second", taker: "bar", players: ["second"] }]);
  });

  test("is the sound that comes back over ARC, and none that comes back over eARC", () => {
    const plain = (screen: string, bar: string, back: string) =>
      room(
        [device(screen, "tv"), device(bar, "bar"), device("streamer-4k", "streamer")],
        `bar hdmi-out > tv ${back}`,
        "streamer hdmi-out > tv hdmi2",
      );
    const arc = plain("tv-arc", "bar-arc-only", "hdmi1");
    const reliance = relianceOf(householdOf(arc));
    expect(reliance).toEqual([{ screen: "tv", taker: "bar", players: ["tv", "streamer"] }]);
    expect(reliance.map((one) => relianceSentence(arc, one))).toEqual([
      expect.stringMatching(/^The sound of tv and streamer comes back over ARC.* at tv or bar also ends/) as unknown,
    ]);
    expect(relianceOf(householdOf(plain("tv-earc", "bar-two-inputs", "hdmi3")))).toEqual([]);
  });
});

describe("what an act asks of the household, in numbers", () => {
  test("one remote, no step, ready when the sound is; with control off at the screen another remote and a step", () => {
    const plain = room([device("tv-earc", "tv"), device("bar-two-inputs", "bar")], "bar hdmi-out > tv hdmi3");
    const on = [{ act: "screen-on" }] as const;
    expect(actFigures(householdOf(plain), on)).toMatchObject([{ event: "tv-remote-power-on", verdict: "as-wished", remotes: 1, steps: 0 }]);
    // The screen's 6 s, then the bar's 5 s and the frames between.
    expect(actFigures(householdOf(plain), on)[0]?.readyMs).toBeGreaterThan(11_000);
    expect(actFigures(householdOf(set(plain, "tv cec off")), on)).toMatchObject([{ verdict: "with-a-step", remotes: 2, steps: 1 }]);
    expect(actFigures(householdOf(plain), [{ act: "wake", device: "nobody" }])).toEqual([]);
  });
});

describe("conflicts found without an act", () => {
  test("one that wakes the room and one that sends it to sleep; two that sound at once", () => {
    const box = withQuirks(device("set-top-box", "box"), "wakes-by-itself", "switches-all-off");
    const loop = room([device("tv-arc", "tv"), device("bar-arc-only", "bar"), box], "bar hdmi-out > tv hdmi1", "box hdmi-out > tv hdmi2");
    expect(conflictsOf(householdOf(loop)).map(({ conflict }) => conflict)).toEqual(["goes-off-with-one", "wake-and-sleep"]);
  });

  test("an extractor beside the screen while the screen still plays itself: two volumes, of which its remote moves one", () => {
    const gear = [device("tv-arc", "tv"), device("bar-arc-optical", "bar"), device("extractor", "box"), device("disc-player-4k", "disc")];
    const plugs = ["disc hdmi-out > box hdmi-in", "box hdmi-out > tv hdmi2", "box optical-out > bar optical-in"];
    const side = set(room(gear, ...plugs), "tv speakers own");
    const found = conflictsOf(householdOf(side)).find(({ conflict }) => conflict === "two-volumes");
    expect(found).toEqual({ conflict: "two-volumes", screen: "tv", system: "bar" });
    expect(found && conflictSentence(side, found)).toBe(
      "tv and bar play at the same time, and the screen’s remote changes only its own volume.",
    );
    const handed = conflictsOf(householdOf(set(side, "tv speakers external")));
    expect(handed.map(({ conflict }) => conflict)).not.toContain("two-volumes");
  });
});

describe("a sound system without HDMI", () => {
  const amplifier = room(
    [device("tv-arc", "tv"), device("arc-adapter", "adapter"), device("amplifier-knob", "amplifier")],
    "adapter tv > tv hdmi1",
    "adapter rca-out > amplifier rca-in",
  );

  test("an adapter on ARC answers for the amplifier: one remote, and the amplifier is left on", () => {
    const household = householdOf(amplifier);
    expect(household.claims.held.get("adapter")).toBe(5);
    expect(judgeAll(household).filter(({ verdict }) => verdict.verdict !== "as-wished")).toEqual([]);
    const louder = judged(amplifier, "tv-remote-volume-up");
    expect(louder.remotes).toEqual(["tv"]);
    expect(louder.played.trace.end.get("adapter")?.volume).toBe(22);
    expect(louder.played.trace.end.get("amplifier")?.volume).toBe(20);
    expect(conflictsOf(household)).toEqual([]);
  });

  test("a bar on a lead of its own hears nobody: its remote for on, loudness and off", () => {
    const side = room([device("tv-coaxial", "tv"), device("coaxial-to-optical", "box"), device("bar-arc-optical", "bar")]);
    const job = made(side, joinSockets(side, { device: "box", port: "optical-out" }, { device: "bar", port: "optical-in" }));
    const household = householdOf(job);
    expect(household.stations.get("bar")?.nature.wire).not.toBe(household.stations.get("tv")?.nature.wire);
    expect(conflictsOf(household).filter(({ conflict }) => conflict === "no-place")).toEqual([]);
  });
});

describe("a screen that sends its volume keys by infrared", () => {
  const withInfrared = (hidden: boolean) => {
    const tv = device("tv-earc", "tv");
    const bar = device("bar-one-input", "bar");
    return set(
      room(
        [
          { ...tv, control: { ...tv.control, infraredReachM: 1 } },
          { ...bar, control: { ...bar.control, fromScreenM: 0.6, hidden } },
          device("streamer-4k", "streamer"),
        ],
        "streamer hdmi-out > tv hdmi1",
        "bar hdmi-out > tv hdmi3",
      ),
      "bar cec off",
    );
  };

  test("its remote moves a bar whose control is off", () => {
    expect(judged(withInfrared(false), "tv-remote-volume-up")).toMatchObject({ verdict: { verdict: "as-wished" }, remotes: ["tv"] });
    expect(judged(withInfrared(false), "tv-remote-mute").verdict.verdict).toBe("as-wished");
  });

  test("behind a closed door the bar's own remote is taken", () =>
    expect(judged(withInfrared(true), "tv-remote-volume-up")).toMatchObject({
      verdict: { verdict: "with-a-step", misses: [{ miss: "loudness-stays", device: "bar" }] },
      remotes: ["tv", "bar"],
    }));
});
