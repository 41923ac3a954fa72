import fc from "fast-check";
import { expect, test } from "vitest";
import { device, withQuirks } from "@/demo/room-under-test";
import { tries } from "@/demo/tries-under-test";
import { effectiveSetting, type Device } from "@/core/device";
import { applyCommand, emptyJob, joinSockets, type CableEnd, type Job, type Want } from "@/core/job";
import { PRESETS, type Preset } from "../evaluation";
import { searchPlans } from "../search";
import { wiringSpace } from "../space";
import { worthOfRoom } from "./check";

/**
 * The judge of what is called best that knows nothing of how it was found: it lays every cable there could be and sets every switch there is,
 * without the search's topologies, sockets, settings or bounds, and weighs each room through the full engine.
 */

/** What a room of this test is made of. */
interface Parts {
  readonly screen: string;
  readonly system: string;
  readonly players: readonly string[];
  /** A second screen with its own apps or tuner; then there are no players. */
  readonly second: string | null;
  readonly box: string | null;
  readonly preset: Preset;
  readonly free: readonly string[];
  /** The first player wakes by itself and takes the screen. */
  readonly quarrels: boolean;
  readonly newsFrom: Job["brief"]["newsFrom"];
  readonly must: Want | null;
  readonly hope: Want | null;
}

const wants: fc.Arbitrary<Want> = fc.constantFrom<Want>(
  { want: "whole", device: "p0" },
  { want: "sounds", device: "screen" },
  { want: "picture", device: "p0" },
  { want: "remotes", most: 2 },
);

const parts: fc.Arbitrary<Parts> = fc
  .record({
    screen: fc.constantFrom("tv-arc", "tv-earc", "tv-no-return"),
    system: fc.constantFrom("bar-one-input", "bar-arc-optical", "receiver-51"),
    players: fc.array(fc.constantFrom("streamer-4k", "console-mat", "disc-player-hd"), { minLength: 1, maxLength: 2 }),
    second: fc.option(fc.constantFrom("tv-arc", "tv-no-return", "tv-coaxial"), { freq: 1 }),
    box: fc.option(fc.constantFrom("earc-extractor-mixed", "switch-3x1", "splitter-1x2"), { freq: 2 }),
    preset: fc.constantFrom<Preset>("best-sound", "easiest-to-use", "least-spending"),
    free: fc.subarray(["arc", "earc", "cec", "digital-output"], { minLength: 1, maxLength: 2 }),
    quarrels: fc.boolean(),
    newsFrom: fc.constantFrom<Job["brief"]["newsFrom"]>("system", "screen"),
    must: fc.option(wants, { freq: 1 }),
    hope: fc.option(wants, { freq: 1 }),
  })
  .map((one) => {
    if (one.box) return { ...one, players: one.players.slice(0, 1), free: one.free.slice(0, 1), second: null };
    if (!one.second) return one;
    const ofScreens = (want: Want | null) => (want && "device" in want && want.device === "p0" ? null : want);
    return { ...one, players: [], free: one.free.slice(0, 1), must: ofScreens(one.must), hope: ofScreens(one.hope) };
  });

/** A device on which only the named settings can be turned, each between how it was found and at most two others. */
const turning = (one: Device, keys: readonly string[]): Device => ({
  ...one,
  settings: one.settings.map((row) => ({
    ...row,
    options: keys.includes(row.key)
      ? [...new Set([row.found, ...row.options].flatMap((value) => value ?? []))]
          .filter((value) => value === row.found || TRIED.has(value))
          .slice(0, 3)
      : row.options.filter((value) => value === row.found),
  })),
});
const TRIED: ReadonlySet<string> = new Set(["on", "off", "auto", "pcm", "pass-through"]);

function jobOf({ screen, second, system, players, free, quarrels, newsFrom }: Parts): Job {
  const at = (kind: string, id: string) => turning(device(kind, id), free);
  const empty = emptyJob("Every room");
  const own = players.map((kind, index) => {
    const player = turning(device(kind, `p${index}`), []);
    return quarrels && index === 0 ? withQuirks(player, "wakes-by-itself", "steals-source") : player;
  });
  return {
    ...empty,
    brief: { ...empty.brief, newsFrom },
    devices: [at(screen, "screen"), ...(second ? [at(second, "second")] : []), at(system, "system"), ...own],
  };
}

/** Every way to lay cables: each output into one input or none, a player by its HDMI plug alone, and no two cables between the same two sockets' devices. */
function* everyWiring(job: Job): Generator<Job> {
  const outputs = job.devices.flatMap(({ id, role, ports }) =>
    ports.flatMap((port): CableEnd[] =>
      port.direction === "out" && (role !== "player" || port.connector === "hdmi") ? [{ device: id, port: port.id }] : [],
    ),
  );
  const inputs = job.devices.flatMap(({ id, ports }) =>
    ports.flatMap((port): CableEnd[] => (port.direction === "in" ? [{ device: id, port: port.id }] : [])),
  );
  function* lay(now: Job, at: number): Generator<Job> {
    const from = outputs[at];
    if (!from) return yield now;
    yield* lay(now, at + 1);
    for (const to of inputs) {
      const isTwice = now.cables.some((cable) => cable.from.device === from.device && cable.to.device === to.device);
      if (to.device === from.device || isTwice) continue;
      const command = joinSockets(now, from, to);
      if (command.kind !== "plug") continue;
      // What quarrels on the control wire can also be plugged by an adapter without it.
      const quarrels = now.devices.some(({ id, control }) => id === from.device && control.quirks.length > 0);
      for (const controlWire of quarrels ? [true, false] : [true]) {
        const applied = applyCommand(now, { ...command, cable: { ...command.cable, supply: "buy", controlWire } });
        if (applied.ok) yield* lay(applied.value.job, at + 1);
      }
    }
  }
  yield* lay(job, 0);
}

/** The room with every switch that can be turned in each of its positions. */
function* everySetting(job: Job): Generator<Job> {
  const switches = job.devices.flatMap(({ id, settings }) =>
    settings.flatMap(({ key, options }) => (options.length > 1 ? [{ id, key, options }] : [])),
  );
  function* turn(now: Job, at: number): Generator<Job> {
    const one = switches[at];
    if (!one) return yield now;
    for (const value of one.options) {
      const set = (device: Device): Device =>
        device.id !== one.id || effectiveSetting(device, one.key, "planned") === value
          ? device
          : { ...device, settings: device.settings.map((row) => (row.key === one.key ? { ...row, planned: value } : row)) };
      yield* turn({ ...now, devices: now.devices.map(set) }, at + 1);
    }
  }
  yield* turn(job, 0);
}

test("no room there is, whatever is laid and set, is worth more than the plan that is called best", () => {
  let rooms = 0;
  fc.assert(
    fc.property(parts, (one) => {
      const job = jobOf(one);
      const box = one.box ? turning(device(one.box, "box"), []) : null;
      const wishes = { musts: one.must ? [one.must] : [], hopes: one.hope ? [one.hope] : [] };
      const space = wiringSpace(job, { boxes: box ? [{ device: box, price: 90, isThere: false }] : [] }, wishes);
      if (!space) throw new Error("nothing to plan");
      const weights = PRESETS[one.preset];
      const found = searchPlans(space, weights);
      const [best] = found.plans;
      expect(found.proven).toBe(true);
      let most = -Infinity;
      for (const bare of [job, ...(box ? [{ ...job, devices: [...job.devices, { ...box, room: null, supply: "van" as const }] }] : [])])
        for (const wired of everyWiring(bare))
          for (const room of everySetting(wired)) {
            rooms += 1;
            const points = worthOfRoom(space, weights, room, best?.figures.heard);
            most = Math.max(most, points ?? -Infinity);
            if (points !== null && points > (best?.points ?? -Infinity) + 1e-6)
              expect.fail(
                `${points} > ${best?.points}: ${room.cables.map(({ from, to }) => `${from.device} ${from.port} > ${to.device} ${to.port}`).join(", ")}; ${room.devices.flatMap(({ id, settings }) => settings.flatMap(({ key, planned }) => (planned ? [`${id} ${key} ${planned}`] : []))).join(", ")}`,
              );
          }
      // The plan itself is among them; where there is none, no room fulfils what must be.
      if (best) expect(most).toBeCloseTo(best.points, 6);
      else expect(most).toBe(-Infinity);
    }),
    tries(6, 60, 174),
  );
  expect(rooms).toBeGreaterThan(1000);
}, 600_000);
