import type { Command } from "./command";
import { joinSockets, moveCableEnd } from "./compose";
import { cableAt, sameEnd } from "./find";
import type { Cable, CableEnd, Job } from "./job";
import { runBetween, whyNotLay } from "./run";
import { inSignalOrder } from "./why-not-plug";

/** A plug that could sit elsewhere, or two that could sit in each other's place, with the edit that does it. */
export interface PlugMove {
  readonly cables: readonly string[];
  readonly command: Command;
}

/** Every move of one end of a cable to a free socket and every exchange of two plugs that can be made and that the brief allows. */
export function plugMoves(job: Job): readonly PlugMove[] {
  const ends = job.devices.flatMap((device) => device.ports.map((port): CableEnd => ({ device: device.id, port: port.id })));
  const free = ends.filter((end) => !cableAt(job, end));
  const moves = job.cables.flatMap((cable) =>
    cable.miswired
      ? []
      : free
          .filter((end) => whyNotLay(job, cable.from, end, cable.id) === null && reaches(job, cable, cable.from, end))
          .map((end): PlugMove => ({ cables: [cable.id], command: moveCableEnd(job, cable, "to", end) })),
  );
  const cured = job.cables.filter(({ miswired }) => miswired).flatMap((cable) => curesOfMiswiring(job, cable, free));
  const pairs = job.cables.flatMap((a, index) => job.cables.slice(index + 1).map((b) => [a, b] as const));
  return [...moves, ...cured, ...pairs.flatMap(([a, b]) => exchange(job, a, b) ?? [])];
}

/** Whether a cable is long enough between two devices, as far as the brief knows the run between their rooms. */
export function reaches(job: Job, cable: Cable, from: CableEnd, to: CableEnd): boolean {
  const run = runBetween(job, from.device, to.device);
  return !run || (run.allowed && (run.lengthM === null || cable.lengthM >= run.lengthM));
}

/** A cable found in two outputs, or in two inputs: either of its ends moved to where it belongs. */
function curesOfMiswiring(job: Job, cable: Cable, free: readonly CableEnd[]): readonly PlugMove[] {
  const at = job.cables.indexOf(cable);
  return [cable.from, cable.to].flatMap((stays) =>
    free
      .filter((end) => whyNotLay(job, stays, end, cable.id) === null)
      .map((end): PlugMove => ({
        cables: [cable.id],
        command: {
          kind: "batch",
          commands: [
            { kind: "unplug", cable: cable.id },
            { kind: "plug", cable: { ...cable, ...inSignalOrder(job, stays, end), miswired: false }, at },
          ],
        },
      })),
  );
}

function exchange(job: Job, a: Cable, b: Cable): PlugMove | null {
  if (a.miswired || b.miswired || sameEnd(a.from, b.from) || a.from.device === b.from.device) return null;
  const without: Job = { ...job, cables: job.cables.filter((cable) => cable !== a && cable !== b) };
  if (whyNotLay(without, a.from, b.to) || whyNotLay(without, b.from, a.to)) return null;
  if (!reaches(job, a, a.from, b.to) || !reaches(job, b, b.from, a.to)) return null;
  const at = (cable: Cable) => job.cables.indexOf(cable);
  return {
    cables: [a.id, b.id],
    command: {
      kind: "batch",
      commands: [
        { kind: "unplug", cable: a.id },
        { kind: "unplug", cable: b.id },
        { kind: "plug", cable: { ...a, to: b.to }, at: at(a) },
        { kind: "plug", cable: { ...b, to: a.to }, at: at(b) },
      ],
    },
  };
}

/** A cable that could be laid between two sockets that are both free. */
export interface FreeJoin {
  readonly from: CableEnd;
  readonly to: CableEnd;
  readonly command: Command;
}

/** Every cable more that could be laid; between two devices each pair of plugs is told. */
export function freeJoins(job: Job): readonly FreeJoin[] {
  const free = job.devices.flatMap((device) =>
    device.ports.map((port) => ({ port, end: { device: device.id, port: port.id } })).filter(({ end }) => !cableAt(job, end)),
  );
  const inputs = free.filter(({ port }) => port.direction === "in");
  return free
    .filter(({ port }) => port.direction === "out")
    .flatMap((out) =>
      inputs
        .filter(({ end }) => whyNotLay(job, out.end, end) === null)
        .map(({ end }): FreeJoin => ({ from: out.end, to: end, command: joinSockets(job, out.end, end) })),
    );
}
