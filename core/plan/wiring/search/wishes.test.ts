import { describe, expect, test } from "vitest";
import { device, room, without } from "@/demo/room-under-test";
import type { Device } from "@/core/device";
import { applyCommand, emptyJob, type Brief, type Job } from "@/core/job";
import { boxOfShelf, wiringSpace } from "../space";
import { searchPlans } from "./search";
import { HOPE_POINTS, PRESETS, weightsOf } from "../evaluation";

const household = (brief: Partial<Brief>, ...devices: readonly Device[]): Job => ({
  ...emptyJob("Room"),
  brief: { ...emptyJob("Room").brief, ...brief },
  devices: [...devices],
});

function best(job: Job, boxes: Readonly<Record<string, number>> = {}) {
  const own = Object.entries(boxes).flatMap(([archetype, price]) => boxOfShelf(job, archetype, price, "van") ?? []);
  const space = wiringSpace(job, { boxes: own });
  const found = space && searchPlans(space, weightsOf(job.brief));
  return { plan: found?.plans[0], proven: found?.proven };
}

/** A receiver that passes no picture on while it sleeps, so that the disc is easier to watch in the screen. */
const arc = [device("tv-arc", "tv"), without(device("receiver-51", "receiver"), "standby-pass"), device("disc-player-hd", "disc")];

describe("what the brief wishes of plans", () => {
  test("a hope turns the choice where it is worth more than what it costs, and is given up where it is not", () => {
    // Over ARC the disc loses what only the receiver's own input takes whole.
    const easy = household({ weighing: "easiest-to-use" }, ...arc);
    expect(best(easy).plan?.places.get("disc")).toBe("tv");
    const hoped = household({ weighing: "easiest-to-use", hopes: [{ want: "whole", device: "disc" }] }, ...arc);
    expect(best(hoped).plan?.places.get("disc")).toBe("receiver");
    const heavy = household(
      { weighing: { ...PRESETS["easiest-to-use"], sound: 0, ease: 100 }, hopes: [{ want: "whole", device: "disc" }] },
      ...arc,
    );
    expect(best(heavy).plan?.places.get("disc")).toBe("tv");
  });

  test("a box that may be bought comes with its cables, though no other cable may be", () => {
    const found = room(
      [device("projector", "projector"), device("bar-arc-optical", "bar"), device("streamer-4k", "streamer")],
      "streamer hdmi-out > projector hdmi1",
    );
    const boxed = best({ ...found, brief: { ...found.brief, mayBuy: ["box"] } }, { extractor: 60 });
    expect(boxed).toMatchObject({ proven: true, plan: { figures: { heard: true, unplugged: 0 } } });
    expect(boxed.plan?.boxes.map(({ device: { archetype } }) => archetype)).toEqual(["extractor"]);
    // Whoever wants no new cable at all gets none with a box either.
    const none = best({ ...found, brief: { ...found.brief, mayBuy: ["box"], bonds: [{ bond: "forbid-new-cables" }] } }, { extractor: 60 });
    expect(none.plan?.figures.heard).toBe(false);
  });

  test("a hope that every plan fulfils adds the same to all of them", () => {
    const without = best(household({}, ...arc)).plan?.points ?? NaN;
    const hoped = best(
      household(
        {
          hopes: [
            { want: "remotes", most: 9 },
            { want: "sounds", device: "disc" },
          ],
        },
        ...arc,
      ),
    );
    expect(hoped).toMatchObject({ proven: true });
    expect(hoped.plan?.points).toBeCloseTo(without + 2 * HOPE_POINTS, 9);
  });

  test("one remote for every act leaves no plan in which a second one is taken", () => {
    const knob = [device("tv-arc", "tv"), device("amplifier-knob", "amplifier")];
    const boxes = { "arc-adapter": 90, "dac-optical": 30 };
    const cheap = best(household({ weighing: "least-spending" }, ...knob), boxes);
    expect(cheap.plan?.figures.remotes).toBeGreaterThan(1);
    const one = best(household({ weighing: "least-spending", musts: [{ want: "remotes", most: 1 }] }, ...knob), boxes);
    expect(one.plan).toMatchObject({ school: "adapter", figures: { remotes: 1 } });
  });

  test("a picture on every screen is only had where a box shares it out", () => {
    const two = [
      device("tv-earc", "tv"),
      device("projector", "projector"),
      device("receiver-72", "receiver"),
      device("disc-player-4k", "disc"),
    ];
    const cheap = { weighing: "least-spending" } as const;
    expect(best(household(cheap, ...two), { "splitter-1x2": 60 }).plan?.boxes).toEqual([]);
    const wished = best(household({ ...cheap, musts: [{ want: "everywhere", device: "disc" }] }, ...two), { "splitter-1x2": 60 });
    expect(wished.plan?.boxes.map(({ device: { archetype } }) => archetype)).toEqual(["splitter-1x2"]);
    expect(wished.plan?.figures.picture).toBeGreaterThan(0.8);
  });
});

describe("a device that goes takes what was wished of it along", () => {
  test("and the undo brings both back", () => {
    const job = household(
      {
        bonds: [{ bond: "pin", player: "disc", hub: "receiver", port: null }, { bond: "forbid-new-cables" }],
        musts: [{ want: "whole", device: "disc" }],
        hopes: [{ want: "picture", device: "tv" }],
      },
      ...arc,
    );
    const gone = applyCommand(job, { kind: "remove-device", device: "disc" });
    if (!gone.ok) throw new Error("refused");
    expect(gone.value.job.brief).toMatchObject({
      bonds: [{ bond: "forbid-new-cables" }],
      musts: [],
      hopes: [{ want: "picture", device: "tv" }],
    });
    const back = applyCommand(gone.value.job, gone.value.inverse);
    expect(back.ok && back.value.job).toEqual(job);
  });

  test("and a wish of a device that the job has not is refused", () => {
    const job = household({}, ...arc);
    expect(applyCommand(job, { kind: "edit-brief", fields: { hopes: [{ want: "whole", device: "nobody" }] } })).toMatchObject({
      ok: false,
      refusal: { code: "no-such-device", device: "nobody" },
    });
  });
});
