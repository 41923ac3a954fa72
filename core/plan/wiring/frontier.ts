import { backbonesOf, type Backbone } from "./backbones";
import { Caps } from "./caps";
import { menuEffort, wireEffort } from "./effort";
import { contentShare, rowPoints } from "./figures";
import { everyGround, newMeasure, sharpened, type Ground, type Measure } from "./grounds";
import { backboneEffort, draftOf } from "./make-plan";
import { assign } from "./nodes";
import { plugsOf, type Plug } from "./plugs";
import { schoolsOn, type School } from "./schools";
import { schoolsWanted } from "./search";
import { actsBound, unplugged, type PlayerOption } from "./settle";
import type { WiringSpace } from "./space";
import { startsOf, type Tables } from "./starts";
import { ARRIVING, covers, LEAST_ARRIVING, tradeOf, UNPLUGGED_SHARE, type Trade, type TradedPlan } from "./trade";
import { ACTS_SHARE, UNPLUGGED_POINTS } from "./weights";

/** A way to plug a player on a ground, with what it adds to a trade at best. */
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
 * differences that nobody argues about. What a backbone, a ground and a part of its players can bring at best is added up figure by
 * figure; whatever a plan at hand covers is not looked into. Ways that leave more players unplugged than need be are none.
 * @param isOver tells when the time is over; then what was completed so far is given, and said not to be whole
 */
export function frontierOf(
  space: WiringSpace,
  seeds: readonly TradedPlan[],
  isOver: () => boolean,
): { readonly plans: readonly TradedPlan[]; readonly isWhole: boolean } {
  // Hopes are no part of a trade: they would only be counted twice.
  const bare: WiringSpace = { ...space, hopes: [] };
  const quest = new Quest(sharpened(newMeasure(bare, ARRIVING)), seeds, isOver);
  const wanted = schoolsWanted(bare);
  for (const backbone of backbonesOf(bare)) {
    const schools = schoolsOn(bare, backbone).filter((school) => wanted.includes(school));
    if (schools.length > 0) quest.lookThrough(backbone, schools);
    if (isOver()) return { plans: quest.plans, isWhole: false };
  }
  return quest.hasFewer ? frontierOf(space, quest.plans, isOver) : { plans: quest.plans, isWhole: true };
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
    private readonly measure: Measure,
    seeds: readonly TradedPlan[],
    private readonly isOver: () => boolean,
  ) {
    this.fewest = Math.min(Infinity, ...seeds.map(({ plan }) => plan.figures.unplugged));
    // One that leaves a player out stands for none in which all of them are plugged.
    this.plans = seeds.filter(({ plan }) => plan.figures.unplugged === this.fewest);
    this.isHeard = seeds.some(({ plan }) => plan.figures.heard);
    this.leastArriving = LEAST_ARRIVING * Math.max(0, ...seeds.map(({ trade }) => trade.arrivals));
  }

  lookThrough(backbone: Backbone, schools: readonly School[]): void {
    const { space } = this.measure;
    const { tables, ownMost, sounds } = plugsOf(this.measure, backbone);
    if (this.isHeard && !sounds) return;
    const caps = new Caps(this.measure, backbone);
    const effort = backboneEffort(space, backbone);
    const cost = effort.money + effort.guessed;
    // Players take away no more minutes than there are cables to leave as they lie, and cost nothing at least.
    const least = { cost, work: effort.minutes - space.lying.length };
    const roughly = assign(tables, ({ most }) => most)?.worth ?? -Infinity;
    if (this.isCovered({ arrivals: (ownMost + roughly) / 100, ease: 1, ...least })) return;
    tables.flat().forEach((plug) => caps.look(plug));
    const arrivals = assign(tables, (plug) => caps.of(plug))?.worth ?? -Infinity;
    const ease = space.players.length === 0 ? 1 : (assign(tables, (plug) => this.easeAtMost(plug, caps))?.worth ?? -Infinity);
    if (this.isCovered({ arrivals: (ownMost + arrivals) / 100, ease, ...least })) return;
    for (const ground of everyGround(this.measure, backbone)) {
      if (this.isOver()) return;
      if (!ground.isPossible) continue;
      const own = rowPoints(space, ground.rows, contentShare(space.job), ARRIVING) / 100;
      const work = effort.minutes + menuEffort(backbone.hubs, ground.settings).minutes;
      const before = { arrivals: own, ease: space.players.length === 0 ? 1 : 0, cost, work };
      if (this.isCovered({ arrivals: own + arrivals / 100, ease, ...least })) continue;
      const legs = this.legsOn(ground, tables, caps, before);
      if (!legs) continue;
      const seen = new Set<string>();
      for (const school of schools)
        for (const start of startsOf(space, backbone, school, tables)) this.place({ ground, school, start, legs, seen }, before);
    }
  }

  private isCovered(most: Trade): boolean {
    if (most.arrivals < this.leastArriving) return true;
    return this.plans.some(({ trade }) => covers(trade, { ...most, work: Math.max(0, most.work) }));
  }

  /**
   * What each plug that nothing covers adds on a ground, heard one player after the other: what the others could add at best is known
   * the better the more of them were heard. Null where a player has no such plug.
   */
  private legsOn(ground: Ground, tables: Tables, caps: Caps, before: Trade): ReadonlyMap<Plug, readonly Leg[]> | null {
    const hoped = tables.map((plugs) => plugs.map((plug) => ({ plug, adds: this.addsAtMost(plug, caps) })));
    const most = hoped.map((plugs) => bestOf(plugs.map(({ adds }) => adds)));
    const legs = new Map<Plug, readonly Leg[]>();
    for (const [player, plugs] of hoped.entries()) {
      const others = most.reduce((all, one, index) => (index === player ? all : sum(all, one)), before);
      for (const { plug, adds } of plugs) if (!this.isCovered(sum(others, adds))) legs.set(plug, this.legsOf(ground, plug, caps));
      const kept = plugs.flatMap(({ plug }) => legs.get(plug) ?? []);
      if (kept.length === 0) return null;
      most[player] = bestOf(kept.map(({ adds }) => adds));
    }
    return legs;
  }

  /** No more arrives of a plug, nor is it easier, cheaper or less work, whatever is set. */
  private addsAtMost(plug: Plug, caps: Caps): Trade {
    if (!plug.wire) return { ...NOTHING, arrivals: -UNPLUGGED_SHARE, ease: this.easeUnplugged(plug) };
    const { money, guessed, minutes } = wireEffort(this.measure.space, plug.wire);
    return { arrivals: caps.of(plug) / 100, ease: this.easeAtMost(plug, caps), cost: money + guessed, work: minutes };
  }

  private easeAtMost(plug: Plug, caps: Caps): number {
    const { players } = this.measure.space;
    return plug.wire ? ACTS_SHARE * caps.easeOf(plug) + (1 - ACTS_SHARE) / players.length : this.easeUnplugged(plug);
  }

  private easeUnplugged(plug: Plug): number {
    const option = unplugged({ ...this.measure, weights: { ...ARRIVING, ease: 1 } }, plug);
    return option ? option.points + UNPLUGGED_POINTS : -Infinity;
  }

  /** Every choice of settings of a plug that was heard on a ground. */
  private legsOf(ground: Ground, plug: Plug, caps: Caps): readonly Leg[] {
    const { player, kind, wire } = plug;
    if (!wire) {
      const option = unplugged(this.measure, plug);
      return option ? [{ option, adds: this.addsAtMost(plug, caps) }] : [];
    }
    const { players } = this.measure.space;
    return caps.heardOn(ground, plug).map((heard): Leg => {
      const { settings, effort, isAlone } = heard;
      const acts = ACTS_SHARE * actsBound(this.measure, ground, heard).ease;
      return {
        option: { player, kind, wire, settings, effort, points: 0, remotes: 1, most: 0 },
        adds: {
          arrivals: heard.points / 100,
          ease: acts + ((1 - ACTS_SHARE) * Number(isAlone)) / players.length,
          cost: effort.money + effort.guessed,
          work: effort.minutes,
        },
      };
    });
  }

  /** Tries every way to place the players of a start that nothing at hand covers. */
  private place({ ground, school, start, legs, seen }: Start, before: Trade): void {
    const own = start.map((plugs) => plugs.flatMap((plug) => legs.get(plug) ?? []));
    if (own.some((some) => some.length === 0)) return;
    // What the players from each on can add at best.
    const rest = own.map((_, index) => own.slice(index).reduce((all, some) => sum(all, bestOf(some.map(({ adds }) => adds))), NOTHING));
    const used = new Map<string, number>();
    const visit = (chosen: readonly Leg[], trade: Trade, alone: number) => {
      const at = chosen.length;
      if (this.isOver() || alone > this.fewest || this.isCovered(sum(trade, rest[at] ?? NOTHING))) return;
      if (at === own.length) {
        this.play(ground, school, chosen, seen);
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

  private play(ground: Ground, school: School, chosen: readonly Leg[], seen: Set<string>): void {
    const key = chosen
      .map(({ option }) => `${option.wire?.cable.id} ${option.wire?.cable.to.port} ${JSON.stringify(option.settings)}`)
      .join("|");
    if (seen.has(key)) return;
    seen.add(key);
    const options = chosen.map(({ option }) => option);
    const draft = draftOf(this.measure, ground, school, options);
    const foreseen = draft?.foreseen();
    if (!draft || !foreseen || this.isCovered(tradeOf(foreseen))) return;
    const plan = draft.plan();
    if (!plan || (this.isHeard && !plan.figures.heard)) return;
    const trade = tradeOf(plan);
    this.hasFewer ||= plan.figures.unplugged < this.fewest;
    if (!this.plans.some((other) => covers(other.trade, trade))) this.plans.push({ plan, trade });
  }
}

/** Players to be placed on a ground. */
interface Start {
  readonly ground: Ground;
  readonly school: School;
  readonly start: Tables;
  readonly legs: ReadonlyMap<Plug, readonly Leg[]>;
  readonly seen: Set<string>;
}
