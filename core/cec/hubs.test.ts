import { describe, expect, test } from "vitest";
import { device, room, set } from "@/demo/room-under-test";
import { actOfEvent, conflictCures, conflictsOf, householdOf, judgeAct, soundingOf, castOf } from "@/core/cec";
import type { Job } from "@/core/job";

const judged = (job: Job, event: string) => {
  const household = householdOf(job);
  const act = actOfEvent(household, event);
  const found = act && judgeAct(household, act);
  if (!found) throw new Error(`no act ${event}`);
  return found;
};

describe("a player behind a receiver", () => {
  const job = room(
    [device("tv-earc", "tv"), device("receiver-72", "receiver"), device("disc-player-4k", "disc")],
    "disc hdmi-out > receiver hdmi-in1",
    "receiver hdmi-out > tv hdmi3",
  );

  test("with HDMI control off everywhere is watched by hand: the TV's input and the receiver's are both steps", () => {
    const off = set(job, "tv cec off", "receiver cec off", "disc cec off");
    const { verdict } = judged(off, "wake:disc");
    expect(verdict.verdict).toBe("with-a-step");
    const steps = verdict.verdict === "with-a-step" ? verdict.steps.map(({ device: id, key }) => `${id} ${key.press}`) : [];
    expect(steps).toContain("tv input");
    expect(steps).toContain("receiver input");
    expect(steps).toContain("receiver power-on");
  });

  test("shows nothing through a receiver that sleeps without pass-through, and does with it", () => {
    const off = set(job, "receiver cec off");
    const misses = (one: Job) => {
      const { verdict } = judged(one, "wake:disc");
      return "misses" in verdict ? verdict.misses.map(({ miss }) => miss) : [];
    };
    expect(misses(off)).toContain("passes-no-picture");
    expect(misses(set(off, "receiver standby-pass on"))).not.toContain("passes-no-picture");
  });
});

test("a bar that is not known to pass pictures on asleep passes none", () => {
  const job = room(
    [device("tv-earc", "tv"), device("bar-one-input", "bar"), device("streamer-4k", "streamer")],
    "streamer hdmi-out > bar hdmi-in",
    "bar hdmi-out > tv hdmi3",
  );
  const { verdict } = judged(set(job, "bar cec off"), "wake:streamer");
  expect("misses" in verdict ? verdict.misses.map(({ miss }) => miss) : []).toContain("passes-no-picture");
});

test("a screen without speakers never sounds: with the bar off there is no sound", () => {
  const job = room(
    [device("projector", "screen"), device("bar-two-inputs", "bar"), device("streamer-4k", "streamer")],
    "streamer hdmi-out > screen hdmi1",
  );
  const household = householdOf(job);
  const on = new Map([...household.stations].map(([id, one]) => [id, id === "screen" ? { ...one, power: "on" as const } : one]));
  expect(soundingOf(household.soundWays, castOf({ ...household, stations: on }))).toBe("nowhere");
});

test("a sound system that goes off with a player's standby while it is watched is a miss", () => {
  const plain = room(
    [device("tv-earc", "tv"), device("bar-one-input", "bar"), device("streamer-4k", "streamer")],
    "streamer hdmi-out > tv hdmi1",
    "bar hdmi-out > tv hdmi3",
  );
  const harsh: Job = {
    ...plain,
    devices: plain.devices.map((one) =>
      one.id === "streamer" ? { ...one, control: { ...one.control, quirks: ["switches-all-off"] } } : one,
    ),
  };
  const { verdict } = judged(harsh, "standby:streamer");
  expect("misses" in verdict ? verdict.misses : []).toContainEqual({ miss: "went-off", device: "bar" });
});

test("eARC finds its partner without the control wire, so it needs none; a conflict comes with what ends it", () => {
  const job = room(
    [device("tv-earc", "tv"), device("bar-one-input", "bar"), device("receiver-72", "receiver")],
    "bar hdmi-out > tv hdmi3",
    "receiver hdmi-out > tv hdmi1",
  );
  const off = set(job, "tv cec off");
  expect(conflictsOf(householdOf(off)).map(({ conflict }) => conflict)).not.toContain("return-needs-control");
  const household = householdOf(job);
  const [two] = conflictsOf(household).filter(({ conflict }) => conflict === "two-sound-systems");
  expect(two).toBeDefined();
  const cures = two ? conflictCures(household, two) : [];
  expect(cures.some((cure) => cure.cure === "setting" && cure.setting === "cec" && cure.value === "off")).toBe(true);
});

test("a player whose control wire is cut is not taken for the one at the same input of another screen", () => {
  const twoScreens = room(
    [
      device("tv-arc", "tv"),
      device("projector", "projector"),
      device("bar-arc-optical", "bar"),
      device("streamer-4k", "one"),
      device("streamer-4k", "two"),
    ],
    "tv optical-out > bar optical-in",
    "one hdmi-out > tv hdmi1",
    "two hdmi-out > projector hdmi1",
  );
  const cut = {
    ...twoScreens,
    cables: twoScreens.cables.map((cable) => (cable.from.device === "one" ? { ...cable, controlWire: false } : cable)),
  };
  const act = (job: Job) => {
    const household = householdOf(job);
    return judgeAct(household, { act: "wake", device: "two" })?.verdict.verdict;
  };
  // No sound of the player at the projector comes to the bar, whoever sits at the first input of the television.
  expect([act(twoScreens), act(cut)]).toEqual(["fails", "fails"]);
});
