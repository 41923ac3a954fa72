import fc from "fast-check";
import { expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { fromShelfOrThrow, SHELF } from "@/core/device";
import { BED_IDS, CABLE_CLASS_IDS } from "@/core/facts";
import { applyCommand, breachesOf, Command, joinSockets, moveCableEnd, removeWithCables, replaceDevice, type Job } from "@/core/job";

const PHOTO = "5b0c7bb0-6f1f-4c5b-8c2a-0d7a3a1f5e11";

/** A choice of an edit for whatever job there is, drawn from a few numbers; many are refused, as by hand. */
function editFor(job: Job, [kind, a, b, c]: readonly [number, number, number, number]): Command {
  const pick = <Row>(rows: readonly Row[], n: number): Row | undefined => rows[n % Math.max(1, rows.length)];
  const ends = job.devices.flatMap((device) => device.ports.map((port) => ({ device: device.id, port: port.id })));
  const device = pick(job.devices, a);
  const cable = pick(job.cables, a);
  const end = pick(ends, b);
  const setting = device && pick(device.settings, b);
  const shelf = fromShelfOrThrow(pick(SHELF, b)?.archetype ?? "projector", { id: `new-${c % 5}`, name: `New ${c}` });
  const room = pick(job.rooms, b)?.id ?? "none";
  switch (kind % 24) {
    case 0:
      return {
        kind: "edit-job",
        fields: { name: `Job ${a}`, customer: `Customer ${b}`, brief: { ...job.brief, soundSystem: device?.id ?? null, wishes: `${c}` } },
      };
    case 1:
      return { kind: "add-device", device: shelf, at: a % 2 ? null : a };
    case 2:
      return removeWithCables(job, device?.id ?? "none");
    case 3:
      return { kind: "rename-device", device: device?.id ?? "none", name: c % 3 ? `Name ${c}` : " " };
    case 4:
      return {
        kind: "set-setting",
        device: device?.id ?? "none",
        setting: setting?.key ?? "cec",
        state: (["found", "planned", "left"] as const)[c % 3] ?? "found",
        value: pick([...(setting?.options ?? []), null, "nonsense"], c) ?? null,
      };
    case 5:
      return end && cable ? moveCableEnd(job, cable, c % 2 ? "to" : "from", end) : { kind: "unplug", cable: "none" };
    case 6:
      return ends.length
        ? joinSockets(job, pick(ends, a) ?? { device: "x", port: "x" }, end ?? { device: "x", port: "x" }, pick(CABLE_CLASS_IDS, c))
        : { kind: "unplug", cable: "none" };
    case 7:
      return {
        kind: "edit-cable",
        cable: cable?.id ?? "none",
        fields: { lengthM: 1 + (b % 20), label: `L${c}`, returnWires: (["none", "arc", "earc", null] as const)[c % 4] ?? null },
      };
    case 8:
      return replaceDevice(job, device?.id ?? "none", shelf);
    case 9:
      return {
        kind: "edit-brief",
        fields: {
          mustStay: device && a % 2 ? [device.id] : [],
          newsFrom: c % 2 ? "screen" : "system",
          runs: job.rooms.length > 1 ? [{ id: "run", between: ["room-0", "room-1"], allowed: a % 2 === 0, lengthM: 1 + (b % 30) }] : [],
        },
      };
    case 10:
      return {
        kind: "set-rooms",
        rooms: Array.from({ length: a % 4 }, (_, index) => ({ id: `room-${index}`, name: `Room ${b}`, seats: c % 9, space: null })),
      };
    case 11:
      return {
        kind: "edit-device",
        device: device?.id ?? "none",
        fields: { note: `${c}`, room: pick(["room-0", "room-1", null], c) ?? null, supply: pick(["there", "van", "buy"] as const, b) },
      };
    case 12:
      return {
        kind: "edit-port",
        device: end?.device ?? "none",
        port: end?.port ?? "none",
        fields: { label: `P${c}`, ...(b % 2 ? { hdcp: "2.3" } : {}) },
      };
    case 13:
      return { kind: "arrange", device: device?.id ?? "none", to: c % 3 ? { x: a % 999, y: b % 999 } : null };
    case 14:
      return {
        kind: "keep-snapshot",
        at: null,
        snapshot: { id: `state-${c % 4}`, name: "As found", takenAt: "2026-11-24T10:00:00Z", devices: job.devices, cables: job.cables },
      };
    case 15:
      return c % 2
        ? { kind: "drop-snapshot", snapshot: `state-${b % 4}` }
        : {
            kind: "attach",
            at: null,
            attachment: { id: PHOTO, name: `back ${c}.jpg`, type: "image/jpeg", bytes: 1 + c, device: device?.id ?? null },
          };
    case 17:
      return {
        kind: "measure-room",
        room,
        fields:
          a % 2
            ? { temperatureC: c % 40, targetDb: 60 + (b % 20) }
            : { seats: [{ id: "seat", name: `Seat ${c}`, at: { x: c % 9, y: 1 }, earM: 1 }] },
      };
    case 18: {
      const unit = `unit-${c % 3}`;
      const to = {
        device: device?.id ?? "none",
        unit,
        at: { x: a % 9, y: b % 9 },
        heightM: 1,
        facingDeg: null,
        mount: "stand",
        wireM: null,
        inWall: false,
      } as const;
      return { kind: "place-unit", room, device: to.device, unit: b % 7 ? unit : "other", to: a % 3 ? to : null, at: a % 2 ? null : 0 };
    }
    case 19: {
      const about = {
        device: device?.id ?? "none",
        unit: `unit-${c % 3}`,
        channel: null,
        seat: "seat",
        of: a % 2 ? "distance" : "level",
      } as const;
      return { kind: "note-reading", room, about, reading: b % 3 ? { ...about, value: b % 99, by: "tape" } : null, at: c % 2 ? null : 0 };
    }
    case 20:
      return { kind: "forget-space", room, space: null };
    case 21:
      return {
        kind: "write-sentence",
        sentence: { line: `use ${a % 3}`, language: c % 2 ? "en" : "es", agreed: `${b}`, text: c % 3 ? `${c}` : "" },
        at: b % 2 ? null : 0,
      };
    case 22:
      return b % 2
        ? { kind: "choose-language", language: c % 2 ? "en" : "es" }
        : { kind: "drop-sentence", line: `use ${a % 3}`, language: c % 2 ? "en" : "es" };
    case 16:
      return { kind: "detach", attachment: PHOTO };
    default:
      return { kind: "set-speakers", device: device?.id ?? "none", bed: pick(BED_IDS, b) ?? "2.0", heights: c % 9 };
  }
}

const numbers = fc.tuple(fc.nat(), fc.nat(), fc.nat(), fc.nat());

test("undo after any run of commands restores the document byte for byte, and no command breaks a rule", () => {
  fc.assert(
    fc.property(fc.constantFrom(...demoJobNames()), fc.array(numbers, { minLength: 1, maxLength: 25 }), (name, choices) => {
      const start = demoJob(name);
      let job = start;
      const inverses: Command[] = [];
      for (const choice of choices) {
        const applied = applyCommand(job, editFor(job, choice));
        if (!applied.ok) continue;
        job = applied.value.job;
        inverses.unshift(applied.value.inverse);
      }
      expect(breachesOf(job)).toEqual([]);
      for (const inverse of inverses) {
        const back = applyCommand(job, inverse);
        if (!back.ok) throw new Error(`an inverse was refused: ${JSON.stringify(back.refusal)}`);
        job = back.value.job;
      }
      expect(JSON.stringify(job)).toBe(JSON.stringify(start));
    }),
    { numRuns: 200, seed: 20261124 },
  );
});

test("an edit survives being written down and read back", () => {
  fc.assert(
    fc.property(fc.constantFrom(...demoJobNames()), numbers, (name, choice) => {
      const job = demoJob(name);
      const command = editFor(job, choice);
      const parsed = Command.safeParse(JSON.parse(JSON.stringify(command)));
      if (parsed.success) expect(applyCommand(job, parsed.data)).toEqual(applyCommand(job, command));
    }),
    { numRuns: 200, seed: 7 },
  );
});

test("an edit of one field leaves the others as they are, also when it comes over the wire", () => {
  const job = demoJob("sail-loft");
  const applied = applyCommand(job, Command.parse({ kind: "edit-job", fields: { customer: "Someone Else" } }));
  expect(applied.ok && applied.value.job).toEqual({ ...job, customer: "Someone Else" });
  const cable = applyCommand(job, Command.parse({ kind: "edit-cable", cable: "bar-tv", fields: { lengthM: 3 } }));
  expect(cable.ok && cable.value.job.cables.find(({ id }) => id === "bar-tv")).toEqual({
    ...job.cables.find(({ id }) => id === "bar-tv"),
    lengthM: 3,
  });
});

test("a refused edit leaves the job as it was", () => {
  const job = demoJob("sail-loft");
  const before = JSON.stringify(job);
  expect(
    applyCommand(job, {
      kind: "batch",
      commands: [
        { kind: "rename-device", device: "bar", name: "Other" },
        { kind: "unplug", cable: "none" },
      ],
    }).ok,
  ).toBe(false);
  expect(JSON.stringify(job)).toBe(before);
});
