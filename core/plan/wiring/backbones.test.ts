import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { device, room, withQuirks } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { cableClassFact } from "@/core/facts";
import { findPort, whyNotPlug } from "@/core/job";
import { backbonesOf } from "./backbones";
import { boxOfShelf } from "./at-hand";
import { Room } from "./by-questions";
import { Caps } from "./caps";
import { backboneEffort, foreseenPlan, planOf } from "./make-plan";
import { passedIn } from "./passed";
import { jobWith } from "./room-of";
import { bestSettled, Worth } from "./nodes";
import { effortPoints } from "./effort";
import { commonActs, remotesNeeded } from "./figures";
import { groundsOf, newMeasure, rowsIn, sharpened, type Ground, type Measure } from "./grounds";
import { hear } from "./hear";
import { plugsOf, type Plug } from "./plugs";
import { judge, unplugged, type PlayerOption } from "./settle";
import { standInOf } from "./stand-in";
import { BySwitches, switchesOf } from "./switches";
import { hubOf, schoolsOn } from "./schools";
import { inputKinds, NO_SOCKETS } from "./sockets";
import { wiringSpace, type WiringSpace } from "./space";
import { PRESETS } from "./weights";

const rooms = fc.record({
  screen: fc.constantFrom("tv-arc", "tv-earc", "tv-no-return", "projector", "tv-coaxial"),
  system: fc.constantFrom("bar-one-input", "bar-arc-optical", "receiver-51", "amplifier-knob"),
  players: fc.array(fc.constantFrom("streamer-4k", "console-mat", "disc-player-hd"), { maxLength: 3 }),
  box: fc.constantFrom(
    "earc-extractor-mixed",
    "switch-3x1",
    "arc-adapter",
    "extractor",
    "splitter-1x2",
    "matrix-4x2",
    "optical-to-coaxial",
  ),
  second: fc.boolean(),
  quarrels: fc.boolean(),
});
type RoomParts = typeof rooms extends fc.Arbitrary<infer One> ? One : never;

function spaceOf({ screen, system, players, box, second, quarrels }: RoomParts): WiringSpace {
  const projector = second ? [device("projector", "projector")] : [];
  const job = room([
    device(screen, "screen"),
    ...projector,
    device(system, "system"),
    ...players.map((kind, index) =>
      index === 0 && quarrels ? withQuirks(device(kind, "p0"), "wakes-by-itself", "steals-source") : device(kind, `p${index}`),
    ),
  ]);
  const space = wiringSpace(job, { boxes: [boxOfShelf(job, box, 50, "van")].flatMap((one) => one ?? []) });
  if (!space) throw new Error("nothing to plan");
  return space;
}

describe("every backbone", () => {
  test("can be plugged cable by cable, has one lead into the sound system at most, and no box that nothing goes through", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        for (const { wires, boxes, hubs } of backbonesOf(space)) {
          const job = jobWith(space, hubs, wires);
          let bare = { ...job, cables: space.fixedCables.slice() };
          for (const { cable } of wires) {
            expect(whyNotPlug(bare, cable.from, cable.to)).toBeNull();
            bare = { ...bare, cables: [...bare.cables, cable] };
          }
          const leads = wires.filter(({ cable }) => cable.to.device === "system" && cableClassFact(cable.class).ends[0] !== "hdmi");
          expect(leads.length).toBeLessThanOrEqual(1);
          for (const { device: box } of boxes)
            expect(wires.some(({ cable }) => cable.from.device === box.id || cable.to.device === box.id)).toBe(true);
          expect(hubs.map(({ id }) => id)).toContain("screen");
        }
      }),
      { numRuns: 40, seed: 31 },
    );
  });

  test("hangs the sound system on a return socket where the screen has one", () => {
    const space = spaceOf({ screen: "tv-earc", system: "bar-one-input", players: [], box: "switch-3x1", second: false, quarrels: false });
    const backs = [...backbonesOf(space)].flatMap(({ hubs, wires }) =>
      wires.flatMap(({ cable }) =>
        cable.from.device === "system" && cable.to.device === "screen" ? [findPort(jobWith(space, hubs, wires), cable.to)] : [],
      ),
    );
    expect(backs.length).toBeGreaterThan(0);
    for (const port of backs) expect(port?.connector === "hdmi" && port.returns).toBe("earc");
  });
});

describe("leads for sound alone", () => {
  const leads = (system: RoomParts["system"], box: RoomParts["box"]) => {
    const space = spaceOf({ screen: "tv-no-return", system, players: ["streamer-4k"], box, second: false, quarrels: false });
    const kinds = [...backbonesOf(space)]
      .flatMap(({ wires }) => wires.map(({ cable }) => cable))
      .filter(({ to }) => to.device === "system");
    return new Set(kinds.filter(({ from }) => from.device === box).map(({ class: kind }) => kind));
  };

  test("an analogue one is not thought of beside a digital one where the far end decodes all that can come over that", () => {
    expect(leads("receiver-51", "extractor")).toEqual(new Set(["optical"]));
  });

  test("where the far end takes analogue alone one such lead is thought of, not two", () => {
    expect(leads("amplifier-knob", "extractor").size).toBe(1);
  });
});

describe("players that are alike in everything but their name", () => {
  test("stand for each other, but for the first, on which the acts about nobody hang; one that is set otherwise stands for itself", () => {
    const [a, b, c, other] = ["a", "b", "c", "other"].map((id) => device("streamer-4k", id));
    if (!a || !b || !c || !other) throw new Error("no players");
    const turned = { ...other, settings: other.settings.map((row) => (row.key === "player-audio" ? { ...row, found: "pcm" } : row)) };
    const space = wiringSpace(room([device("tv-earc", "tv"), device("bar-one-input", "bar"), a, b, c, turned]), { boxes: [] });
    if (!space) throw new Error("nothing to plan");
    const measure = newMeasure(space, PRESETS["best-sound"]);
    const [backbone] = backbonesOf(space);
    if (!backbone) throw new Error("no backbone");
    const standIns = plugsOf(measure, backbone).tables.map((plugs, index) => {
      const player = space.players[index];
      const { wire = null, kind = null } = plugs.find((plug) => plug.wire) ?? {};
      return player && wire && kind ? standInOf(space, player, { wire, kind }) : null;
    });
    expect(standIns.map((one) => one?.device.id)).toEqual(["a", "b", "b", "other"]);
    expect(standIns.map((one) => one?.wire.cable.from.device)).toEqual(["a", "b", "b", "other"]);
  });
});

describe("answers by switches", () => {
  const hub = device("tv-earc", "tv");
  const set = (key: string, value: string) => ({
    ...hub,
    settings: hub.settings.map((row) => (row.key === key ? { ...row, planned: value } : row)),
  });

  test("hold while what was asked about stands alike, whatever else is set, and only then", () => {
    const told = new BySwitches<number>();
    let worked = 0;
    const of = (tv: typeof hub) => told.of([tv], () => ({ answer: (worked += 1), asked: ["setting tv earc", "device tv"] })).answer;
    expect([of(hub), of(set("digital-output", "pcm")), of(set("earc", "off")), of(hub)]).toEqual([1, 1, 2, 1]);
  });
});

describe("sockets", () => {
  test("that are alike in every fact are told once; those of another rate, of a return, or taken are not among them", () => {
    const tv = device("tv-arc", "tv");
    const kinds = inputKinds(tv, NO_SOCKETS);
    expect(kinds.map(({ ports }) => ports.length).reduce((sum, count) => sum + count, 0)).toBe(
      tv.ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "in").length,
    );
    expect(kinds.find(({ ports }) => ports.includes("hdmi1"))?.ports).toEqual(["hdmi1"]);
    expect(kinds.find(({ ports }) => ports.includes("hdmi2"))?.ports.length).toBeGreaterThan(1);
  });

  test("out of which sound goes are none for a player", () => {
    expect(inputKinds(device("earc-extractor-mixed", "box"), NO_SOCKETS).flatMap(({ ports }) => ports)).toEqual(["hdmi-in"]);
  });
});

describe("a box that only gathers sockets", () => {
  test("is no hub of its own: whoever sits in it comes in where it leads", () => {
    // More players than the screen has sockets of a kind: nothing is gathered where there are enough.
    const players = Array.from({ length: 4 }, () => "streamer-4k" as const);
    const space = spaceOf({ screen: "tv-arc", system: "receiver-51", players, box: "switch-3x1", second: false, quarrels: false });
    expect([...backbonesOf({ ...space, players: [] })].filter(({ boxes }) => boxes.length === 1)).toEqual([]);
    const gathered = [...backbonesOf(space)].filter(({ boxes }) => boxes.length === 1);
    expect(gathered.length).toBeGreaterThan(0);
    for (const backbone of gathered) {
      const onward = backbone.wires.find(({ cable }) => cable.from.device === "switch-3x1");
      expect(hubOf(backbone, "switch-3x1")).toBe(onward?.cable.to.device);
      expect(schoolsOn(space, backbone)).not.toContain("split");
    }
  });
});

/** A plug worked out whole, whatever could win. */
const settle = (measure: Measure, ground: Ground, plug: Plug): PlayerOption | null =>
  plug.wire ? judge(measure, ground, plug, hear(measure, ground, plug).answer) : unplugged(measure, plug);

/** Every plug of every player on the first grounds of the first backbones of a space, worked out. */
function* worked(space: WiringSpace, backbones: number, grounds: number) {
  const measure = sharpened(newMeasure(space, PRESETS["best-sound"]));
  for (const backbone of [...backbonesOf(space)].slice(0, backbones)) {
    const { tables } = plugsOf(measure, backbone);
    const all = [...groundsOf(measure, backbone)].slice(0, grounds);
    yield {
      measure,
      backbone,
      tables,
      grounds: all.map((ground) => ({
        ground,
        options: tables.map((plugs) => plugs.map((plug) => ({ plug, option: settle(measure, ground, plug) }))),
      })),
    };
  }
}

const kindOf = ({ kind }: Pick<PlayerOption, "kind">) => (kind ? `${kind.device} ${kind.ports.join()}` : "");

describe("the bound of an assignment", () => {
  const weights = PRESETS["best-sound"];

  test("is never below what the plan has: any options of any players, played whole", () => {
    fc.assert(
      fc.property(rooms, fc.array(fc.nat(), { minLength: 8, maxLength: 8 }), (one, picks) => {
        const space = spaceOf(one);
        let pick = 0;
        for (const { measure, backbone, grounds } of worked(space, 4, 2))
          for (const { ground, options } of grounds) {
            const taken = new Map<string, number>();
            const chosen = options.flatMap((plugs): PlayerOption[] => {
              const free = plugs.flatMap(({ option }) =>
                option && (!option.kind || (taken.get(kindOf(option)) ?? 0) < option.kind.ports.length) ? [option] : [],
              );
              const option = free[(picks[(pick += 1) % picks.length] ?? 0) % free.length];
              if (option?.kind) taken.set(kindOf(option), (taken.get(kindOf(option)) ?? 0) + 1);
              return option ? [option] : [];
            });
            const plan = planOf(measure, ground, "mixed", chosen);
            const ease = space.players.length ? 0 : weights.ease;
            const before = ground.points + ease - effortPoints(backboneEffort(space, backbone), weights);
            if (plan) expect(plan.points).toBeLessThanOrEqual(before + chosen.reduce((sum, { points }) => sum + points, 0) + 1e-6);
            for (const { remotes } of chosen)
              if (plan) expect(remotesNeeded(plan.figures.acts, commonActs(space))).toBeGreaterThanOrEqual(remotes);
            // What arrives of each alone is what arrives of all together.
            expect(foreseenPlan(measure, ground, "mixed", chosen)?.points ?? null).toEqual(plan && expect.closeTo(plan.points, 6));
          }
      }),
      { numRuns: 60, seed: 32 },
    );
  });

  test("from the way of its sound and from who hears whom is never below what the plug brings, with any settings of the hubs", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { measure, backbone, tables, grounds } of worked(spaceOf(one), 6, 4)) {
          const caps = new Caps(measure, backbone);
          tables.flat().forEach((plug) => caps.look(plug));
          for (const { plug, option } of grounds.flatMap(({ options }) => options.flat()))
            if (option) expect(option.points).toBeLessThanOrEqual(caps.of(plug) + 1e-6);
        }
      }),
      { numRuns: 80, seed: 36 },
    );
  });

  test("from the reach of a socket alone is never below what the plug brings, nor is what one ground tells of another", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { grounds } of worked(spaceOf(one), 6, 6))
          for (const { ground, options } of grounds)
            options.forEach((plugs, player) =>
              plugs.forEach(({ plug, option }, at) => {
                if (!option) return;
                expect(option.points).toBeLessThanOrEqual(plug.most + 1e-6);
                for (const other of grounds.filter((one) => switchesOf(one.ground) === switchesOf(ground)))
                  expect(other.options[player]?.[at]?.option?.points ?? -Infinity).toBeLessThanOrEqual(option.most + 1e-6);
              }),
            );
      }),
      { numRuns: 60, seed: 34 },
    );
  });

  test("worked out only where it could win is the same as worked out everywhere", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { measure, backbone, tables, grounds } of worked(spaceOf(one), 4, 2))
          for (const { ground, options } of grounds) {
            const found = bestSettled(tables, new Worth(measure, ground, new Map(), new Caps(measure, backbone)), -Infinity);
            const all = new Worth(measure, ground, new Map(), new Caps(measure, backbone));
            for (const _step of [1, 2, 3]) options.flat().forEach(({ plug }) => all.advance(plug));
            expect(found?.worth).toBeCloseTo(bestSettled(tables, all, -Infinity)?.worth ?? NaN, 9);
          }
      }),
      { numRuns: 40, seed: 35 },
    );
  });
});

describe("what passes of a player, remembered from room to room", () => {
  test("equals what is worked out anew, whatever was asked before", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        const measure = newMeasure(space, PRESETS["best-sound"]);
        for (const { hubs, wires } of [...backbonesOf(space)].slice(0, 12))
          for (const { wire, player } of plugsOf(measure, { boxes: [], hubs, wires }).tables.flat()) {
            const device = space.players.find(({ id }) => id === player);
            if (!wire || !device) continue;
            const job = jobWith(space, hubs, [...wires, wire], [device]);
            const fresh = newMeasure(space, PRESETS["best-sound"]);
            const besides = new Room({ devices: [device], cables: [wire.cable] }, new Room(jobWith(space, hubs, wires)));
            expect(passedIn(measure, besides, device, () => job)).toEqual(passedIn(fresh, new Room(job), device, () => job));
          }
      }),
      { numRuns: 40, seed: 36 },
    );
  });

  test("is never taken for the same where cables differ: fibres in place of copper bring the picture whole", () => {
    const run = { id: "wall", between: ["rack", "screen"] as [string, string], allowed: true, lengthM: 15 };
    const far = room([
      { ...device("projector", "projector"), room: "screen" },
      { ...device("receiver-72", "receiver"), room: "rack" },
      { ...device("disc-player-4k", "disc"), room: "rack" },
    ]);
    const job = { ...far, rooms: ["screen", "rack"].map((id) => ({ id, name: id, seats: 0 })), brief: { ...far.brief, runs: [run] } };
    const space = wiringSpace(job, { boxes: [] });
    if (!space) throw new Error("nothing to plan");
    const measure = newMeasure(space, PRESETS["best-sound"]);
    const seen = [...backbonesOf(space)].flatMap((backbone) => {
      const screenWire = backbone.wires.find(({ cable }) => cable.to.device === "projector");
      const plug = plugsOf(measure, backbone).tables[0]?.find(({ kind }) => kind?.device === "receiver");
      const [player] = space.players;
      if (!screenWire || !plug?.wire || !player) return [];
      const joined = jobWith(space, backbone.hubs, [...backbone.wires, plug.wire], [player]);
      const passed = passedIn(measure, new Room(joined), player, () => joined);
      return [[screenWire.cable.class, Math.max(...passed.pictures)]];
    });
    expect(Object.fromEntries(seen)).toEqual({ "ultra-high-speed": 0.5, "hybrid-optical-hdmi": 1 });
  });
});

describe("rows remembered from room to room", () => {
  test("equal those worked out anew, whatever was asked before", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        for (const { measure, grounds } of worked(space, 5, 3))
          for (const { ground } of grounds)
            for (const player of space.players) {
              const job = { ...ground.job, devices: [...ground.job.devices, player] };
              const fresh = solve(job, "planned");
              const { answer: told } = rowsIn(measure, job, player.id);
              expect(told.map(({ id, verdict }) => [id, verdict])).toEqual(
                fresh.rows.filter((row) => row.player === player.id).map(({ id, verdict }) => [id, verdict]),
              );
            }
      }),
      { numRuns: 40, seed: 33 },
    );
  });
});
