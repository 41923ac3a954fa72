import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { effectiveSetting } from "@/core/device";
import { applyAll, applyCommand, freeJoins, type Cable, type Command, type Job, VisitEntry } from "@/core/job";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { differenceOf, progressOf, visitSteps, type VisitStep } from "@/core/visit";

const visits = fc.record({
  room: anyRoom,
  cuts: fc.array(fc.nat(20), { maxLength: 3 }),
  joins: fc.array(fc.nat(500), { maxLength: 4 }),
  menus: fc.array(fc.tuple(fc.nat(20), fc.nat(20), fc.nat(20)), { maxLength: 4 }),
});
type AnyVisit = typeof visits extends fc.Arbitrary<infer One> ? One : never;

const tried = (job: Job, command: Command | null | undefined): Job => {
  const made = command ? applyCommand(job, command) : null;
  return made?.ok ? made.value.job : job;
};

/** A room as found, and a plan for it: cables out, others in, menus otherwise. */
function anyVisit({ room, cuts, joins, menus }: AnyVisit): Job {
  const found = anyJob(room);
  const saved = applyAll(found, [
    {
      kind: "keep-snapshot",
      at: null,
      snapshot: { id: "as-found", name: "As found", takenAt: "2026-11-27T08:00:00.000Z", devices: found.devices, cables: found.cables },
    },
  ]);
  if (!saved.ok) throw new Error("not saved");
  const cut = cuts.reduce((job, at) => {
    const cable = job.cables[at % Math.max(1, job.cables.length)];
    return tried(job, cable && { kind: "unplug", cable: cable.id });
  }, saved.value);
  const joined = joins.reduce((job, at) => {
    const all = freeJoins(job);
    return tried(job, all[at % Math.max(1, all.length)]?.command);
  }, cut);
  return menus.reduce((job, [whose, which, what]) => {
    const device = job.devices[whose % job.devices.length];
    const row = device?.settings[which % Math.max(1, device.settings.length)];
    const value = row?.options[what % Math.max(1, row.options.length)];
    return tried(
      job,
      device && row && value ? { kind: "set-setting", device: device.id, setting: row.key, state: "planned", value } : null,
    );
  }, joined);
}

/** A room as a person sees it: what is in which socket, and what each menu shows. */
interface Seen {
  readonly plugs: Set<string>;
  readonly menus: Map<string, string | null>;
}
const plugOf = ({ from, to }: Pick<Cable, "from" | "to">) => `${from.device}.${from.port}>${to.device}.${to.port}`;
const seenOf = (job: Job, cables: readonly Cable[], state: "found" | "planned"): Seen => ({
  plugs: new Set(cables.map(plugOf)),
  menus: new Map(
    job.devices.flatMap((device) =>
      device.settings.map(({ key }) => [`${device.id} ${key}`, effectiveSetting(device, key, state) ?? null]),
    ),
  ),
});

/** Does a step in a room as a person would, or takes it back. */
function doStep({ plugs, menus }: Seen, { act, sockets, device, setting }: VisitStep, way: "do" | "undo", before: Seen): void {
  const plug = sockets && plugOf({ from: sockets[0], to: sockets[1] });
  if (plug && act === (way === "do" ? "plug" : "unplug")) plugs.add(plug);
  if (plug && act === (way === "do" ? "unplug" : "plug")) plugs.delete(plug);
  if (setting) menus.set(`${device} ${setting.key}`, way === "do" ? setting.value : (before.menus.get(`${device} ${setting.key}`) ?? null));
}

/** In an order in which each comes after those it follows; throws where there is none. */
function inOrder(steps: readonly VisitStep[]): readonly VisitStep[] {
  const done = new Set<string>();
  const order: VisitStep[] = [];
  while (order.length < steps.length) {
    const next = steps.find(({ id, after }) => !done.has(id) && after.every(({ step }) => done.has(step)));
    if (!next) throw new Error("a circle");
    done.add(next.id);
    order.push(next);
  }
  return order;
}

const plain = ({ plugs, menus }: Seen) => ({ plugs: [...plugs].toSorted(), menus: [...menus].toSorted() });
const entry = (index: number, step: string, state: VisitEntry["state"]): VisitEntry =>
  VisitEntry.parse({
    id: `5b0c7bb0-6f1f-4c5b-8c2a-${String(index).padStart(12, "0")}`,
    step,
    state,
    at: new Date(Date.UTC(2026, 10, 27, 9, 0, index)).toISOString(),
  });

describe("in any room with any plan", () => {
  test("every difference has one step, doing all of them makes the planned room, and undoing them the one that was found", () => {
    fc.assert(
      fc.property(visits, (one) => {
        const job = anyVisit(one);
        const [snapshot] = job.snapshots;
        if (!snapshot) throw new Error("not saved");
        const steps = inOrder(visitSteps(job));
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
        const room = seenOf({ ...job, devices: snapshot.devices }, snapshot.cables, "found");
        const start = plain(room);
        const before = seenOf(job, snapshot.cables, "found");
        const changes = new Map<string, number>();
        for (const step of steps) {
          const was = JSON.stringify(plain(room));
          doStep(room, step, "do", before);
          const isChange = step.act === "plug" || step.act === "unplug" || step.setting !== null;
          expect(JSON.stringify(plain(room)) !== was).toBe(isChange);
          if (isChange) changes.set(step.id, 1);
        }
        expect(plain(room)).toEqual(plain(seenOf(job, job.cables, "planned")));
        const { plug, unplug, set } = differenceOf(job);
        expect(changes.size).toBe(plug.length + unplug.length + set.length);
        for (const step of steps.toReversed()) doStep(room, step, "undo", before);
        expect(plain(room)).toEqual(start);
      }),
      { numRuns: 150, seed: 31 },
    );
  });

  test("a plan that changes half-way forgets nothing: what is done, with what is left, makes the planned room", () => {
    fc.assert(
      fc.property(visits, fc.nat(40), fc.array(fc.nat(500), { minLength: 1, maxLength: 3 }), (one, share, more) => {
        const job = anyVisit(one);
        const [snapshot] = job.snapshots;
        if (!snapshot) throw new Error("not saved");
        const first = inOrder(visitSteps(job));
        const done = first.slice(0, Math.min(first.length - 1, share)).filter(({ setting }) => setting === null);
        const room = seenOf(job, snapshot.cables, "found");
        for (const step of done) doStep(room, step, "do", room);
        const record = done.map(({ id }, index) => entry(index, id, "done"));
        const changed = more.reduce((next, at) => {
          const cable = next.cables[at % Math.max(1, next.cables.length)];
          const without = tried(next, cable && { kind: "unplug", cable: cable.id });
          const all = freeJoins(without);
          return tried(without, all[at % Math.max(1, all.length)]?.command);
        }, job);
        const { left, beyond } = progressOf(changed, visitSteps(changed, record), record, 1);
        for (const step of inOrder(
          left.map((step) => ({ ...step, after: step.after.filter(({ step: id }) => left.some((other) => other.id === id)) })),
        ))
          doStep(room, step, "do", room);
        expect([...room.plugs].toSorted()).toEqual([...new Set(changed.cables.map(plugOf))].toSorted());
        const known = new Set(visitSteps(changed, record).map(({ id }) => id));
        expect(beyond.map(({ step }) => step).toSorted()).toEqual(
          done
            .map(({ id }) => id)
            .filter((id) => !known.has(id))
            .toSorted(),
        );
      }),
      { numRuns: 150, seed: 32 },
    );
  });
});
