import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { device, made, room } from "@/demo/room-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { arrivalsOf, scoreArrival, solve, solveAgain } from "@/core/chain";
import { fromShelfOrThrow, type Device, type SoundDescriptor } from "@/core/device";
import { applyCommand, removeWithCables, type Command, type Job } from "@/core/job";
import { possibleChanges } from "@/core/plan";

const SEED = 61937;
const ROOMS: readonly Job[] = [
  ...demoJobNames().map((name) => demoJob(name)),
  ...demoJobNames("systems").map((name) => demoJob(name, "systems")),
];
const anyRoom = fc.oneof(fc.constantFrom(...ROOMS), spelledRooms);

/** One edit out of everything that can be done to a room, chosen by numbers. */
function someEdit(job: Job, [kind, which]: readonly [number, number]): Command | null {
  const pick = <Row>(rows: readonly Row[]): Row | undefined => rows[which % Math.max(1, rows.length)];
  switch (kind % 6) {
    case 0: {
      const cable = pick(job.cables);
      return cable ? { kind: "unplug", cable: cable.id } : null;
    }
    case 1: {
      const cable = pick(job.cables);
      const wires = (["none", "arc", "earc", null] as const)[which % 4] ?? null;
      return cable?.from && job.devices.length ? { kind: "edit-cable", cable: cable.id, fields: { returnWires: wires } } : null;
    }
    case 2: {
      const device = pick(job.devices);
      return device ? removeWithCables(job, device.id) : null;
    }
    case 3:
      return { kind: "add-device", at: null, device: fromShelfOrThrow("streamer-4k", { id: `new-${which}` }) };
    case 4:
      return {
        kind: "edit-brief",
        fields: { newsFrom: which % 2 ? "screen" : "system", clearSpeech: which % 3 === 0, remotes: which % 5 ? 1 : null },
      };
    default:
      return pick(possibleChanges(job))?.command ?? null;
  }
}

test("solved again after any edits, a board equals the one from scratch: 2000 rooms", () => {
  let edits = 0;
  fc.assert(
    fc.property(anyRoom, fc.array(fc.tuple(fc.nat({ max: 40 }), fc.nat({ max: 999 })), { minLength: 1, maxLength: 4 }), (room, numbers) => {
      let solved = solve(room, "planned");
      for (const number of numbers) {
        const command = someEdit(solved.job, number);
        const applied = command ? applyCommand(solved.job, command) : null;
        if (!applied?.ok) continue;
        edits += 1;
        solved = solveAgain(solved, applied.value.job);
      }
      expect(solved.rows).toEqual(arrivalsOf(solved.job));
    }),
    { numRuns: 2000, seed: SEED },
  );
  expect(edits).toBeGreaterThan(2000);
}, 180_000);

/** A room whose players choose by themselves: no coding is forced. */
const onAuto = (job: Job): Job => ({
  ...job,
  devices: job.devices.map((device) => ({
    ...device,
    settings: device.settings.map((row) =>
      (row.key === "player-audio" || row.key === "digital-output") && row.options.includes("auto")
        ? { ...row, found: "auto", planned: null }
        : row,
    ),
  })),
});
const changed = (job: Job, id: string, change: (device: Device) => Device): Job => ({
  ...job,
  devices: job.devices.map((device) => (device.id === id ? change(device) : device)),
});
const EXTRA: readonly SoundDescriptor[] = [
  { coding: "ac3", channels: "5.1", objects: false },
  { coding: "eac3", channels: "7.1", objects: true },
  { coding: "truehd", channels: "7.1", objects: true },
  { coding: "dts", channels: "5.1", objects: false },
];
const scores = (job: Job) => new Map(arrivalsOf(job).map((row) => [row.id, { row, score: scoreArrival(row) }]));

describe("what is added helps and what is taken away does not", () => {
  test("a decoder more at the sound system never worsens a row whose players are on auto", () => {
    fc.assert(
      fc.property(anyRoom, fc.constantFrom(...EXTRA), (room, extra) => {
        const job = onAuto(room);
        const system = arrivalsOf(job)[0]?.system;
        if (!system) return;
        const more = changed(job, system, (device) =>
          device.decodes?.some(({ coding }) => coding === extra.coding)
            ? device
            : { ...device, decodes: [...(device.decodes ?? []), extra] },
        );
        const before = scores(job);
        for (const [id, { row }] of scores(more)) {
          const old = before.get(id)?.row;
          // The yardstick grows with the decoder, so what arrives is compared, not the verdict.
          if (old?.arrives) expect(row.arrives, `${job.name} ${id} + ${extra.coding}`).not.toBeNull();
          if (old?.arrives && row.arrives) {
            expect(Number(row.arrives.objects !== "none")).toBeGreaterThanOrEqual(Number(old.arrives.objects !== "none"));
          }
        }
      }),
      { numRuns: 300, seed: SEED },
    );
  });

  test("a bitstream less that a hop passes never improves a row", () => {
    fc.assert(
      fc.property(anyRoom, fc.nat({ max: 20 }), fc.constantFrom(...EXTRA), (room, which, { coding }) => {
        const job = onAuto(room);
        const hop = job.devices.filter(({ role }) => role === "box" || role === "screen")[which % Math.max(1, job.devices.length)];
        if (!hop) return;
        const fewer = changed(job, hop.id, (device) => ({
          ...device,
          routes: device.routes.map((route) =>
            route.kind === "sound" && route.passes ? { ...route, passes: route.passes.filter((row) => row.coding !== coding) } : route,
          ),
        }));
        const before = scores(job);
        for (const [id, { score }] of scores(fewer)) {
          const old = before.get(id);
          // On optical and coaxial nothing is reported back: there a sender that can make less coding may be the only one that is heard.
          if (!old || old.row.losses.some(({ reason }) => reason.code === "cannot-decode")) continue;
          expect(score, `${job.name} ${id} − ${coding}`).toBeLessThanOrEqual(old.score);
        }
      }),
      { numRuns: 300, seed: SEED },
    );
  });
});

test("nothing is whole while a fact it rests on is unknown: each fact is hidden in turn", () => {
  for (const room of ROOMS) {
    const board = solve(room, "planned");
    for (const unit of board.units) {
      const [row] = unit.rows;
      if (!row?.arrives) continue;
      const settings = [...unit.asked.questions]
        .filter((question) => question.startsWith("setting "))
        .map((question) => question.split(" "));
      for (const [, device, key] of settings) {
        const hidden = changed(room, device ?? "", (one) => ({
          ...one,
          settings: one.settings.map((setting) => (setting.key === key ? { ...setting, found: null, planned: null, left: null } : setting)),
        }));
        const after = arrivalsOf(hidden).find(({ id }) => id === row.id);
        // Either the answer does not rest on it after all and stays, or it is said to be unknown and which fact is missing.
        if (after?.verdict === "unknown") expect(after.losses[0]?.reason.code).toBe("unknown-fact");
        else if (after?.verdict === "full")
          expect(allValuesLeaveWhole(room, device ?? "", key ?? "", row.id), `${room.name} ${row.id} ${key ?? ""}`).toBe(true);
      }
    }
  }
});

/** Whether a row is whole whatever value a setting has. */
function allValuesLeaveWhole(room: Job, device: string, key: string, id: string): boolean {
  const options = room.devices.find((one) => one.id === device)?.settings.find((setting) => setting.key === key)?.options ?? [];
  return options.every((value) => {
    const set = changed(room, device, (one) => ({
      ...one,
      settings: one.settings.map((setting) => (setting.key === key ? { ...setting, found: value, planned: value } : setting)),
    }));
    return arrivalsOf(set).find((row) => row.id === id)?.verdict === "full";
  });
}

test("two players exchanged at a screen leave the rows of all others as they are: they ask only where something takes returns", () => {
  const players = ["a", "b", "c"].map((id) => device("streamer-4k", id));
  const plugs = ["receiver hdmi-out > tv hdmi3", "a hdmi-out > tv hdmi1", "b hdmi-out > tv hdmi2", "c hdmi-out > receiver hdmi-in1"];
  const before = room([device("tv-earc", "tv"), device("receiver-72", "receiver"), ...players], ...plugs);
  const cableOf = (player: string) => before.cables.find(({ from }) => from.device === player)?.id ?? "";
  const exchange = possibleChanges(before).find(({ decides }) => decides.join() === `plug ${cableOf("a")},plug ${cableOf("b")}`);
  if (!exchange) throw new Error("no exchange");
  const board = solve(before, "planned");
  const again = solveAgain(board, made(before, exchange.command)).units.filter((unit) => !board.units.includes(unit));
  expect(new Set(again.map(({ key }) => key.split("/")[0]))).toEqual(new Set(["a", "b"]));
});
