import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { device, room } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { cableClassFact } from "@/core/facts";
import { findPort, whyNotPlug } from "@/core/job";
import { backbonesOf } from "./backbones";
import { boxOfShelf } from "./boxes-to-plan";
import { planOf, backboneEffort } from "./make-plan";
import { effortPoints } from "./figures";
import { groundsOf, optionsOf, type Measure, type PlayerOption } from "./options";
import { RowMemo } from "./row-memo";
import { hubOf, schoolsOn } from "./schools";
import { inputKinds } from "./sockets";
import { wiringSpace, type WiringSpace } from "./space";
import { PRESETS } from "./weights";

const rooms = fc.record({
  screen: fc.constantFrom("tv-arc", "tv-earc", "tv-no-return", "projector", "tv-coaxial"),
  system: fc.constantFrom("bar-one-input", "bar-arc-optical", "receiver-51", "amplifier-knob"),
  players: fc.array(fc.constantFrom("streamer-4k", "console-mat", "disc-player-hd"), { maxLength: 3 }),
  box: fc.constantFrom("earc-extractor-mixed", "switch-3x1", "arc-adapter", "extractor", "splitter-1x2", "optical-to-coaxial"),
});
type Room = typeof rooms extends fc.Arbitrary<infer One> ? One : never;

function spaceOf({ screen, system, players, box }: Room): WiringSpace {
  const job = room([device(screen, "screen"), device(system, "system"), ...players.map((kind, index) => device(kind, `p${index}`))]);
  const space = wiringSpace(
    job,
    [boxOfShelf(job, box, 50, "van")].flatMap((one) => one ?? []),
  );
  if (!space) throw new Error("nothing to plan");
  return space;
}

describe("every backbone", () => {
  test("can be plugged cable by cable, has one lead into the sound system at most, and no box that nothing goes through", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        for (const { job, wires, boxes, hubs } of backbonesOf(space)) {
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
    const space = spaceOf({ screen: "tv-earc", system: "bar-one-input", players: [], box: "switch-3x1" });
    const backs = [...backbonesOf(space)].flatMap(({ job, wires }) =>
      wires.flatMap(({ cable }) => (cable.from.device === "system" && cable.to.device === "screen" ? [findPort(job, cable.to)] : [])),
    );
    expect(backs.length).toBeGreaterThan(0);
    for (const port of backs) expect(port?.connector === "hdmi" && port.returns).toBe("earc");
  });
});

describe("sockets", () => {
  test("that are alike in every fact are told once; those of another rate, of a return, or taken are not among them", () => {
    const tv = device("tv-arc", "tv");
    const kinds = inputKinds(tv, []);
    expect(kinds.map(({ ports }) => ports.length).reduce((sum, count) => sum + count, 0)).toBe(
      tv.ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "in").length,
    );
    expect(kinds.find(({ ports }) => ports.includes("hdmi1"))?.ports).toEqual(["hdmi1"]);
    expect(kinds.find(({ ports }) => ports.includes("hdmi2"))?.ports.length).toBeGreaterThan(1);
  });

  test("out of which sound goes are none for a player", () => {
    expect(inputKinds(device("earc-extractor-mixed", "box"), []).flatMap(({ ports }) => ports)).toEqual(["hdmi-in"]);
  });
});

describe("a box that only gathers sockets", () => {
  test("is no hub of its own: whoever sits in it comes in where it leads", () => {
    const space = spaceOf({ screen: "tv-arc", system: "receiver-51", players: [], box: "switch-3x1" });
    const gathered = [...backbonesOf(space)].filter(({ boxes }) => boxes.length === 1);
    expect(gathered.length).toBeGreaterThan(0);
    for (const backbone of gathered) {
      const onward = backbone.wires.find(({ cable }) => cable.from.device === "switch-3x1");
      expect(hubOf(backbone, "switch-3x1")).toBe(onward?.cable.to.device);
      expect(schoolsOn(space, backbone)).not.toContain("split");
    }
  });
});

describe("the bound of an assignment", () => {
  const weights = PRESETS["best-sound"];

  test("is never below what the plan has: any options of any players, played whole", () => {
    fc.assert(
      fc.property(rooms, fc.array(fc.nat(), { minLength: 8, maxLength: 8 }), (one, picks) => {
        const space = spaceOf(one);
        const measure: Measure = { space, weights, memo: new RowMemo(), ease: new Map() };
        let pick = 0;
        for (const backbone of [...backbonesOf(space)].slice(0, 4)) {
          for (const ground of [...groundsOf(measure, backbone)].slice(0, 2)) {
            const taken = new Map<string, number>();
            const chosen = space.players.map((player): PlayerOption | undefined => {
              const options = optionsOf(measure, ground, player).filter(
                ({ kind }) => !kind || (taken.get(`${kind.device} ${kind.ports.join()}`) ?? 0) < kind.ports.length,
              );
              const option = options[(picks[(pick += 1) % picks.length] ?? 0) % options.length];
              if (option?.kind) {
                const key = `${option.kind.device} ${option.kind.ports.join()}`;
                taken.set(key, (taken.get(key) ?? 0) + 1);
              }
              return option;
            });
            const options = chosen.flatMap((option) => option ?? []);
            const plan = planOf(measure, ground, "mixed", options);
            const ease = space.players.length ? 0 : weights.ease;
            const bound =
              ground.points +
              ease -
              effortPoints(backboneEffort(space, backbone), weights) +
              options.reduce((sum, { points }) => sum + points, 0);
            if (plan) expect(plan.points).toBeLessThanOrEqual(bound + 1e-6);
          }
        }
      }),
      { numRuns: 60, seed: 32 },
    );
  });
});

describe("rows remembered from room to room", () => {
  test("equal those worked out anew, whatever was asked before", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        const measure: Measure = { space, weights: PRESETS["best-sound"], memo: new RowMemo(), ease: new Map() };
        for (const backbone of [...backbonesOf(space)].slice(0, 5))
          for (const ground of [...groundsOf(measure, backbone)].slice(0, 3))
            for (const player of space.players) {
              optionsOf(measure, ground, player);
              const job = { ...ground.solved.job, devices: [...ground.solved.job.devices, player] };
              const fresh = solve(job, "planned");
              const told = measure.memo.rowsOf(job, player.id, () => fresh);
              expect(told.map(({ id, verdict }) => [id, verdict])).toEqual(
                fresh.rows.filter((row) => row.player === player.id).map(({ id, verdict }) => [id, verdict]),
              );
            }
      }),
      { numRuns: 40, seed: 33 },
    );
  });
});
