import { z } from "zod";
import { present } from "@/core/outcome";
import { CableCommand } from "./cable-commands";
import { DeviceCommand } from "./device-commands";
import { HandoverCommand } from "./handover-commands";
import { JobCommand } from "./job-commands";
import { KeptCommand } from "./kept-commands";
import { RoomCommand } from "./room-commands";
import { VisitCommand } from "./visit-commands";

/** The edits that stand alone, by what they edit; a new kind of edit is one more entry, and the compiler then lists who must handle it. */
const BY_EDITED = {
  job: JobCommand,
  device: DeviceCommand,
  cable: CableCommand,
  room: RoomCommand,
  visit: VisitCommand,
  handover: HandoverCommand,
  kept: KeptCommand,
} as const;
type Edited = keyof typeof BY_EDITED;

export const SingleCommand = z.discriminatedUnion("kind", [
  ...BY_EDITED.job.options,
  ...BY_EDITED.device.options,
  ...BY_EDITED.cable.options,
  ...BY_EDITED.room.options,
  ...BY_EDITED.visit.options,
  ...BY_EDITED.handover.options,
  ...BY_EDITED.kept.options,
]);
export type SingleCommand = z.infer<typeof SingleCommand>;

/** A command with what it edits, so that each part of the program handles its own. */
export type CommandOf = { [Of in Edited]: { readonly edits: Of; readonly command: z.infer<(typeof BY_EDITED)[Of]> } }[Edited];

const EDITS: ReadonlyMap<SingleCommand["kind"], Edited> = new Map(
  (Object.keys(BY_EDITED) as Edited[]).flatMap((edits) => BY_EDITED[edits].options.map(({ shape }) => [shape.kind.value, edits] as const)),
);

/** Sorts a single command by what it edits. */
export const sortCommand = (command: SingleCommand): CommandOf =>
  ({ edits: present(EDITS.get(command.kind), command.kind), command }) as CommandOf;

/** An edit of a job as data. A batch is done completely or not at all, and undone as one. */
export const Command = z.discriminatedUnion("kind", [
  ...SingleCommand.options,
  z.strictObject({ kind: z.literal("batch"), commands: z.array(SingleCommand).max(1000) }),
]);
export type Command = z.infer<typeof Command>;

/** The single commands that a command is made of. */
export const stepsOf = (command: Command): readonly SingleCommand[] => (command.kind === "batch" ? command.commands : [command]);
