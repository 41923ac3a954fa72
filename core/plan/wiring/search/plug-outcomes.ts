import { SettingMemo } from "../memo";
import type { StandIn, Wire } from "../space";
import type { Configuration, PlanContext } from "./configurations";
import { evaluateStandIn, outcomesOf, type PlugOutcome, type StandInOutcome, standInOfPlug } from "./evaluate-plug";
import type { Plug } from "./plugs";

/** What comes of the plugs of a topology, remembered by the hub settings on which it depends. */
export class PlugOutcomes {
  /** Of those that stand for players, by their wires, and of plugs by them. */
  private readonly evaluated = new Map<Wire, SettingMemo<readonly StandInOutcome[]>>();
  private readonly outcomes = new Map<Plug, Map<readonly StandInOutcome[], readonly PlugOutcome[]>>();

  /** @param mostSounds upper bound of the sound kept for each content of a player */
  constructor(
    private readonly context: PlanContext,
    private readonly mostSounds: (standIn: StandIn) => readonly number[],
  ) {}

  /** The outcomes of a plug on a configuration, from the memo where every setting they depend on is the same. */
  on(configuration: Configuration, plug: Plug): readonly PlugOutcome[] {
    const standing = standInOfPlug(this.context.space, plug);
    if (!standing) return [];
    const told = this.evaluated.get(standing.wire) ?? new SettingMemo();
    this.evaluated.set(standing.wire, told);
    const work = () => evaluateStandIn(this.context, configuration, standing, this.mostSounds(standing));
    return this.ownOutcomes(plug, told.of(configuration.hubs, work));
  }

  /** The same where they are in the memo. */
  knownOn(configuration: Configuration, plug: Plug): readonly PlugOutcome[] | undefined {
    const standing = standInOfPlug(this.context.space, plug);
    const known = standing && this.evaluated.get(standing.wire)?.known(configuration.hubs);
    return known ? this.ownOutcomes(plug, known.answer) : undefined;
  }

  private ownOutcomes(plug: Plug, evaluated: readonly StandInOutcome[]): readonly PlugOutcome[] {
    const own = this.outcomes.get(plug) ?? new Map<readonly StandInOutcome[], readonly PlugOutcome[]>();
    this.outcomes.set(plug, own);
    const known = own.get(evaluated) ?? outcomesOf(this.context, plug, evaluated);
    own.set(evaluated, known);
    return known;
  }
}
