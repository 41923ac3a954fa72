import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { tries } from "@/demo/tries-under-test";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { scoreArrival, scorePicture, solve, solveAgain, type Arrival, type Solved } from "@/core/chain";
import { fromShelfOrThrow, type Device } from "@/core/device";
import type { SettingKey } from "@/core/facts";
import { applyCommand, emptyJob, joinSockets, type CableEnd, type Job } from "@/core/job";
import { commandOf, costOf, movedRows, possibleChanges, purchases, smallestChanges, weighedPurchases, type Change } from "@/core/plan";

const SEED = 20261124;
/** Sound and picture of every row, for comparing sums: by hand, a picture in small steps of the same size as one sound verdict. */
const total = (rows: readonly Arrival[]) => {
  const sum = rows.reduce(
    (all, row) => all + scoreArrival(row) + (scorePicture(row.picture, row.pictureLosses) / 1_073_741_824) * 1_000_000,
    0,
  );
  return Math.round(sum * 10_000) / 10_000;
};

/**
 * Every set of changes of a job, tried one by one without any bound: the highest sum that lowers nothing, and its least cost. Null where there
 * are more sets than that.
 */
function tryEverySet(job: Job, mostSets: number, boxes: readonly string[] = []): { total: number; cost: number } | null {
  const start = solve(job, "planned");
  let best = { total: total(start.rows), cost: 0 };
  const seen = new Set([""]);
  const queue: { changes: readonly Change[]; commands: readonly string[]; solved: Solved }[] = [
    { changes: [], commands: [], solved: start },
  ];
  for (let at = 0; at < queue.length; at += 1) {
    const node = queue[at];
    if (!node) break;
    const sum = total(node.solved.rows);
    const cost = costOf(node.changes);
    const { lowers, pictureLowers } = movedRows(start.rows, node.solved.rows);
    if (lowers.length + pictureLowers.length === 0 && (sum > best.total || (sum === best.total && cost < best.cost)))
      best = { total: sum, cost };
    const decided = new Set(node.changes.flatMap(({ decides }) => decides));
    const withBox = node.changes.some(({ kind }) => kind === "box");
    const inBoxes = withBox ? [] : boxes.flatMap((box) => purchases(node.solved.job, box));
    for (const change of [...possibleChanges(node.solved.job), ...inBoxes]) {
      if (change.decides.some((what) => decided.has(what))) continue;
      const changes = [...node.changes, change];
      const commands = [...node.commands, JSON.stringify(change.command)].toSorted();
      const key = commands.join("|");
      if (seen.has(key)) continue;
      seen.add(key);
      const applied = applyCommand(node.solved.job, change.command);
      if (applied.ok) queue.push({ changes, commands, solved: solveAgain(node.solved, applied.value.job) });
      if (queue.length > mostSets) return null;
    }
  }
  return best;
}

const only = (device: Device, keys: readonly SettingKey[]): Device => ({
  ...device,
  settings: device.settings.filter(({ key }) => keys.includes(key)),
});
const end = (device: string, port: string): CableEnd => ({ device, port });

/** A room small enough to try everything: one player, a TV, a bar, three settings, two cables. */
const smallRoom = fc
  .record({
    player: fc.constantFrom("streamer-4k", "console-mat", "disc-player-hd", "console-lpcm"),
    tv: fc.constantFrom("tv-earc", "tv-arc", "tv-stereo-hdmi"),
    bar: fc.constantFrom("bar-one-input", "bar-earc-only", "bar-subwoofer-hub"),
    intoBar: fc.boolean(),
    wires: fc.constantFrom("none", "arc", "earc"),
    settings: fc.shuffledSubarray<SettingKey>(["player-audio", "digital-output", "earc", "arc", "speakers", "decode-mode"], {
      minLength: 2,
      maxLength: 3,
    }),
    values: fc.array(fc.nat({ max: 5 }), { minLength: 8, maxLength: 8 }),
  })
  .map(({ player, tv, bar, intoBar, wires, settings, values }): Job => {
    let n = 0;
    const disturb = (device: Device): Device => ({
      ...device,
      settings: device.settings.map((row) => ({
        ...row,
        planned: row.options[(values[n++ % values.length] ?? 0) % row.options.length] ?? null,
      })),
    });
    let job: Job = {
      ...emptyJob("small"),
      devices: [
        disturb(only(fromShelfOrThrow(player, { id: "player" }), settings)),
        // Two inputs are enough to have one too many.
        disturb(only(fewerInputs(fromShelfOrThrow(tv, { id: "tv" })), settings)),
        disturb(only(fromShelfOrThrow(bar, { id: "bar" }), settings)),
      ],
    };
    const join = (a: CableEnd, b: CableEnd) => {
      const applied = applyCommand(job, joinSockets(job, a, b));
      if (applied.ok) job = applied.value.job;
      return applied.ok;
    };
    const back = job.devices[1]?.ports.find((port) => port.connector === "hdmi" && port.returns !== "none")?.id ?? "hdmi1";
    join(end("bar", "hdmi-out"), end("tv", back));
    if (!intoBar || !join(end("player", "hdmi-out"), end("bar", "hdmi-in")))
      join(end("player", "hdmi-out"), end("tv", back === "hdmi1" ? "hdmi2" : "hdmi1"));
    return { ...job, cables: job.cables.map((cable) => (cable.from.device === "bar" ? { ...cable, returnWires: wires } : cable)) };
  });

/** A player into a screen that returns nothing, beside a bar that listens only to its return socket; few settings. */
const roomWithoutReturn = fc
  .record({
    player: fc.constantFrom("streamer-4k", "console-mat", "disc-player-hd"),
    screen: fc.constantFrom("projector", "monitor-silent"),
    bar: fc.constantFrom("bar-earc-only", "bar-arc-optical"),
    setting: fc.constantFrom<SettingKey>("player-audio", "decode-mode", "earc"),
  })
  .map(({ player, screen, bar, setting }): Job => {
    const devices = [
      only(fromShelfOrThrow(player, { id: "player" }), [setting]),
      only(fromShelfOrThrow(screen, { id: "screen" }), []),
      only(fromShelfOrThrow(bar, { id: "bar" }), [setting]),
    ];
    const job: Job = { ...emptyJob("dark room"), devices };
    const applied = applyCommand(job, joinSockets(job, end("player", "hdmi-out"), end("screen", "hdmi1")));
    return applied.ok ? applied.value.job : job;
  });

function fewerInputs(tv: Device): Device {
  const back = tv.ports.find((port) => port.connector === "hdmi" && port.returns !== "none")?.id;
  const kept = new Set([back, "hdmi1", "hdmi2"]);
  const gone = (id: string) => /^hdmi\d$/.test(id) && !kept.has(id);
  const without = (ids: readonly string[]) => ids.filter((id) => !gone(id));
  return {
    ...tv,
    sources: [],
    ports: tv.ports.filter(({ id, connector }) => connector === "hdmi" && !gone(id)),
    routes: tv.routes
      .map((route) => ({
        ...route,
        from: without(route.from).filter((id) => id !== "apps" && id !== "tuner"),
        to: without(route.to).filter((id) => id !== "optical-out"),
      }))
      .filter(({ from, to }) => from.length > 0 && to.length > 0),
    presents: tv.presents.map((rule) => ({ ...rule, ports: without(rule.ports) })),
  };
}

describe("the smallest set of changes", () => {
  test("equals trying every set, wherever that finishes", () => {
    let compared = 0;
    fc.assert(
      fc.property(smallRoom, (job) => {
        const every = tryEverySet(job, 1500);
        const found = every && smallestChanges(job);
        if (!found || found.proof === "not-proven") return;
        compared += 1;
        expect({ total: total(found.best.after), cost: found.best.cost }).toEqual({ total: every.total, cost: every.cost });
      }),
      tries(30, 120, SEED),
    );
    expect(compared).toBeGreaterThan(4);
  }, 900_000);

  test("with a box at hand equals trying every set with and without it, wherever that finishes", () => {
    let compared = 0;
    let boxed = 0;
    fc.assert(
      fc.property(roomWithoutReturn, fc.constantFrom("earc-extractor-mixed", "earc-extractor-copy", "extractor"), (job, box) => {
        const every = tryEverySet(job, 6000, [box]);
        const found = every && smallestChanges(job, { boxes: [box] });
        if (!found || found.proof === "not-proven") return;
        compared += 1;
        if (found.best.changes.some(({ kind }) => kind === "box")) boxed += 1;
        expect({ total: total(found.best.after), cost: found.best.cost }).toEqual({ total: every.total, cost: every.cost });
      }),
      tries(6, 20, SEED),
    );
    expect(compared).toBeGreaterThan(0);
    expect(boxed).toBeGreaterThan(0);
  }, 900_000);

  test("Flat 4B: the box in the van is found by the search, with what else it needs", () => {
    const flat = demoJob("flat-4b");
    const { best } = smallestChanges(flat, { boxes: ["earc-extractor-mixed"] });
    expect(best.changes.map(({ kind }) => kind)).toContain("box");
    expect(best.lowers).toEqual([]);
    expect(smallestChanges({ ...flat, brief: { ...flat.brief, mayBuy: [] } }, { boxes: ["earc-extractor-mixed"] }).best.changes).toEqual(
      [],
    );
  });

  test("is nothing where all is whole, and says that every row stands as high as it can", () => {
    for (const name of demoJobNames().filter((one) => one !== "village-hall"))
      expect(smallestChanges(demoJob(name))).toMatchObject({ best: { changes: [], cost: 0 }, proof: "every-row" });
  });

  test("counts pictures: 15 m of copper to the projector guarantee nothing at 17.82 Gb/s, and light in its place does", () => {
    const { best, proof } = smallestChanges(demoJob("village-hall"));
    expect(proof).toBe("every-row");
    expect(best.changes.map(({ command }) => command)).toMatchObject([{ kind: "edit-cable", cable: "matrix-projector" }]);
    expect(best).toMatchObject({ lifts: [], lowers: [], pictureLowers: [] });
    expect(best.pictureLifts).toHaveLength(3);
  });

  test("finds three changes that only help together: the plug into the eARC socket and both switches", () => {
    // System 1: the return carries nothing from HDMI 1, whatever is switched; cost 3 + 1 + 1.
    const { best, proof } = smallestChanges(demoJob("01-receiver-hub-optical", "systems"));
    expect(proof).toBe("every-row");
    expect(best.cost).toBe(5);
    expect(best.changes.map(({ kind }) => kind).toSorted()).toEqual(["plug", "setting", "setting"]);
    expect(best.lowers).toEqual([]);
  });

  test("takes a setting before a plug, and a plug before a cable", () => {
    const loft = demoJob("sail-loft");
    const bare: Job = {
      ...loft,
      cables: loft.cables.map((cable) => (cable.id === "bar-tv" ? { ...cable, returnWires: "none" as const } : cable)),
    };
    expect(smallestChanges(bare).best.changes.map(({ kind }) => kind)).toEqual(["cable"]);
    const wrong: Job = {
      ...loft,
      cables: loft.cables.map((cable) => (cable.id === "bar-tv" ? { ...cable, to: { device: "television", port: "hdmi4" } } : cable)),
    };
    expect(smallestChanges(wrong).best.changes.map(({ kind }) => kind)).toEqual(["plug"]);
  });

  test("with nothing to be bought leaves the cable and says that this is the best together", () => {
    const loft = demoJob("sail-loft");
    const bare: Job = {
      ...loft,
      cables: loft.cables.map((cable) => (cable.id === "bar-tv" ? { ...cable, returnWires: "none" as const } : cable)),
    };
    const { best } = smallestChanges(bare, { kinds: ["setting", "plug"] });
    expect(best.changes.every(({ kind }) => kind !== "cable")).toBe(true);
    expect(best.lowers).toEqual([]);
  });

  test("cut off, says that it proves nothing", () => {
    const job = demoJob("01-receiver-hub-optical", "systems");
    expect(smallestChanges(job, { mostNodes: 2 }).proof).toBe("not-proven");
  });

  test("made as one command, does what it says", () => {
    const job = demoJob("01-receiver-hub-optical", "systems");
    const { best } = smallestChanges(job);
    const applied = applyCommand(job, commandOf(best));
    expect(applied.ok && solve(applied.value.job, "planned").rows).toEqual(best.after);
  });
});

describe("what buying one thing would add", () => {
  test("Flat 4B: a bar with its own inputs does nothing by itself, a TV with a return channel makes it sound", () => {
    const flat = demoJob("flat-4b");
    expect(weighedPurchases(flat, "tv-earc")[0]).toMatchObject({
      kind: "box",
      lifts: expect.arrayContaining(["streamer/apps/film-ddp-atmos"]) as unknown,
    });
    expect(weighedPurchases(flat, "projector")).toEqual([]);
  });

  test("Flat 4B: an eARC extractor in a player's cable lifts that player, and the bar's return goes into it", () => {
    const flat = demoJob("flat-4b");
    const [first] = weighedPurchases(flat, "earc-extractor-mixed");
    expect(first?.lifts.length).toBeGreaterThan(0);
    expect(first?.lowers).toEqual([]);
  });

  test("nothing on the shelf by that name adds nothing", () => expect(weighedPurchases(demoJob("flat-4b"), "no-such-thing")).toEqual([]));
});

test("when its time is over the search gives the best it has and says that it is not proven", () => {
  const job = demoJob("village-hall");
  const whole = smallestChanges(job);
  // A clock that every look moves on by a second.
  let now = 0;
  const cut = smallestChanges(job, { clock: () => (now += 1000), mostMs: 12_000 });
  expect(cut.proof).toBe("not-proven");
  expect(cut.looked).toBeLessThan(whole.looked);
  expect(cut.best.cost).toBeGreaterThanOrEqual(0);
  expect(smallestChanges(job, { clock: () => 0, mostMs: 1 })).toMatchObject({ proof: whole.proof, looked: whole.looked });
});
