import { migrate } from "@/core/versions";
import { Command } from "./command";

/** Edits that a program of some version kept, in the form of this one; null where one of them does not read. */
export function readCommands(version: unknown, commands: readonly unknown[]): readonly Command[] | null {
  const read = commands.map((command) => {
    const lifted = migrate("command", version, command);
    return lifted.ok ? Command.safeParse(lifted.value) : null;
  });
  const sound = read.flatMap((one) => (one?.success ? [one.data] : []));
  return sound.length === commands.length ? sound : null;
}
