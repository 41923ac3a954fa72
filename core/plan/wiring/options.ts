import { actFigures, householdOf } from "@/core/cec";
import { solve, solveAgain, type Arrival, type Solved } from "@/core/chain";
import type { SettingKey } from "@/core/facts";
import type { Job } from "@/core/job";
import type { Device } from "@/core/device";
import { hasBond } from "./bonds";
import type { Backbone } from "./backbones";
import { jobWith } from "./backbones";
import {
  addEffort,
  commonActs,
  contentShare,
  easeOf,
  effortPoints,
  menuEffort,
  NO_EFFORT,
  rowPoints,
  wireEffort,
  type Effort,
} from "./figures";
import { choicesOf, combinations, withSettings, type SettingChoice } from "./hub-settings";
import { fulfils } from "./musts";
import type { RowMemo } from "./row-memo";
import { inputKinds, type SocketKind } from "./sockets";
import { hdmiOut, type WiringSpace } from "./space";
import type { Weights } from "./weights";
import { wiresBetween, type Wire } from "./wires";

/** One way to plug in a player, and at most so many points it brings. Null for kind and wire: it stays unplugged. */
export interface PlayerOption {
  readonly kind: SocketKind | null;
  readonly wire: Wire | null;
  readonly settings: readonly SettingChoice[];
  readonly effort: Effort;
  readonly points: number;
}

/** A backbone with the settings of its hubs: what players are tried on. */
export interface Ground {
  readonly backbone: Backbone;
  readonly hubs: readonly Device[];
  readonly settings: readonly SettingChoice[];
  readonly solved: Solved;
  /** The points of what does not hang on a player: the screens' own apps and tuners, and the players that stay as they lie. */
  readonly points: number;
}

/** What stays the same for every ground of a search, and what it has worked out already. */
export interface Measure {
  readonly space: WiringSpace;
  readonly weights: Weights;
  readonly memo: RowMemo;
  readonly ease: Map<string, number>;
}

/** Every combination of the settings of a backbone's hubs, each solved without players. */
export function* groundsOf({ space, weights }: Measure, backbone: Backbone): Generator<Ground> {
  const share = contentShare(space.job);
  const onlyScreen = (device: Device) => device.id === space.system.id && space.screens.includes(device);
  let before: Solved | undefined;
  for (const settings of combinations(backbone.hubs.flatMap((device) => choicesOf(device, onlyScreen(device))))) {
    const hubs = backbone.hubs.map((device) => withSettings(device, settings));
    const job = jobWith(space, hubs, backbone.wires);
    const solved = before ? solveAgain(before, job) : solve(job, "planned");
    before = solved;
    if (!leadsCarry(space, backbone, solved) || !isFulfilled(space, solved)) continue;
    yield {
      backbone,
      hubs,
      settings,
      solved,
      points: rowPoints(space, solved.rows, share, weights) - effortPoints(menuEffort(backbone.hubs, settings), weights),
    };
  }
}

/** What is wished of devices that no plan plugs: the screens' own apps, players that stay as they lie. */
const isFulfilled = ({ musts, players }: WiringSpace, { rows }: Pick<Solved, "rows">): boolean =>
  musts.every(
    ({ device }) =>
      players.some(({ id }) => id === device) ||
      fulfils(
        musts,
        device,
        rows.filter(({ player }) => player === device),
      ),
  );

/** A lead out of a screen that has sound of its own carries that sound, or it is not worth laying. */
export function leadsCarry({ screens }: WiringSpace, { wires, hubs }: Backbone, { rows }: Pick<Solved, "rows">): boolean {
  return wires.every(({ cable: { from, to } }) => {
    const screen = screens.find(({ id, sources }) => id === from.device && sources.length > 0);
    const isLead = hubs.find(({ id }) => id === from.device)?.ports.some(({ id, connector }) => id === from.port && connector !== "hdmi");
    if (!screen || !isLead) return true;
    return rows.some(
      ({ player, hops, arrives }) =>
        player === screen.id && arrives && hops.some(({ device, port }) => device === to.device && port === to.port),
    );
  });
}

/** All options of one player on a ground, none of which another one of them beats in the same kind of socket. */
export function optionsOf(measure: Measure, ground: Ground, player: Device): readonly PlayerOption[] {
  const { space } = measure;
  const plug = hdmiOut(player);
  const alone = jobWith(space, ground.hubs, ground.backbone.wires, [player]);
  const unplugged: PlayerOption = {
    kind: null,
    wire: null,
    settings: [],
    effort: NO_EFFORT,
    points: easeBound(measure, ground, alone, player.id, null, []),
  };
  if (!plug) return fulfils(space.musts, player.id, []) ? [unplugged] : [];
  const from = { device: player.id, port: plug.id };
  const own = combinations(choicesOf(player, false));
  return [
    ...(fulfils(space.musts, player.id, []) ? [unplugged] : []),
    ...ground.hubs.flatMap((hub) =>
      inputKinds(hub, alone.cables).flatMap((kind): PlayerOption[] => {
        const sits = space.lying.find((cable) => cable.from.device === player.id && cable.to.device === hub.id)?.to.port;
        const port = kind.ports.find((id) => id === sits) ?? kind.ports[0] ?? "";
        if (hasBond(space, player.id, hub, kind)) return [];
        return wiresBetween(space, alone, from, { device: hub.id, port }).flatMap((wire) =>
          settled(measure, ground, player, own, kind, wire),
        );
      }),
    ),
  ];
}

/** The settings of a player on a wire, in the order in which they are tried; once nothing is lost no other is looked at. */
function settled(
  measure: Measure,
  ground: Ground,
  player: Device,
  own: readonly (readonly SettingChoice[])[],
  kind: SocketKind,
  wire: Wire,
): readonly PlayerOption[] {
  const { space, weights, memo } = measure;
  const share = contentShare(space.job);
  const contents = player.sources.reduce((sum, { contents: all }) => sum + all.length, 0);
  const most = share * contents * (weights.sound + weights.picture);
  let best: PlayerOption | null = null;
  for (const settings of own) {
    const job = jobWith(space, ground.hubs, [...ground.backbone.wires, wire], [withSettings(player, settings)]);
    const rows = memo.rowsOf(job, player.id, () => solveAgain(ground.solved, job));
    if (!fulfils(space.musts, player.id, rows)) continue;
    const kept = rowPoints(space, rows, share, weights);
    const effort = addEffort(wireEffort(space.job, wire), menuEffort([player], settings));
    const points = kept + easeBound(measure, ground, job, player.id, wire, rows) - effortPoints(effort, weights);
    // Settings of a player are its own affair: only the best of them can stand in a best plan, and of equal ones the first.
    if (!best || points > best.points + 1e-9) best = { kind, wire, settings, effort, points };
    if (kept >= most - 1e-9) break;
  }
  return best ? [best] : [];
}

/**
 * At most so easy can the acts be that hang on one player: waking it, and for the first player those that begin while it is watched.
 * With others in the room an address can be missing, never be more.
 */
function easeBound(
  { space, weights, ease }: Measure,
  ground: Ground,
  job: Job,
  player: string,
  wire: Wire | null,
  rows: readonly Arrival[],
): number {
  const isFirst = space.players[0]?.id === player;
  const acts = commonActs(space).filter(({ act }) => (act.act === "wake" ? act.device === player : isFirst));
  const all = [...ground.solved.rows, ...rows];
  // All on which control rests: the wires, its switches, and by which links sound arrives.
  const key = JSON.stringify([
    player,
    ground.backbone.wires.map(({ cable }) => [cable.from, cable.to, cable.returnWires, cable.controlWire]),
    wire && [wire.cable.to, wire.cable.controlWire],
    ground.hubs.map(({ id, settings }) => [id, settings.filter((row) => CONTROL_KEYS.has(row.key)).map((row) => row.planned ?? row.found)]),
    all.map(({ id, arrives, hops }) => [id, arrives !== null, hops.map(({ link }) => link)]),
  ]);
  const known = ease.get(key);
  if (known !== undefined) return known * weights.ease;
  const household = householdOf(job, "planned", { solved: { ...ground.solved, job, rows: all }, mainScreen: space.mainScreen });
  const figures = actFigures(
    household,
    acts.map(({ act }) => act),
  );
  const found = easeOf(figures, acts);
  ease.set(key, found);
  return found * weights.ease;
}

const CONTROL_KEYS: ReadonlySet<SettingKey> = new Set<SettingKey>(["cec", "arc", "earc", "speakers", "arc-take", "power", "standby-pass"]);
