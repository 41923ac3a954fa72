import type { Configuration, PlanContext } from "./configurations";
import type { PlugOutcome } from "./evaluate-plug";
import { bestOption, type PlayerOption, unpluggedOption } from "./judge-plug";
import type { StagedWorth } from "./plug-assignment";
import type { PlugBounds } from "./plug-bounds";
import type { Plug } from "./plugs";

/**
 * The plugs of a configuration with their upper bounds, and their true worth once evaluated. Evaluation is lazy and in stages, the cheapest
 * first: the bound of its path, then what arrives, then how its acts go.
 */
export class PlugValues implements StagedWorth {
  /** Null: they were looked for, and nothing was known. */
  private readonly outcomes = new Map<Plug, readonly PlugOutcome[] | null>();
  private readonly options = new Map<Plug, PlayerOption | null>();

  constructor(
    private readonly context: PlanContext,
    private readonly configuration: Configuration,
    private readonly upperBounds: Pick<PlugBounds, "on">,
    private readonly bounds: PlugBounds,
    private readonly mostRemotes = Infinity,
  ) {}

  of(plug: Plug): number {
    const option = this.options.get(plug);
    if (option !== undefined) return option?.points ?? -Infinity;
    const outcomes = this.outcomesOf(plug);
    const most = this.upperBounds.on(this.configuration, plug);
    return outcomes
      ? Math.min(most, Math.max(-Infinity, ...outcomes.map((one) => one.points + this.bounds.actPointsOn(this.configuration, plug, one))))
      : most;
  }

  optionOf(plug: Plug): PlayerOption | null | undefined {
    return this.options.get(plug);
  }

  /** What arrives of a plug, computed if it is not known. */
  outcomesFor(plug: Plug): readonly PlugOutcome[] {
    while (!this.outcomesOf(plug)) this.refine(plug);
    return this.outcomesOf(plug) ?? [];
  }

  /** A plug through all stages. */
  settled(plug: Plug): PlayerOption | null {
    while (!this.options.has(plug)) this.refine(plug);
    return this.options.get(plug) ?? null;
  }

  stageOf(plug: Plug): number {
    return this.options.has(plug) ? Infinity : this.outcomesOf(plug) ? 2 : Number(this.bounds.isRefined(plug));
  }

  refine(plug: Plug): void {
    const outcomes = this.outcomesOf(plug);
    if (this.options.has(plug)) return;
    if (!plug.wire) this.options.set(plug, unpluggedOption(this.context, plug));
    else if (!this.bounds.isRefined(plug)) this.bounds.refine(plug);
    else if (!outcomes) this.outcomes.set(plug, this.bounds.outcomes.on(this.configuration, plug));
    else this.choose(plug, outcomes);
  }

  /** What is known of a plug, from other configurations too where the same settings count. */
  private outcomesOf(plug: Plug): readonly PlugOutcome[] | undefined {
    const known = this.outcomes.get(plug);
    if (known !== undefined) return known ?? undefined;
    const found = this.bounds.outcomes.knownOn(this.configuration, plug);
    this.outcomes.set(plug, found ?? null);
    return found;
  }

  private choose(plug: Plug, outcomes: readonly PlugOutcome[]): void {
    const option = bestOption(this.context, this.configuration, plug, outcomes, {
      atMost: (one) => this.bounds.actPointsOn(this.configuration, plug, one),
      mostRemotes: this.mostRemotes,
    });
    this.options.set(plug, option);
  }
}
