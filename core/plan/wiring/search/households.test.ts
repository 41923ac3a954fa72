import { describe, expect, test } from "vitest";
import { device, without, withQuirks } from "@/demo/room-under-test";
import { withMoreSockets, type Device } from "@/core/device";
import { applyCommand, emptyJob, type Brief, type Job } from "@/core/job";
import { figureLines, givenUp, impossibleSchool } from "@/core/text";
import { boxOfShelf, wiringSpace } from "../space";
import { planCommand } from "../report";
import type { WiringPlan } from "./plan-draft";
import { searchPlans, type PlanSearch } from "./search";
import { type Preset, PRESETS } from "../evaluation";

/** Households as installers meet them, each with the plan that the trade would argue for. */
const household = (brief: Partial<Brief>, ...devices: readonly Device[]): Job => {
  const job = emptyJob("Room");
  return { ...job, brief: { ...job.brief, ...brief }, devices: [...devices] };
};

function planned(job: Job, preset: Preset, prices: Readonly<Record<string, number>> = {}): PlanSearch {
  const boxes = Object.entries(prices).flatMap(([archetype, price]) => boxOfShelf(job, archetype, price, "van") ?? []);
  const space = wiringSpace(job, { boxes });
  if (!space) throw new Error("nothing to plan");
  return searchPlans(space, PRESETS[preset]);
}

const best = ({ plans, proven }: PlanSearch) => {
  const [plan] = plans;
  if (!plan) throw new Error("no plan");
  return { ...plan, proven, archetypes: plan.boxes.map(({ device: { archetype } }) => archetype) };
};

describe("sockets enough at the receiver and at a screen with ARC", () => {
  // Three players; the receiver has six inputs, the screen five beside its ARC socket.
  const job = household(
    {},
    withMoreSockets(device("tv-arc", "tv"), "hdmi2", ["hdmi4", "hdmi5", "hdmi6"]),
    device("receiver-72", "receiver"),
    device("disc-player-4k", "disc"),
    device("console-lpcm", "console"),
    device("streamer-4k", "streamer"),
  );

  test("for best sound whoever would lose over ARC sits in the receiver", () => {
    const plan = best(planned(job, "best-sound"));
    expect(plan).toMatchObject({ proven: true, figures: { sound: 1 } });
    expect(["sound-hub", "mixed"]).toContain(plan.school);
    expect([plan.places.get("disc"), plan.places.get("console")]).toEqual(["receiver", "receiver"]);
  });

  const asleep = (plan: WiringPlan | undefined) =>
    plan?.settings.find(({ device: id, key }) => id === "receiver" && key === "standby-pass")?.value;
  const hubs = ({ plans }: PlanSearch) => (["screen-hub", "sound-hub"] as const).map((hub) => plans.find(({ school }) => school === hub));

  test("a receiver that can pass pictures on while it sleeps is set to, so that nobody has to wake it to watch", () => {
    const [screenHub, soundHub] = hubs(planned(job, "easiest-to-use"));
    expect([screenHub?.figures.alone, soundHub?.figures.alone]).toEqual([3, 3]);
    expect([asleep(screenHub), asleep(soundHub)]).toEqual(["off", "on"]);
  });

  test("behind one that cannot, the screen hub is the one in which everything can be watched while it sleeps, and it costs sound", () => {
    const dark = { ...job, devices: job.devices.map((one) => (one.id === "receiver" ? without(one, "standby-pass") : one)) };
    const [screenHub, soundHub] = hubs(planned(dark, "easiest-to-use"));
    expect([screenHub?.figures.alone, soundHub?.figures.alone]).toEqual([3, 0]);
    expect(screenHub?.figures.ease).toBeGreaterThan(soundHub?.figures.ease ?? 1);
    expect(screenHub?.figures.sound).toBeLessThan(soundHub?.figures.sound ?? 0);
  });

  test("where the household hears no difference the screen hub is the easiest to use", () => {
    const plan = best(planned({ ...job, brief: { ...job.brief, surround: "plain" } }, "easiest-to-use"));
    expect(plan).toMatchObject({ school: "screen-hub", proven: true, figures: { remotes: 1, steps: 0, alone: 3 } });
  });
});

describe("a projector and a television in one room", () => {
  const job = household(
    {},
    device("tv-earc", "tv"),
    device("projector", "projector"),
    device("bar-earc-only", "bar"),
    device("disc-player-4k", "disc"),
    device("console-mat", "console"),
    device("streamer-4k", "streamer"),
    device("set-top-box", "box"),
  );
  const prices = { "matrix-4x2": 220, "splitter-1x2": 30, extractor: 60, "earc-extractor-mixed": 110, "switch-3x1": 40 };

  test("with four players get a matrix, and the bar hangs on its own return", () => {
    const plan = best(planned(job, "best-sound", prices));
    expect(plan).toMatchObject({ school: "split", proven: true, archetypes: ["matrix-4x2"], figures: { sound: 1, unplugged: 0 } });
    expect([...plan.places.values()]).toEqual(["matrix-4x2", "matrix-4x2", "matrix-4x2", "matrix-4x2"]);
    expect(plan.wires.some(({ cable }) => cable.from.device === "bar" && cable.to.port === "earc-out")).toBe(true);
  });

  test("where money counts the matrix is left out, and the plan says that pictures do not come to both", () => {
    const plan = best(planned(job, "least-spending", prices));
    expect(plan.archetypes).not.toContain("matrix-4x2");
    expect(plan.figures.picture).toBeLessThan(0.75);
    expect(plan.figures.unplugged).toBe(0);
  });
});

describe("a projector and an old television of which one alone is lit at a time", () => {
  const devices = [
    device("tv-no-return", "tv"),
    device("projector", "projector"),
    device("bar-earc-only", "bar"),
    device("disc-player-4k", "disc"),
    device("console-mat", "console"),
    device("streamer-4k", "streamer"),
    device("set-top-box", "box"),
  ];
  const brief = { screensAtOnce: "one", musts: [{ want: "everywhere", device: "disc" }] } as const;
  const prices = { "matrix-4x2": 380, "splitter-1x2": 30, extractor: 60, "earc-extractor-mixed": 110, "switch-3x1": 40 };

  test("where money counts everything comes through the one input of an extractor, and the plan says what that loses", () => {
    const plan = best(planned(household({ ...brief, musts: [...brief.musts] }, ...devices), "least-spending", prices));
    expect(plan).toMatchObject({ school: "split", proven: true });
    expect(plan.archetypes.toSorted()).toEqual(["earc-extractor-mixed", "splitter-1x2", "switch-3x1"]);
    // Three players share the switch; the fourth is left beside it, and silent.
    expect([...plan.places.values()].filter((hub) => hub === "switch-3x1")).toHaveLength(3);
    expect(plan.figures.sound).toBeLessThan(0.8);
    expect(givenUp(plan).map(({ words }) => words)).toContainEqual(
      expect.stringMatching(/^console, game: nothing arrives\. .*nothing connects it to bar/),
    );
  });

  test("where several are lit at once no switch stands before them: each player has a way of its own", () => {
    const several = household({ ...brief, musts: [...brief.musts], screensAtOnce: "several" }, ...devices);
    const plan = best(planned(several, "least-spending", prices));
    expect(plan.archetypes.toSorted()).toEqual(["earc-extractor-mixed", "splitter-1x2"]);
    expect([...plan.places.values()].filter((hub) => hub === "earc-extractor-mixed")).toHaveLength(1);
  });
});

describe("an amplifier with a knob", () => {
  const job = household({}, device("tv-arc", "tv"), device("amplifier-knob", "amplifier"));

  test("for whom money counts gets optical through a converter, and the loudness stays at the knob", () => {
    const plan = best(planned(job, "least-spending", { "arc-adapter": 90, "dac-optical": 30 }));
    expect(plan).toMatchObject({ school: "side-cable", archetypes: ["dac-optical"], figures: { money: 30 } });
    expect(plan.figures.acts.find(({ event }) => event === "tv-remote-volume-up")).toMatchObject({ verdict: "with-a-step" });
  });
});

describe("quarrels on the control bus noted in the survey, and a household that hears stereo", () => {
  const job = household(
    { surround: "plain" },
    withQuirks(device("tv-arc", "tv"), "drops-arc-on-input-change"),
    withQuirks(device("bar-arc-optical", "bar"), "arc-only-by-hand"),
    withQuirks(device("set-top-box", "box"), "wakes-by-itself", "steals-source"),
  );

  test("get the side cable, control off at the box that quarrels, and more remotes than one, which is said", () => {
    const found = planned(job, "easiest-to-use");
    const side = best(found);
    expect(side).toMatchObject({ school: "side-cable", proven: true, figures: { sound: 1, onControl: 0 } });
    const off = side.settings.flatMap(({ device: id, key, value }) =>
      value === "off" && (key === "cec" || key === "arc") ? [`${id} ${key}`] : [],
    );
    const cut = side.wires.flatMap(({ cable }) => (cable.controlWire ? [] : [cable.from.device]));
    // The box that wakes the room at night is off the bus, and the return that the screen drops is switched off.
    expect([...off, ...cut]).toEqual(["tv arc", "box cec"]);
    expect(side.figures.remotes).toBeGreaterThan(1);
    expect(figureLines(side).join("\n")).toMatch(/2 remotes|3 remotes/);
  });
});

describe("a stick that covers its neighbours", () => {
  const job = household(
    {},
    device("tv-arc", "tv"),
    device("bar-arc-only", "bar"),
    device("stick-hd", "stick"),
    device("streamer-4k", "streamer"),
  );

  test("goes on its extender, so that every socket can be used, and the plan can be plugged", () => {
    const found = planned(job, "best-sound");
    for (const plan of found.plans) {
      const applied = applyCommand(job, planCommand(job, plan));
      expect(applied.ok).toBe(true);
    }
    const stick = best(found).wires.find(({ cable }) => cable.from.device === "stick");
    expect(stick?.cable.class).toBe("hdmi-extender");
  });

  test("that sits directly beside a socket that is needed now gets an extender or the plan goes round it", () => {
    const plugged = applyCommand(job, {
      kind: "plug",
      at: null,
      cable: {
        id: "direct",
        from: { device: "stick", port: "hdmi-out" },
        to: { device: "tv", port: "hdmi2" },
        class: "direct-plug",
        lengthM: 0.1,
        direction: "either",
        backwards: false,
        miswired: false,
        state: "sound",
        returnWires: "none",
        controlWire: true,
        label: "",
        tags: { from: "", to: "" },
        supply: "there",
      },
    });
    if (!plugged.ok) throw new Error("refused");
    for (const plan of planned(plugged.value.job, "best-sound").plans)
      expect(applyCommand(plugged.value.job, planCommand(plugged.value.job, plan)).ok).toBe(true);
  });
});

describe("a sound system to which no cable can run", () => {
  const devices = [
    { ...device("tv-arc", "tv"), room: "hall" },
    { ...device("bluetooth-speaker", "speaker"), room: "deck" },
    { ...device("streamer-4k", "streamer"), room: "hall" },
  ];
  const apart = (allowed: boolean) =>
    household({ runs: [{ id: "hall-deck", between: ["hall", "deck"], allowed, lengthM: 8 }] }, ...devices);

  test("is reached through the air, with a transmitter that counts as a part", () => {
    const plan = best(planned(apart(false), "best-sound", { "bluetooth-transmitter": 45 }));
    expect(plan).toMatchObject({ school: "wireless", archetypes: ["bluetooth-transmitter"] });
    expect(plan.figures.sound).toBeGreaterThan(0);
  });

  test("and where one can run Bluetooth is not thought of, and it is said why", () => {
    const found = planned(apart(true), "best-sound", { "bluetooth-transmitter": 45 });
    expect(found.plans.map(({ school }) => school)).not.toContain("wireless");
    expect(found.impossible).toContain("wireless");
    expect(impossibleSchool(apart(true), "wireless", "speaker")).toMatch(/a cable can run to speaker/);
  });
});

test("a long run is laid with fibres where copper would not carry the picture", () => {
  const run: Brief["runs"][number] = { id: "rack-screen", between: ["rack", "screen"], allowed: true, lengthM: 15 };
  const job = household(
    { runs: [run] },
    { ...device("projector", "projector"), room: "screen" },
    { ...device("receiver-72", "receiver"), room: "rack" },
    { ...device("disc-player-4k", "disc"), room: "rack" },
  );
  const plan = best(planned(job, "best-sound"));
  expect(plan.figures.picture).toBe(1);
  expect(plan.wires.find(({ cable }) => cable.to.device === "projector")?.cable).toMatchObject({
    class: "hybrid-optical-hdmi",
    direction: "one-way",
    lengthM: 15,
  });
});
