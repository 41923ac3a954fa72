import type { Arrival } from "@/core/chain";
import { rowsIn, type Configuration, type PlanContext } from "./configurations";
import { findPlayer, jobWith, setLike, standInOf } from "../space";
import type { PlayerOption } from "./judge-plug";

/** Configurations and options are immutable, so the rows of each option are gathered once. */
const gathered = new WeakMap<Configuration, Map<PlayerOption, readonly Arrival[]>>();

/** The rows of a configuration's hubs, and of each player as if it were alone there. */
export const rowsOfEach = (context: PlanContext, configuration: Configuration, chosen: readonly PlayerOption[]): readonly Arrival[] => [
  ...configuration.rows,
  ...chosen.flatMap((option) => rowsOfOption(context, configuration, option)),
];

/** The rows of a player as if it were alone on a configuration. */
export function rowsOfOption(context: PlanContext, configuration: Configuration, option: PlayerOption): readonly Arrival[] {
  const known = gathered.get(configuration) ?? new Map<PlayerOption, readonly Arrival[]>();
  gathered.set(configuration, known);
  const found = known.get(option) ?? rowsAlone(context, configuration, option);
  known.set(option, found);
  return found;
}

function rowsAlone(
  context: PlanContext,
  configuration: Configuration,
  { player: id, wire, kind, settings }: PlayerOption,
): readonly Arrival[] {
  const { space } = context;
  const player = findPlayer(space, id);
  const plugged = wire && kind ? standInOf(space, player, { wire, kind }) : null;
  const standIn = plugged?.device ?? player;
  const set = setLike(standIn, settings);
  const job = jobWith(space, configuration.hubs, [...configuration.topology.wires, ...(plugged ? [plugged.wire] : [])], [set]);
  const { answer } = rowsIn(context, job, standIn.id);
  return standIn.id === id ? answer : answer.map((row) => ({ ...row, player: id, id: `${id}${row.id.slice(standIn.id.length)}` }));
}
