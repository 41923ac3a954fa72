import type { Arrival } from "@/core/chain";
import { rowsIn, type Ground, type Measure } from "./grounds";
import { jobWith } from "./room-of";
import type { PlayerOption } from "./settle";
import { setLike, standInOf } from "./stand-in";

/** Grounds and options are never changed in place, so the rows of each option are gathered once. */
const gathered = new WeakMap<Ground, Map<PlayerOption, readonly Arrival[]>>();

/** The rows of a ground's hubs and of each player as if it were alone there. */
export function rowsOfEach(measure: Measure, ground: Ground, chosen: readonly PlayerOption[]): readonly Arrival[] {
  const known = gathered.get(ground) ?? new Map<PlayerOption, readonly Arrival[]>();
  gathered.set(ground, known);
  const rows = chosen.flatMap((option) => {
    const found = known.get(option) ?? rowsAlone(measure, ground, option);
    known.set(option, found);
    return found;
  });
  return [...ground.rows, ...rows];
}

function rowsAlone(measure: Measure, ground: Ground, { player: id, wire, kind, settings }: PlayerOption): readonly Arrival[] {
  const { space } = measure;
  const player = space.players.find((one) => one.id === id);
  if (!player) return [];
  const plugged = wire && kind ? standInOf(space, player, { wire, kind }) : null;
  const standIn = plugged?.device ?? player;
  const set = setLike(standIn, settings);
  const job = jobWith(space, ground.hubs, [...ground.backbone.wires, ...(plugged ? [plugged.wire] : [])], [set]);
  const { answer } = rowsIn(measure, job, standIn.id);
  return standIn.id === id ? answer : answer.map((row) => ({ ...row, player: id, id: `${id}${row.id.slice(standIn.id.length)}` }));
}
