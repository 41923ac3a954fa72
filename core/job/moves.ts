import type { Command } from "./command";
import { joinSockets, moveCableEnd } from "./compose";
import { cableAt, sameEnd } from "./find";
import type { Cable, CableEnd, Job } from "./job";
import { whyNotLay } from "./run";

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
    free
      .filter((end) => whyNotLay(job, cable.from, end, cable.id) === null)
      .map((end): PlugMove => ({ cables: [cable.id], command: moveCableEnd(job, cable, "to", end) })),
  );
  const pairs = job.cables.flatMap((a, index) => job.cables.slice(index + 1).map((b) => [a, b] as const));
  return [...moves, ...pairs.flatMap(([a, b]) => exchange(job, a, b) ?? [])];
}

function exchange(job: Job, a: Cable, b: Cable): PlugMove | null {
  if (sameEnd(a.from, b.from) || a.from.device === b.from.device) return null;
  const without: Job = { ...job, cables: job.cables.filter((cable) => cable !== a && cable !== b) };
  if (whyNotLay(without, a.from, b.to) || whyNotLay(without, b.from, a.to)) return null;
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
