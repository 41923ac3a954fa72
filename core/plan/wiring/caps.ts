import type { ThoughtLists } from "@/core/chain";
import { actsAtMost, hearingOf, type Hearing } from "./ease-most";
import type { Backbone } from "./backbones";
import type { Ground, Measure } from "./grounds";
import { hear, type Heard } from "./hear";
import type { SoundsOf } from "./most";
import type { Plug } from "./plugs";
import { jobWith } from "./room-of";
import { soundAtMost } from "./sound-most";
import { standInOf } from "./stand-in";
import { BySwitches, type Switch } from "./switches";
import { ACTS_SHARE } from "./weights";

/**
 * What the plugs of a backbone can bring at most, looked into no further than a search asks: at first by what their socket reaches at
 * all, then by what could come along the way of their sound, and by who hears whom.
 */
export class Caps {
  private readonly looked = new Map<Plug, { readonly most: number; readonly acts: number }>();
  private readonly told = new Map<Plug, BySwitches<readonly Heard[]>>();
  private readonly thought: ThoughtLists = new Map();
  private hearing: Hearing | undefined;

  constructor(
    private readonly measure: Measure,
    private readonly backbone: Backbone,
  ) {}

  of(plug: Plug): number {
    return this.looked.get(plug)?.most ?? plug.most;
  }

  isLooked(plug: Plug): boolean {
    return plug.kind === null || this.looked.has(plug);
  }

  /** The points that the acts of its player bring at most, once it was looked into. */
  actsOf(plug: Plug): number {
    return this.measure.weights.ease * ACTS_SHARE * this.easeOf(plug);
  }

  /** The same as a share of all acts. */
  easeOf(plug: Plug): number {
    return this.looked.get(plug)?.acts ?? Infinity;
  }

  look(plug: Plug): void {
    const { space, most, sounds } = this.measure;
    const player = space.players.find(({ id }) => id === plug.player);
    const { wire, reach } = plug;
    if (!player || !wire || !reach) return;
    const { cable } = wire;
    const standIn = standInOf(space, player, wire).device.id;
    const key = `${standIn} ${cable.class} ${cable.controlWire} ${cable.returnWires} ${reach.joined}`;
    const kept =
      sounds.get(key) ??
      soundAtMost(space, jobWith(space, this.backbone.hubs, [...this.backbone.wires, wire], [player]), player, this.thought);
    sounds.set(key, kept);
    this.hearing ??= hearingOf(space, jobWith(space, this.backbone.hubs, this.backbone.wires));
    const heard = this.hearing.ofSocket(cable.to, cable.controlWire);
    const acts = actsAtMost(space, this.hearing, player.id, heard);
    const cap = most.ofPlayer(player.id, reach, { sounds: kept, acts, alone: true });
    this.looked.set(plug, { most: Math.min(plug.most, cap), acts });
  }

  /** What is heard of a plug on a ground: as on another ground of the backbone where every switch that was asked about stands alike. */
  heardOn(ground: Ground, plug: Plug): { readonly answer: readonly Heard[]; readonly switches: readonly Switch[] } {
    const told = this.told.get(plug) ?? new BySwitches();
    this.told.set(plug, told);
    return told.of(ground.hubs, () => hear(this.measure, ground, plug));
  }

  /** What the hubs play themselves can keep of its sound. */
  readonly ownSounds: SoundsOf = (device, reachFrom) => {
    const { space, sounds } = this.measure;
    const key = `${device.id} ${device.sources.map(({ id }) => reachFrom({ device: device.id, port: id }).joined).join(" ")}`;
    const kept = sounds.get(key) ?? soundAtMost(space, jobWith(space, this.backbone.hubs, this.backbone.wires), device, this.thought);
    sounds.set(key, kept);
    return kept;
  };
}
