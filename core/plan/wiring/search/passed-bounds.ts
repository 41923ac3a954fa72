import { deviceQuestion, makeRig, type Question, type Rig } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Cable } from "@/core/job";
import { JobFacts } from "../memo";
import type { PlanContext } from "./configurations";
import { asPlanned, pictureUpperBound, soundUpperBound, type SoundsOf } from "../bounds";
import { choicesOf, jobWith, type StandIn, undecided, type Wire } from "../space";

/** Upper bounds of what passes on a topology whose hubs are set in some way, from the memo where all that they depend on is the same. */
export class PassedBounds {
  private room: JobFacts | undefined;
  private readonly sounds = new Map<Wire, readonly number[]>();
  private readonly pictures = new Map<Wire, readonly number[]>();

  constructor(
    private readonly context: PlanContext,
    private readonly hubs: readonly Device[],
    private readonly wires: readonly Wire[],
  ) {}

  /** How much of its sound each content of a player keeps by a wire at most: settings that nobody knows are free. */
  soundOf({ device, wire }: StandIn): readonly number[] {
    const known = this.sounds.get(wire) ?? this.sound(undecided(device, choicesOf(device, false)), wire);
    this.sounds.set(wire, known);
    return known;
  }

  /** The same of a hub, or of a device that no plan touches. */
  readonly soundOfOwn: SoundsOf = (device) => this.sound(this.hubs.find(({ id }) => id === device.id) ?? device, null);

  /** On how many screens the picture of each content of a player is whole at most, with the settings as they are. */
  pictureOf({ device, wire }: StandIn): readonly number[] {
    const known = this.pictures.get(wire) ?? this.picture(asPlanned(device), wire);
    this.pictures.set(wire, known);
    return known;
  }

  private picture(player: Device, wire: Wire): readonly number[] {
    const ask = () => this.asking(player, wire, (rig) => pictureUpperBound(rig, player.id));
    return this.context.pictures.of(this.facts(player, wire.cable), player.id, ask).answer;
  }

  private sound(device: Device, wire: Wire | null): readonly number[] {
    const { space, sounds } = this.context;
    const ask = () => this.asking(device, wire, (rig) => soundUpperBound(space, rig, device));
    return sounds.of(this.facts(device, wire?.cable), device.id, ask).answer;
  }

  private facts(device: Device, cable: Cable | undefined): JobFacts {
    this.room ??= new JobFacts(jobWith(this.context.space, this.hubs, this.wires));
    return cable ? new JobFacts({ devices: [device], cables: [cable] }, this.room) : this.room;
  }

  private asking<Answer>(
    device: Device,
    wire: Wire | null,
    work: (rig: Rig) => Answer,
  ): { readonly answer: Answer; readonly asked: readonly Question[] } {
    const { space } = this.context;
    const job = wire ? jobWith(space, this.hubs, [...this.wires, wire], [device]) : jobWith(space, this.hubs, this.wires);
    const rig = makeRig(job, "planned");
    const { answer, asked } = rig.traced(() => work(rig));
    return { answer, asked: [deviceQuestion(device.id), deviceQuestion(space.system.id), ...asked.questions] };
  }
}
