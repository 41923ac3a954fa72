import { type School, schoolsOf, schoolsWanted, topologiesOf, type Topology } from "../topology";
import {
  actsOf,
  assignPlugs,
  type Configuration,
  draftOf,
  everyConfiguration,
  newContext,
  type PlanContext,
  type PlayerOption,
  type Plug,
  PlugBounds,
  plugsOf,
  type PlugTables,
  startsOf,
  anywhere,
  topologyEffort,
  unpluggedOption,
  withPictureBounds,
} from "../search";
import { ACTS_SHARE, contentShare, menuEffort, rowPoints, UNPLUGGED_POINTS, wireEffort } from "../evaluation";
import type { WiringSpace } from "../space";
import { ARRIVING, covers, LEAST_ARRIVING, tradeOf, UNPLUGGED_SHARE, type Trade, type TradedPlan } from "./trade";

/** A way to plug a player on a configuration, with what it adds to a trade at best. */
interface Leg {
  readonly option: PlayerOption;
  readonly adds: Trade;
}

const NOTHING: Trade = { arrivals: 0, ease: 0, cost: 0, work: 0 };
const sum = (a: Trade, b: Trade): Trade => ({
  arrivals: a.arrivals + b.arrivals,
  ease: a.ease + b.ease,
  cost: a.cost + b.cost,
  work: a.work + b.work,
});
const bestOf = (trades: readonly Trade[]): Trade =>
  trades.reduce((a, b) => ({
    arrivals: Math.max(a.arrivals, b.arrivals),
    ease: Math.max(a.ease, b.ease),
    cost: Math.min(a.cost, b.cost),
    work: Math.min(a.work, b.work),
  }));

/**
 * Completes plans until every way of wiring is covered by one of them: as good in arrivals, ease, cost and work together, but for
 * differences that nobody argues about. What a topology, a configuration and a part of its players can bring at best is added up figure by
 * figure; what a known plan dominates is not examined. Plans that leave more players unplugged than necessary do not count.
 * @param isOver tells when the time is over; then what was completed so far is given, and said not to be whole
 */
export function paretoFront(
  space: WiringSpace,
  seeds: readonly TradedPlan[],
  isOver: () => boolean,
): { readonly plans: readonly TradedPlan[]; readonly isWhole: boolean } {
  // Hopes are no part of a trade: they would only be counted twice.
  const bare: WiringSpace = { ...space, hopes: [] };
  const quest = new Quest(withPictureBounds(newContext(bare, ARRIVING)), seeds, isOver);
  const wanted = schoolsWanted(bare);
  for (const topology of topologiesOf(bare)) {
    const schools = schoolsOf(bare, topology).filter((school) => wanted.includes(school));
    if (schools.length > 0) quest.lookThrough(topology, schools);
    if (isOver()) return { plans: quest.plans, isWhole: false };
  }
  return quest.hasFewer ? paretoFront(space, quest.plans, isOver) : { plans: quest.plans, isWhole: true };
}

/** The plans found so far, and what is looked through beside them. */
class Quest {
  readonly plans: TradedPlan[];
  /** No plan leaves fewer players unplugged, as far as is known. */
  private readonly fewest: number;
  /** A plan came up that leaves fewer unplugged than those from which this began. */
  hasFewer = false;
  private readonly isHeard: boolean;
  private readonly leastArriving: number;

  constructor(
    private readonly context: PlanContext,
    seeds: readonly TradedPlan[],
    private readonly isOver: () => boolean,
  ) {
    this.fewest = Math.min(Infinity, ...seeds.map(({ plan }) => plan.figures.unplugged));
    // One that leaves a player out stands for none in which all of them are plugged.
    this.plans = seeds.filter(({ plan }) => plan.figures.unplugged === this.fewest);
    this.isHeard = seeds.some(({ plan }) => plan.figures.heard);
    this.leastArriving = LEAST_ARRIVING * Math.max(0, ...seeds.map(({ trade }) => trade.arrivals));
  }

  lookThrough(topology: Topology, schools: readonly School[]): void {
    const { space } = this.context;
    const { tables, ownMost, sounds } = plugsOf(this.context, topology);
    if (this.isHeard && !sounds) return;
    const bounds = new PlugBounds(this.context, topology);
    const effort = topologyEffort(space, topology);
    const cost = effort.money + effort.guessed;
    // Players take away no more minutes than there are cables to leave as they are, and cost nothing at least.
    const least = { cost, work: effort.minutes - space.existing.length };
    const roughly = assignPlugs(anywhere(tables), ({ most }) => most)?.worth ?? -Infinity;
    if (this.isCovered({ arrivals: (ownMost + roughly) / 100, ease: 1, ...least })) return;
    tables.flat().forEach((plug) => bounds.refine(plug));
    const arrivals = assignPlugs(anywhere(tables), (plug) => bounds.of(plug))?.worth ?? -Infinity;
    const ease =
      space.players.length === 0 ? 1 : (assignPlugs(anywhere(tables), (plug) => this.easeAtMost(plug, bounds))?.worth ?? -Infinity);
    if (this.isCovered({ arrivals: (ownMost + arrivals) / 100, ease, ...least })) return;
    for (const configuration of everyConfiguration(this.context, topology)) {
      if (this.isOver()) return;
      if (!configuration.isPossible) continue;
      const own = rowPoints(space, configuration.rows, contentShare(space.job), ARRIVING) / 100;
      const work = effort.minutes + menuEffort(topology.hubs, configuration.settings).minutes;
      const before = { arrivals: own, ease: space.players.length === 0 ? 1 : 0, cost, work };
      if (this.isCovered({ arrivals: own + arrivals / 100, ease, ...least })) continue;
      const legs = this.legsOn(configuration, tables, bounds, before);
      if (!legs) continue;
      const seen = new Set<string>();
      for (const school of schools)
        for (const start of startsOf(space, topology, school, tables)) this.place({ configuration, school, start, legs, seen }, before);
    }
  }

  private isCovered(most: Trade): boolean {
    if (most.arrivals < this.leastArriving) return true;
    return this.plans.some(({ trade }) => covers(trade, { ...most, work: Math.max(0, most.work) }));
  }

  /**
   * What each plug that nothing covers adds on a configuration, heard one player after the other: what the others could add at best is known
   * the better the more of them were heard. Null where a player has no such plug.
   */
  private legsOn(
    configuration: Configuration,
    tables: PlugTables,
    bounds: PlugBounds,
    before: Trade,
  ): ReadonlyMap<Plug, readonly Leg[]> | null {
    const hoped = tables.map((plugs) => plugs.map((plug) => ({ plug, adds: this.addsAtMost(plug, bounds) })));
    const most = hoped.map((plugs) => bestOf(plugs.map(({ adds }) => adds)));
    const legs = new Map<Plug, readonly Leg[]>();
    for (const [player, plugs] of hoped.entries()) {
      const others = most.reduce((all, one, index) => (index === player ? all : sum(all, one)), before);
      for (const { plug, adds } of plugs) if (!this.isCovered(sum(others, adds))) legs.set(plug, this.legsOf(configuration, plug, bounds));
      const kept = plugs.flatMap(({ plug }) => legs.get(plug) ?? []);
      if (kept.length === 0) return null;
      most[player] = bestOf(kept.map(({ adds }) => adds));
    }
    return legs;
  }

  /** No more arrives of a plug, nor is it easier, cheaper or less work, whatever is set. */
  private addsAtMost(plug: Plug, bounds: PlugBounds): Trade {
    if (!plug.wire) return { ...NOTHING, arrivals: -UNPLUGGED_SHARE, ease: this.easeUnplugged(plug) };
    const { money, guessed, minutes } = wireEffort(this.context.space, plug.wire);
    return { arrivals: bounds.of(plug) / 100, ease: this.easeAtMost(plug, bounds), cost: money + guessed, work: minutes };
  }

  private easeAtMost(plug: Plug, bounds: PlugBounds): number {
    const { players } = this.context.space;
    return plug.wire ? ACTS_SHARE * bounds.easeOf(plug) + (1 - ACTS_SHARE) / players.length : this.easeUnplugged(plug);
  }

  private easeUnplugged(plug: Plug): number {
    const option = unpluggedOption({ ...this.context, weights: { ...ARRIVING, ease: 1 } }, plug);
    return option ? option.points + UNPLUGGED_POINTS : -Infinity;
  }

  /** Every choice of settings of a plug that was heard on a configuration. */
  private legsOf(configuration: Configuration, plug: Plug, bounds: PlugBounds): readonly Leg[] {
    const { player, kind, wire } = plug;
    if (!wire) {
      const option = unpluggedOption(this.context, plug);
      return option ? [{ option, adds: this.addsAtMost(plug, bounds) }] : [];
    }
    const { players } = this.context.space;
    return bounds.outcomes.on(configuration, plug).map((heard): Leg => {
      const { settings, effort } = heard;
      const acts = ACTS_SHARE * actsOf(this.context, configuration, heard.of).ease;
      return {
        option: { player, kind, wire, settings, effort, points: 0, remotes: 1 },
        adds: {
          arrivals: heard.points / 100,
          ease: acts + ((1 - ACTS_SHARE) * Number(heard.of.isAlone)) / players.length,
          cost: effort.money + effort.guessed,
          work: effort.minutes,
        },
      };
    });
  }

  /** Tries every way to place the players of a start that nothing at hand covers. */
  private place({ configuration, school, start, legs, seen }: Start, before: Trade): void {
    const own = start.map((plugs) => plugs.flatMap((plug) => legs.get(plug) ?? []));
    if (own.some((some) => some.length === 0)) return;
    // What the players from each on can add at best.
    const rest = own.map((_, index) => own.slice(index).reduce((all, some) => sum(all, bestOf(some.map(({ adds }) => adds))), NOTHING));
    const used = new Map<string, number>();
    const visit = (chosen: readonly Leg[], trade: Trade, alone: number) => {
      const at = chosen.length;
      if (this.isOver() || alone > this.fewest || this.isCovered(sum(trade, rest[at] ?? NOTHING))) return;
      if (at === own.length) {
        this.play(configuration, school, chosen, seen);
        return;
      }
      for (const leg of own[at] ?? []) {
        const { kind } = leg.option;
        const key = kind ? `${kind.device} ${kind.ports.join()}` : "";
        const count = used.get(key) ?? 0;
        if (kind && count >= kind.ports.length) continue;
        used.set(key, count + 1);
        visit([...chosen, leg], sum(trade, leg.adds), alone + Number(!kind));
        used.set(key, count);
      }
    };
    visit([], before, 0);
  }

  private play(configuration: Configuration, school: School, chosen: readonly Leg[], seen: Set<string>): void {
    const key = chosen
      .map(({ option }) => `${option.wire?.cable.id} ${option.wire?.cable.to.port} ${JSON.stringify(option.settings)}`)
      .join("|");
    if (seen.has(key)) return;
    seen.add(key);
    const options = chosen.map(({ option }) => option);
    const draft = draftOf(this.context, configuration, school, options);
    const estimate = draft?.estimate();
    if (!draft || !estimate || this.isCovered(tradeOf(estimate))) return;
    const plan = draft.plan();
    if (!plan || (this.isHeard && !plan.figures.heard)) return;
    const trade = tradeOf(plan);
    this.hasFewer ||= plan.figures.unplugged < this.fewest;
    if (!this.plans.some((other) => covers(other.trade, trade))) this.plans.push({ plan, trade });
  }
}

/** Players to be placed on a configuration. */
interface Start {
  readonly configuration: Configuration;
  readonly school: School;
  readonly start: PlugTables;
  readonly legs: ReadonlyMap<Plug, readonly Leg[]>;
  readonly seen: Set<string>;
}
