import type { ThoughtLists } from "@/core/chain";
import type { Device } from "@/core/device";
import { actsAtMost, hearingOf, type Hearing } from "./ease-most";
import type { Backbone } from "./backbones";
import type { Ground, Measure } from "./grounds";
import { hear, type Heard } from "./hear";
import type { KeptAtMost, SoundsOf } from "./most";
import { asPlanned, pictureAtMost } from "./picture-on";
import type { Plug } from "./plugs";
import { isSeenAlone } from "./reach";
import { jobWith } from "./room-of";
import { soundAtMost } from "./sound-most";
import { standInOf } from "./stand-in";
import { BySwitches, type Switch } from "./switches";
import { ACTS_SHARE } from "./weights";
import type { Wire } from "./wires";

/** What passes of a device at most, by all that it is joined with. */
export type Passed = Pick<KeptAtMost, "sounds" | "pictures">;

/**
 * What the plugs of a backbone can bring at most, looked into no further than a search asks: at first by what their socket reaches at
 * all, then by what could come along the way of their sound, and by who hears whom.
 */
export class Caps {
  private readonly looked = new Map<Plug, { readonly most: number; readonly acts: number }>();
  private readonly told = new Map<Plug, BySwitches<readonly Heard[]>>();
  private readonly thought: ThoughtLists = new Map();
  private hearing: Hearing | undefined;
  private planned: readonly Device[] | undefined;

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
    const { space, most, kept } = this.measure;
    const player = space.players.find(({ id }) => id === plug.player);
    const { wire, reach } = plug;
    if (!player || !wire || !reach) return;
    const { cable } = wire;
    const standIn = standInOf(space, player, wire).device.id;
    const key = `${standIn} ${cable.class} ${cable.controlWire} ${cable.returnWires} ${cable.lengthM} ${reach.joined}`;
    const passed = kept.get(key) ?? this.passedOf(player, wire);
    kept.set(key, passed);
    this.hearing ??= hearingOf(space, jobWith(space, this.backbone.hubs, this.backbone.wires));
    const heard = this.hearing.ofSocket(cable.to, cable.controlWire);
    const acts = actsAtMost(space, this.hearing, player, heard);
    const job = jobWith(space, this.backbone.hubs, [...this.backbone.wires, wire], [player]);
    const alone = isSeenAlone(space, job, player);
    const cap = most.ofPlayer(player.id, { reach, wire }, { ...passed, acts, alone });
    this.looked.set(plug, { most: Math.min(plug.most, cap), acts });
  }

  /** What could come at most of a player along a wire: its sound with every switch at will, its picture as it is planned. */
  private passedOf(player: Device, wire: Wire): Passed {
    const { space } = this.measure;
    const { hubs, wires } = this.backbone;
    this.planned ??= hubs.map(asPlanned);
    const job = jobWith(space, this.planned, [...wires, wire], [asPlanned(player)]);
    return { sounds: soundAtMost(space, job, player, this.thought), pictures: pictureAtMost(job, player.id) };
  }

  /** What is heard of a plug on a ground: as on another ground of the backbone where every switch that was asked about stands alike. */
  heardOn(ground: Ground, plug: Plug): { readonly answer: readonly Heard[]; readonly switches: readonly Switch[] } {
    const told = this.told.get(plug) ?? new BySwitches();
    this.told.set(plug, told);
    return told.of(ground.hubs, () => hear(this.measure, ground, plug));
  }

  /** What the hubs play themselves can keep of its sound. */
  readonly ownSounds: SoundsOf = (device, reachFrom) => {
    const { space, kept } = this.measure;
    const key = `${device.id} ${device.sources.map(({ id }) => reachFrom({ device: device.id, port: id }).joined).join(" ")}`;
    const job = jobWith(space, this.backbone.hubs, this.backbone.wires);
    const passed = kept.get(key) ?? { sounds: soundAtMost(space, job, device, this.thought), pictures: [] };
    kept.set(key, passed);
    return passed.sounds;
  };
}
