import { describe, expect, test } from "vitest";
import { device, made, room, set, withQuirks } from "@/demo/room-under-test";
import { actOfEvent, curesOf, householdAfter, householdOf, judgeAct, roomCures, type Cure } from "@/core/cec";
import type { Device } from "@/core/device";
import { demoJob } from "@/demo/demo-jobs";
import type { Job } from "@/core/job";
import { cureLimits, cureWords } from "@/core/text";

const curesFor = (job: Job, event: string): readonly Cure[] => {
  const household = householdOf(job);
  const act = actOfEvent(household, event);
  const judged = act && judgeAct(household, act);
  if (!judged) throw new Error(`no act ${event}`);
  return curesOf(household, judged);
};
const kinds = (cures: readonly Cure[]) => cures.map(({ cure }) => cure);

describe("a plug moved", () => {
  const behind = room(
    [device("tv-arc", "tv"), device("bar-arc-only", "bar"), device("earc-extractor-copy", "extractor"), device("streamer-4k", "streamer")],
    "bar hdmi-out > tv hdmi1",
    "extractor hdmi-out > tv hdmi2",
    "streamer hdmi-out > extractor hdmi-in",
  );
  test("out of a box that cuts the wire and into the screen, the player lights the room", () => {
    const [first] = curesFor(behind, "wake:streamer");
    expect(first?.cure).toBe("plug");
    expect(first && cureWords(behind, first, "tv")).toBe("move streamer to tv “HDMI 3”");
    const household = householdOf(behind);
    const after = first?.cure === "plug" ? householdAfter(household, first) : null;
    const act = after && actOfEvent(after, "wake:streamer");
    expect(after && act && judgeAct(after, act)?.verdict.verdict).toBe("as-wished");
  });
});

describe("an adapter without the control wire", () => {
  const night = room(
    [device("tv-arc", "tv"), device("bar-arc-only", "bar"), withQuirks(device("streamer-4k", "streamer"), "wakes-by-itself")],
    "bar hdmi-out > tv hdmi1",
    "streamer hdmi-out > tv hdmi2",
  );
  test("keeps a player that wakes the room at night from it, after its own switch and without touching a pin", () => {
    const cures = curesFor(night, "night-update:streamer");
    expect(kinds(cures)[0]).toBe("setting");
    const adapter = cures.find(({ cure }) => cure === "adapter");
    expect(adapter && cureWords(night, adapter, "tv")).toBe(
      "put an adapter without the control wire, made for the purpose, on the cable streamer to tv",
    );
  });
});

describe("a cable for the sound beside HDMI, and control off", () => {
  // A bar that takes the sound only when it is on, at a screen whose return channel nobody can begin.
  const deaf = set(
    room(
      [device("tv-earc", "tv"), device("bar-arc-optical", "bar", { speaksCec: false }), device("streamer-4k", "streamer")],
      "bar hdmi-out > tv hdmi3",
      "streamer hdmi-out > tv hdmi1",
    ),
    "tv earc off",
  );
  test("is offered where the return cannot begin, with the switch that goes off; it costs no row and a second remote", () => {
    const side = curesFor(deaf, "tv-remote-power-on").find(({ cure }) => cure === "side-cable");
    expect(side && cureWords(deaf, side, "tv")).toMatch(
      /^run an optical .* from tv “.*” to bar “OPTICAL IN”, and set HDMI control at tv to off$/,
    );
    expect(side).toMatchObject({ lowers: 0 });
    expect(side && "worsens" in side ? side.worsens : []).toContain("tv-remote-volume-up");
    // The screen's remote moved its own speakers before; the bar now has a remote of its own.
    expect(side && cureLimits(householdOf(deaf), side)).toMatch(/^Makes worse: \d+ other acts\.$/);
  });
});

describe("a change that costs every row that sounds", () => {
  test("is no cure of an act, though the sound system is missed no more", () => {
    // The matrix could go into the receiver, which leads to no screen: nobody would expect the receiver to be on for the monitor.
    const hall = demoJob("village-hall");
    expect(kinds(curesFor(hall, "screen-on:monitor"))).toEqual(["programmed-remote"]);
  });
});

describe("a change after which an act is about something else", () => {
  test("is no cure: the player goes to another input, and nobody is at the one that is chosen", () => {
    const job = demoJob("06-extractor-edid", "systems");
    expect(kinds(curesFor(job, "tv-input:hdmi1"))).toEqual(["programmed-remote"]);
  });

  test("is no cure: the player wakes nobody any more, so the screen's own volume is moved", () => {
    const job = demoJob("08-matrix-two-screens", "systems");
    expect(kinds(curesFor(job, "tv-remote-volume-up"))).toEqual(["programmed-remote"]);
  });
});

test("a player behind a bar that claims nothing is watched at the bar's input, and the volume keys move the bar", () => {
  const household = householdOf(demoJob("17-computer-objects", "systems"));
  const act = actOfEvent(household, "tv-remote-volume-up");
  expect(act && judgeAct(household, act)?.verdict.verdict).toBe("as-wished");
});

describe("a cure that costs sound", () => {
  test("says how many rows it lowers, and stands after those that cost none", () => {
    const den = set(
      room(
        [device("tv-arc", "tv"), device("receiver-72", "receiver"), device("disc-player-4k", "disc")],
        "receiver hdmi-out > tv hdmi1",
        "disc hdmi-out > receiver hdmi-in2",
      ),
      "receiver cec off",
    );
    const cures = curesFor(den, "wake:disc");
    const costs = cures.map((cure) => ("lowers" in cure ? cure.lowers : 0));
    const move = cures.find((cure) => "lowers" in cure && cure.lowers > 0);
    expect(cures[0]).toMatchObject({ cure: "setting", device: "receiver", setting: "cec", value: "on", lowers: 0 });
    if (move) expect(cureLimits(householdOf(den), move)).toMatch(/^It lowers the sound of \d+ rows?(, .*)?\.$/);
    expect(costs[0]).toBe(0);
  });
});

describe("a programmed remote", () => {
  const withBar = (control: Partial<Device["control"]>) => {
    const bar = withQuirks(device("bar-arc-only", "bar"), "system-audio-only-when-on");
    return room([device("tv-arc", "tv"), { ...bar, control: { ...bar.control, ...control } }], "bar hdmi-out > tv hdmi1");
  };
  const remoteFor = (job: Job) => curesFor(job, "tv-remote-power-on").find(({ cure }) => cure === "programmed-remote");

  test("tells the door before the bar, its key to and fro, and the time a key takes", () => {
    expect(remoteFor(withBar({ hidden: true, infrared: "to-and-fro" }))).toMatchObject({
      steps: [{ device: "bar", key: { press: "power-on" } }],
      limits: [
        { limit: "behind-a-door", device: "bar" },
        { limit: "out-of-step", device: "bar" },
        { limit: "slower", ms: 400 },
      ],
    });
    expect(remoteFor(withBar({}))).toMatchObject({ limits: [{ limit: "slower", ms: 400 }] });
  });

  test("is not offered for a bar that hears no infrared", () => {
    expect(remoteFor(withBar({ infrared: "none" }))).toBeUndefined();
  });
});

describe("the cures of a whole room", () => {
  test("of a box that switches all off: the one that ends it is first, and worsens nothing", () => {
    const box = withQuirks(device("set-top-box", "box"), "switches-all-off", "wakes-by-itself");
    const quarrel = room(
      [device("tv-arc", "tv"), device("bar-arc-only", "bar"), box, device("streamer-4k", "streamer")],
      "bar hdmi-out > tv hdmi1",
      "box hdmi-out > tv hdmi2",
      "streamer hdmi-out > tv hdmi3",
    );
    const all = roomCures(householdOf(quarrel));
    expect(all[0]).toMatchObject({
      cure: { device: "tv", setting: "control-obeys", value: "off", worsens: [] },
      betters: ["standby:box"],
    });
    // What keeps the box from waking the room at night also keeps it from waking it on purpose.
    expect(all.find(({ betters }) => betters.includes("night-update:box"))).toMatchObject({
      cure: { device: "box", setting: "control-wakes", value: "off", worsens: ["wake:box"] },
    });
    for (const { cure } of roomCures(householdOf(quarrel))) expect(cure.lowers).toBe(0);
    // Cut off after some tries, it gives what was found until then.
    let tries = 0;
    const some = roomCures(householdOf(quarrel), "planned", () => (tries += 1) > 3);
    expect(some.length).toBeLessThan(all.length);
    for (const { cure } of some) expect(all.map((one) => one.cure)).toContainEqual(cure);
  });

  test("of a room that goes as wished: none is looked for", () => {
    const calm = room([device("tv-arc", "tv"), device("bar-arc-only", "bar")], "bar hdmi-out > tv hdmi1");
    expect(roomCures(householdOf(calm))).toEqual([]);
  });

  test("each betters what it says it betters when it is applied", () => {
    const off = set(
      room(
        [device("tv-arc", "tv"), device("bar-arc-only", "bar"), device("streamer-4k", "streamer")],
        "bar hdmi-out > tv hdmi1",
        "streamer hdmi-out > tv hdmi2",
      ),
      "tv cec off",
    );
    const household = householdOf(off);
    const [first] = roomCures(household);
    expect(first?.cure).toMatchObject({ device: "tv", setting: "cec", value: "on" });
    const after = first?.cure.cure === "setting" ? householdOf(made(off, first.cure.command)) : null;
    for (const event of first?.betters ?? []) {
      const act = after && actOfEvent(after, event);
      expect(after && act && judgeAct(after, act)?.verdict.verdict).toBe("as-wished");
    }
  });
});

describe("the list of what betters most acts", () => {
  test("counts no act that is about something else then: a disc player off the bus is not watched, so no volume key got better", () => {
    const household = householdOf(demoJob("08-matrix-two-screens", "systems"));
    expect(roomCures(household).flatMap(({ betters }) => betters)).toEqual([]);
    const extractor = roomCures(householdOf(demoJob("07-extractor-arc", "systems")));
    const adapters = extractor.filter(({ cure }) => cure.cure === "adapter");
    expect(adapters.map(({ betters }) => betters)).toEqual([["wake:disc"]]);
  });
});
