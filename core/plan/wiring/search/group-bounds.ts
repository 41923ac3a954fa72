import type { Topology } from "../topology";
import { reachOf } from "../space";
import type { PlanContext } from "./configurations";
import { standInOfPlug } from "./evaluate-plug";
import { PassedBounds } from "./passed-bounds";
import type { HubsAsSet } from "./acts-bounds";
import type { StagedWorth } from "./plug-assignment";
import type { PlugBounds, SoundLimit } from "./plug-bounds";
import type { Plug } from "./plugs";
import type { SettingGroup } from "./setting-group";

/** Upper bounds of plugs in a control group, refined on demand by the sound that passes with the settings of the group. */
export class GroupBounds implements StagedWorth {
  private readonly limits = new Map<Plug, SoundLimit | null>();
  private readonly passed: PassedBounds;
  private set: HubsAsSet | undefined;
  private own: number | undefined;

  constructor(
    private readonly context: PlanContext,
    private readonly topology: Topology,
    private readonly bounds: PlugBounds,
    private readonly group: SettingGroup,
  ) {
    this.passed = new PassedBounds(context, group.undecided, topology.wires);
  }

  /** Upper bound of what is not about players: the hubs' own sources, less the menus to visit. Computed once. */
  get points(): number {
    const { space, most } = this.context;
    this.own ??= most.ofOwn(this.topology.hubs, reachOf(space, this.topology), this.passed.soundOfOwn);
    return this.own - this.group.menus;
  }

  stageOf(plug: Plug): number {
    return plug.kind === null || this.limits.has(plug) ? Infinity : 0;
  }

  refine(plug: Plug): void {
    const standIn = standInOfPlug(this.context.space, plug);
    if (!standIn || this.limits.has(plug)) return;
    this.bounds.refine(plug);
    this.limits.set(plug, this.bounds.withSounds(this.group, plug, this.passed.soundOf(standIn)));
  }

  /** Upper bound of a plug on every configuration of the group. */
  of(plug: Plug): number {
    this.set ??= { hubs: this.group.hubs, ownSound: this.bounds.ownSoundBy(this.passed) };
    return this.on(this.set, plug);
  }

  /** Upper bound of a plug on one of them. */
  on(set: HubsAsSet, plug: Plug): number {
    const limit = this.limits.get(plug);
    const bound = this.bounds.on(set, plug);
    return limit ? Math.min(bound, this.bounds.limitedTo(limit, set, plug)) : bound;
  }
}
