import type { SettingKey } from "@/core/facts";
import { effectiveSetting } from "@/core/device";
import { actsAtMost, hearingOf, type Hearing } from "./ease-most";
import type { Backbone } from "./backbones";
import type { Ground, Measure } from "./grounds";
import { hear, type Heard } from "./hear";
import type { SoundsOf } from "./most";
import type { Plug } from "./plugs";
import { jobWith } from "./room-of";
import { soundAtMost } from "./sound-most";
import { ACTS_SHARE } from "./weights";

/** A switch of a hub that was asked about, and how it stood. */
export interface Switch {
  readonly device: string;
  readonly key: SettingKey;
  readonly value: string | null | undefined;
}

/** What is heard of a plug while these switches stand so, whatever the others do. */
export interface Told {
  readonly switches: readonly Switch[];
  readonly heard: readonly Heard[];
}

/** Whether switches stand on a ground as they did when something was heard. */
export const standsAlike = ({ hubs }: Pick<Ground, "hubs">, switches: readonly Switch[]): boolean =>
  switches.every(({ device, key, value }) => {
    const hub = hubs.find(({ id }) => id === device);
    return hub !== undefined && effectiveSetting(hub, key, "planned") === value;
  });

/**
 * What the plugs of a backbone can bring at most, looked into no further than a search asks: at first by what their socket reaches at
 * all, then by what could come along the way of their sound, and by who hears whom.
 */
export class Caps {
  private readonly looked = new Map<Plug, { readonly most: number; readonly acts: number }>();
  private readonly told = new Map<Plug, Told[]>();
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
    const key = `${plug.player} ${cable.class} ${cable.controlWire} ${cable.returnWires} ${reach.trail}`;
    const kept =
      sounds.get(key) ?? soundAtMost(space, jobWith(space, this.backbone.hubs, [...this.backbone.wires, wire], [player]), player);
    sounds.set(key, kept);
    this.hearing ??= hearingOf(space, jobWith(space, this.backbone.hubs, this.backbone.wires));
    const heard = this.hearing.ofSocket(cable.to, cable.controlWire);
    const acts = actsAtMost(space, this.hearing, player.id, heard);
    const cap = most.ofPlayer(player.id, reach, { sounds: kept, acts, alone: true });
    this.looked.set(plug, { most: Math.min(plug.most, cap), acts });
  }

  /** What is heard of a plug on a ground: as on another ground of the backbone where every switch that was asked about stands alike. */
  heardOn(ground: Ground, plug: Plug): Told {
    const told = this.told.get(plug) ?? [];
    const known = told.find(({ switches }) => standsAlike(ground, switches));
    if (known) return known;
    const { heard, asked } = hear(this.measure, ground, plug);
    const switches = asked.flatMap((question): Switch[] => {
      const [what, device = "", key = ""] = question.split(" ");
      const hub = what === "setting" ? ground.hubs.find(({ id }) => id === device) : undefined;
      const setting = hub?.settings.find((row) => row.key === key);
      return hub && setting ? [{ device, key: setting.key, value: effectiveSetting(hub, setting.key, "planned") }] : [];
    });
    const fresh = { switches, heard };
    this.told.set(plug, [...told, fresh]);
    return fresh;
  }

  /** What the hubs play themselves can keep of its sound. */
  readonly ownSounds: SoundsOf = (device, reachFrom) => {
    const { space, sounds } = this.measure;
    const key = `${device.id} ${device.sources.map(({ id }) => reachFrom({ device: device.id, port: id }).trail).join(" ")}`;
    const kept = sounds.get(key) ?? soundAtMost(space, jobWith(space, this.backbone.hubs, this.backbone.wires), device);
    sounds.set(key, kept);
    return kept;
  };
}
