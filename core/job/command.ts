import { z } from "zod";
import { CableCommand } from "./cable-commands";
import { DeviceCommand } from "./device-commands";
import { JobCommand } from "./job-commands";
import { KeptCommand } from "./kept-commands";

/** The edits that stand alone, each in the file of what it edits. */
export const SingleCommand = z.discriminatedUnion("kind", [
  ...JobCommand.options,
  ...DeviceCommand.options,
  ...CableCommand.options,
  ...KeptCommand.options,
]);
export type SingleCommand = z.infer<typeof SingleCommand>;

/** A command with what it edits, so that each part of the program handles its own. */
export type CommandOf =
  | { readonly edits: "job"; readonly command: JobCommand }
  | { readonly edits: "device"; readonly command: DeviceCommand }
  | { readonly edits: "cable"; readonly command: CableCommand }
  | { readonly edits: "kept"; readonly command: KeptCommand };

const kindsOf = (options: readonly { readonly shape: { readonly kind: { readonly value: string } } }[]): ReadonlySet<string> =>
  new Set(options.map(({ shape }) => shape.kind.value));
const JOB = kindsOf(JobCommand.options);
const DEVICE = kindsOf(DeviceCommand.options);
const CABLE = kindsOf(CableCommand.options);

/** Sorts a single command by what it edits. */
export function sortCommand(command: SingleCommand): CommandOf {
  if (JOB.has(command.kind)) return { edits: "job", command: command as JobCommand };
  if (DEVICE.has(command.kind)) return { edits: "device", command: command as DeviceCommand };
  if (CABLE.has(command.kind)) return { edits: "cable", command: command as CableCommand };
  return { edits: "kept", command: command as KeptCommand };
}

/** An edit of a job as data. A batch is done completely or not at all, and undone as one. */
export const Command = z.discriminatedUnion("kind", [
  ...SingleCommand.options,
  z.strictObject({ kind: z.literal("batch"), commands: z.array(SingleCommand).max(1000) }),
]);
export type Command = z.infer<typeof Command>;

/** The single commands that a command is made of. */
export const stepsOf = (command: Command): readonly SingleCommand[] => (command.kind === "batch" ? command.commands : [command]);
