import { Command, CommanderError } from "commander";
import { arrivalsCommand } from "./arrivals-command";
import { UnusableInput } from "./read-job-file";
import { validateCommand } from "./validate-command";

/** 0: fine; 1: the answer holds problems; 2: unusable input, with one line on stderr. */
export type ExitCode = 0 | 1 | 2;

/** Runs the command line and returns its exit code. */
export async function main(args: readonly string[]): Promise<ExitCode> {
  let exitCode: ExitCode = 0;
  const program = new Command("octachord")
    .description("What really reaches the speakers, why not more, and what to do about it.")
    .exitOverride()
    .configureOutput({ outputError: (text, write) => write(text.replace(/^error: /, "octachord: ")) });
  const jobHelp = "a job file, or - for standard input";
  program
    .command("validate")
    .description("check a job file")
    .argument("<job>", jobHelp)
    .option("--json", "answer as JSON")
    .action(async (file: string, options: { json?: boolean }) => {
      exitCode = await validateCommand(file, options);
    });
  program
    .command("arrivals")
    .description("what arrives for every player and kind of content, and why not more")
    .argument("<job>", jobHelp)
    .option("--json", "answer as JSON")
    .option("--as <state>", "whose settings count: found, planned or left", "planned")
    .action(async (file: string, options: { json?: boolean; as: string }) => {
      exitCode = await arrivalsCommand(file, options);
    });
  try {
    await program.parseAsync([...args], { from: "user" });
    return exitCode;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
    if (error instanceof UnusableInput) {
      process.stderr.write(`octachord: ${error.message}\n`);
      return 2;
    }
    throw error;
  }
}
