import { describe, expect, test } from "vitest";
import { device, room } from "@/demo/room-under-test";
import { whyNotPlug, type Cable, type Job } from "@/core/job";
import { givenUp, shoppingWords } from "@/core/text";
import { readPin, scheduleOf, shoppingOf } from "../report";
import { type Bond, type CableAtHand, hasAdapter, isUnchanged, suppliedBy, type Wire, wiresBetween, wiringSpace } from "../space";
import { searchPlans } from "./search";
import { PRESETS } from "../evaluation";

function planned(job: Job, bonds: readonly Bond[] = [], cables: readonly CableAtHand[] = []) {
  const space = wiringSpace(job, { boxes: [], cables }, { bonds });
  if (!space) throw new Error("nothing to plan");
  const [plan] = searchPlans(space, PRESETS["best-sound"], { onlyBest: true }).plans;
  if (!plan) throw new Error("no plan");
  return { space, plan };
}

const socketsOf = (wires: readonly Wire[]) =>
  Object.fromEntries(wires.map(({ cable }) => [cable.from.device, `${cable.to.device} ${cable.to.port}`]));

const players = [device("tv-arc", "tv"), device("bar-arc-only", "bar"), device("streamer-4k", "streamer"), device("set-top-box", "box")];

describe("sockets that are alike are given out", () => {
  test("first to whoever sits in one already: nothing is moved for nothing", () => {
    const lies = room(players, "bar hdmi-out > tv hdmi1", "box hdmi-out > tv hdmi3");
    const { plan } = planned(lies);
    expect(socketsOf(plan.wires)).toEqual({ bar: "tv hdmi1", box: "tv hdmi3", streamer: "tv hdmi2" });
    expect(scheduleOf(lies, plan).map(({ work }) => work)).toEqual(["stays", "new", "stays"]);
  });

  test("then to who is pinned to one, so that no two are told to take the same", () => {
    const job = room(players);
    const pin = readPin(job, "box:tv.hdmi2");
    if (!pin) throw new Error("no pin");
    expect(socketsOf(planned(job, [pin]).plan.wires)).toMatchObject({ box: "tv hdmi2", streamer: "tv hdmi3" });
  });

  test("and every wire of the plan can be plugged, one after the other", () => {
    const { plan } = planned(room(players));
    let now: Job = { ...plan.job, cables: [] };
    for (const cable of plan.job.cables) {
      expect(whyNotPlug(now, cable.from, cable.to)).toBeNull();
      now = { ...now, cables: [...now.cables, cable] };
    }
  });
});

describe("new cables", () => {
  const van = (lengthM: number, free: number): CableAtHand => ({ class: "ultra-high-speed", lengthM, price: lengthM * 6, free });

  test("come from the van as long as it has one that is long enough, the shortest first; the next is bought", () => {
    const { space, plan } = planned(room(players), [], [van(1, 5), van(3, 1), van(5, 1)]);
    const fresh = plan.wires.filter(({ existing }) => !existing);
    expect(fresh.map(({ cable }) => cable.supply).toSorted()).toEqual(["buy", "van", "van"]);
    expect(plan.figures).toMatchObject({ toBuy: 1, money: 3 * 18, unpriced: 0 });
    const bought = fresh.map((wire): Wire => ({ ...wire, cable: { ...wire.cable, supply: "buy" } }));
    expect(suppliedBy({ ...space, vanCables: [] }, bought).every(({ cable }) => cable.supply === "buy")).toBe(true);
    expect(shoppingOf(plan).map(shoppingWords)).toEqual([
      "2 × Ultra High Speed HDMI, 2\u2009m, from the van",
      "1 × Ultra High Speed HDMI, 2\u2009m",
    ]);
  });

  test("are none where the brief lets one buy none: who has no cable stays unplugged, and that is said", () => {
    const bare = room(players, "bar hdmi-out > tv hdmi1");
    const job: Job = { ...bare, brief: { ...bare.brief, mayBuy: [] } };
    const { plan } = planned(job);
    expect(plan.figures).toMatchObject({ newCables: 0, unplugged: 2 });
    expect(givenUp(plan).map(({ device: about }) => about)).toContain("streamer");
  });
});

describe("a wire", () => {
  const bare = room([device("tv-arc", "tv"), device("streamer-4k", "streamer")], "streamer hdmi-out > tv hdmi2");
  // The household listens to the screen itself.
  const job: Job = { ...bare, brief: { ...bare.brief, soundSystem: "tv" } };
  const [existing] = job.cables as [Cable];

  test("is unchanged only in the same sockets and with the same wires; an adapter takes the control wire out", () => {
    expect(isUnchanged({ cable: existing, existing })).toBe(true);
    expect(isUnchanged({ cable: { ...existing, to: { device: "tv", port: "hdmi3" } }, existing })).toBe(false);
    const cut: Wire = { cable: { ...existing, controlWire: false }, existing };
    expect([isUnchanged(cut), hasAdapter(cut)]).toEqual([false, true]);
    // A cable that was made without it needs none.
    expect(hasAdapter({ cable: { ...existing, controlWire: false }, existing: { ...existing, controlWire: false } })).toBe(false);
  });

  test("that lies and is of the best class is not laid again beside itself", () => {
    const best: Cable = { ...existing, class: "ultra-high-speed", returnWires: "earc", controlWire: true, lengthM: 2 };
    const of = (cable: Cable) => {
      const space = wiringSpace({ ...job, cables: [cable] }, { boxes: [] });
      return space
        ? wiresBetween(space, space.job, existing.from, { device: "tv", port: "hdmi2" }).map(({ cable: { class: kind } }) => kind)
        : [];
    };
    expect(of(best)).toEqual(["ultra-high-speed"]);
    expect(of({ ...best, class: "high-speed" })).toEqual(["high-speed", "ultra-high-speed"]);
    // Ten metres of copper are not certain: new copper and optical fibre are both considered.
    expect(of({ ...best, lengthM: 10 })).toEqual(["ultra-high-speed", "ultra-high-speed"]);
  });
});
