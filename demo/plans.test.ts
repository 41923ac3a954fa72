import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { without } from "@/demo/room-under-test";
import { arrivalsOf } from "@/core/chain";
import { applyCommand, type Job } from "@/core/job";
import { atHand, planCommand, PRESETS, searchPlans, wiringSpace, type Preset, type WiringPlan } from "@/core/plan";

function bestOf(job: Job, preset: Preset): WiringPlan {
  const space = wiringSpace(job, atHand(job));
  const found = space && searchPlans(space, PRESETS[preset], { onlyBest: true });
  if (!found?.plans[0]) throw new Error(`no plan for ${job.name}`);
  expect(found.proven).toBe(true);
  return found.plans[0];
}

const verdictsOf = (job: Job) => arrivalsOf(job).map(({ verdict }) => verdict);
const count = (job: Job, verdict: string) => verdictsOf(job).filter((one) => one === verdict).length;

describe("the best plan for sound of every system with a known answer", () => {
  const systems = demoJobNames("systems").map((name) => [name, demoJob(name, "systems")] as const);

  test.each(systems)("%s: heard, nobody left unplugged, no fewer rows whole than as found, and it can be plugged", (_, job) => {
    const plan = bestOf(job, "best-sound");
    expect(plan.figures.sound).toBeGreaterThan(0);
    expect(plan.figures.unplugged).toBe(0);
    // Rows count once for each screen that they come to.
    const shown = plan.places.size ? count(plan.job, "full") / Math.max(1, verdictsOf(plan.job).length) : 1;
    expect(shown).toBeGreaterThanOrEqual(plan.places.size ? count(job, "full") / Math.max(1, verdictsOf(job).length) : 0);
    expect(applyCommand(job, planCommand(job, plan)).ok).toBe(true);
  });

  test("02: the console leaves the screen with ARC for the bar, or what ARC cannot carry stays lost", () => {
    expect(Object.fromEntries(bestOf(demoJob("02-console-through-arc", "systems"), "best-sound").places)).toEqual({ console: "bar" });
  });

  test("11: the mode that makes stereo of everything is set back, whatever else is planned", () => {
    const { settings } = bestOf(demoJob("11-all-channel-stereo", "systems"), "best-sound");
    expect(settings).toContainEqual({ device: "receiver", key: "decode-mode", value: "auto" });
  });

  test("18: twelve metres of copper do not stay where a new cable may be laid", () => {
    const plan = bestOf(demoJob("18-long-run", "systems"), "best-sound");
    expect(plan.figures.picture).toBe(1);
  });
});

describe("the demo jobs", () => {
  test("Sail Loft: everything into the screen is easiest, and nothing is lost by it", () => {
    expect(bestOf(demoJob("sail-loft"), "easiest-to-use")).toMatchObject({
      school: "screen-hub",
      figures: { sound: 1, picture: 1, remotes: 1, steps: 0, unplugged: 0 },
    });
  });

  test("Flat 4B: sound comes only by a box before the screen, for whatever money there is", () => {
    for (const preset of ["best-sound", "least-spending"] as const) {
      const plan = bestOf(demoJob("flat-4b"), preset);
      expect(plan.school).toBe("split");
      expect(plan.figures.sound).toBeGreaterThanOrEqual(0.5);
    }
  });

  test("Village Hall: the matrix lights both screens, and fibres carry the picture to the booth", () => {
    const plan = bestOf(demoJob("village-hall"), "best-sound");
    expect(plan).toMatchObject({ school: "split", figures: { sound: 1, picture: 1, pulls: 1 } });
    expect([...new Set(plan.places.values())]).toEqual(["matrix"]);
    expect(plan.wires.filter(({ existing }) => !existing).map(({ cable }) => cable.class)).toEqual(["hybrid-optical-hdmi"]);
  });

  test("Receiver Den: the box that quarrels has its control off, and the receiver passes pictures on asleep, so all players stay in it", () => {
    for (const preset of ["best-sound", "easiest-to-use"] as const) {
      const plan = bestOf(demoJob("receiver-den"), preset);
      // The disc and the console would lose over ARC into the receiver; the box loses nothing here.
      expect(Object.fromEntries(plan.places)).toEqual({ "disc-player": "receiver", console: "receiver", "set-top-box": "receiver" });
      expect(plan.settings).toContainEqual({ device: "set-top-box", key: "cec", value: "off" });
      expect(plan.settings).toContainEqual({ device: "receiver", key: "standby-pass", value: "on" });
      expect(plan.wires.find(({ cable }) => cable.from.device === "set-top-box")?.cable.controlWire).toBe(true);
      expect(plan.figures).toMatchObject({ sound: 1, alone: 3, unplugged: 0 });
    }
  });

  test("Receiver Den with a receiver that passes nothing on asleep: where ease counts most, the console goes to the screen in stereo", () => {
    const den = demoJob("receiver-den");
    const dark = { ...den, devices: den.devices.map((one) => (one.id === "receiver" ? without(one, "standby-pass") : one)) };
    for (const preset of ["best-sound", "easiest-to-use"] as const) {
      const plan = bestOf(dark, preset);
      expect(Object.fromEntries(plan.places)).toMatchObject({ "disc-player": "receiver", "set-top-box": "television" });
      expect(plan.places.get("console")).toBe(preset === "best-sound" ? "receiver" : "television");
    }
  });

  test("Attic Screen: the streamer sits in the bar, for the projector hands nothing back", () => {
    expect(bestOf(demoJob("attic-screen"), "best-sound")).toMatchObject({ school: "sound-hub", figures: { sound: 1, picture: 1 } });
  });
});
