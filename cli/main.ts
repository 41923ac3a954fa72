import { Command, CommanderError } from "commander";
import type { CecOptions } from "./cec-command";
import { UnusableInput } from "./unusable-input";
import type { ChangesOptions } from "./changes-command";
import type { PlanCommandOptions } from "./plan-command";
import type { MapOptions } from "./map-command";
import type { MeasureReadOptions } from "./measure-command";
import type { RoomOptions } from "./room-command";
import type { DiagnoseOptions } from "./diagnose-command";
import type { PracticeOptions } from "./practice-command";
import type { HandoverOptions } from "./handover-command";
import type { LabelsOptions } from "./labels-command";
import type { TemplateOptions } from "./template-command";

/** 0: fine; 1: the answer holds problems; 2: unusable input, with one line on stderr. */
export type ExitCode = 0 | 1 | 2;

/** Runs the command line and returns its exit code. Each command is loaded when it is asked for: most need a small part of the house. */
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
      exitCode = await (await import("./validate-command")).validateCommand(file, options);
    });
  program
    .command("arrivals")
    .description("what arrives for every player and kind of content, and why not more")
    .argument("<job>", jobHelp)
    .option("--json", "answer as JSON")
    .option("--as <state>", "whose settings count: found, planned or left", "planned")
    .action(async (file: string, options: { json?: boolean; as: string }) => {
      exitCode = await (await import("./arrivals-command")).arrivalsCommand(file, options);
    });
  program
    .command("map")
    .description("the wiring map as an SVG drawing, with its list of cables")
    .argument("<job>", jobHelp)
    .option("--row <row>", "draw the strings of this row, for instance console/games/game-mat-atmos@tv")
    .option("--feet", "lengths in feet and inches")
    .option("-o, --output <file>", "where to write it; standard output if not given")
    .action(async (file: string, options: MapOptions) => {
      exitCode = await (await import("./map-command")).mapCommand(file, options);
    });
  program
    .command("changes")
    .description("the smallest set of changes that lifts all arrivals as far as the gear allows")
    .argument("<job>", jobHelp)
    .option("--json", "answer as JSON")
    .option("--no-purchase", "consider settings and plugs only: no cable is bought")
    .option("--buy <archetype>", "say what one device from the shelf would add")
    .option("--van <archetypes...>", "boxes that are at hand: a set may hold one of them")
    .option("--seconds <seconds>", "time limit", "60")
    .action(async (file: string, options: ChangesOptions) => {
      exitCode = await (await import("./changes-command")).changesCommand(file, options);
    });
  program
    .command("plan")
    .description("the best ways to wire the room, one for each approach")
    .argument("<job>", jobHelp)
    .option("--top <count>", "how many plans", "4")
    .option("--preset <preset>", "easiest-to-use, best-sound, least-spending or least-drilling; default: the weights in the brief")
    .option("--pin <place...>", "a player and where it must go, for instance console:bar or console:bar.hdmi-in")
    .option("--forbid <what...>", "for instance console:television, box:ARCHETYPE, school:SCHOOL or new-cables")
    .option("--must <wish...>", "what a plan must give, for instance sounds:television, whole:console, picture:streamer, keep:bar")
    .option("--hope <wish...>", "what a plan should give if possible, in the same words, or remotes:1")
    .option("--trades", "also the best trade-offs between arrivals, ease, cost and work")
    .option("--what-if", "also what would change with one more socket, eARC, DTS passed on, or a cable where none may run")
    .option(
      "--why-not <what>",
      "plan with it and tell the difference, for instance console:bar, box:ARCHETYPE, school:SCHOOL or setting:DEVICE.KEY=VALUE",
    )
    .option("--van <archetypes...>", "the boxes at hand; default: whatever the brief allows to be bought")
    .option("--check", "also check every single change to the best plan; exit code 1 if one is better")
    .option("--seconds <seconds>", "time limit", "5")
    .option("--json", "answer as JSON")
    .action(async (file: string, options: PlanCommandOptions) => {
      exitCode = await (await import("./plan-command")).planCommandLine(file, options);
    });
  program
    .command("cec")
    .description("what an everyday act does on the control bus, and how it ends")
    .argument("<job>", jobHelp)
    .option("--event <event>", "for instance tv-remote-power-on, wake:DEVICE, tv-input:PORT")
    .option("--list", "print the events that this job knows")
    .option("--addresses", "print the physical and logical address of each device")
    .option("--order <devices...>", "the order in which the devices get power, by id; those not named follow in the order of the tree")
    .option("--json", "answer as JSON")
    .option("--as <state>", "whose settings count: found, planned or left", "planned")
    .action(async (file: string, options: CecOptions) => {
      exitCode = await (await import("./cec-command")).cecCommand(file, options);
    });
  program
    .command("room")
    .description("where every speaker stands, what to dial, what wire and what fixings")
    .argument("<job>", jobHelp)
    .option("--json", "answer as JSON")
    .option("--in <room>", "which room to print; the first if not given")
    .option("-o, --output <file>", "the plan with its sheets as .pdf, or the plan as .svg")
    .option("--paper <paper>", "a4 or letter, for print", "a4")
    .action(async (file: string, options: RoomOptions) => {
      exitCode = await (await import("./room-command")).roomCommand(file, options);
    });
  program
    .command("template")
    .description("the drilling template of a unit, true to size")
    .argument("<job>", jobHelp)
    .requiredOption("--unit <unit>", "a unit with bracket holes, for instance bar or bar/left-rear")
    .requiredOption("-o, --output <file>", "a name that ends in .svg or .pdf")
    .option("--paper <paper>", "a4 or letter, for PDF", "a4")
    .action(async (file: string, options: TemplateOptions) => {
      exitCode = await (await import("./template-command")).templateCommand(file, options);
    });
  program
    .command("runsheet")
    .description("the steps of the visit, in the order that takes least time")
    .argument("<job>", jobHelp)
    .option("--people <count>", "1 or 2", "1")
    .option("--json", "answer as JSON")
    .action(async (file: string, options: { people?: string; json?: boolean }) => {
      exitCode = await (await import("./runsheet-command")).runSheetCommand(file, options);
    });
  program
    .command("prove")
    .description("which single fact of the room would explain what was seen on site")
    .argument("<job>", jobHelp)
    .requiredOption("--observed <file>", "a JSON list of rows with what was seen")
    .option("--json", "answer as JSON")
    .action(async (file: string, options: { observed: string; json?: boolean }) => {
      exitCode = await (await import("./prove-command")).proveCommand(file, options);
    });
  program
    .command("faults")
    .description("everything that can be wrong in a room, with how likely it is and what mends it")
    .argument("<job>", jobHelp)
    .option("--json", "answer as JSON")
    .action(async (file: string, options: { json?: boolean }) => {
      exitCode = await (await import("./diagnose-command")).faultsCommand(file, options);
    });
  program
    .command("diagnose")
    .description("what to check next, by what was heard and seen")
    .argument("<job>", jobHelp)
    .option("--symptoms", "list what a household can tell of this room")
    .option("--checks", "list what can be looked at and mended, with the answers")
    .option("--symptom <id...>", "what the household told")
    .option("--observed <file>", "a JSON list of checks with their answers")
    .option("--plant <fault>", "play the search against a room with this fault in it")
    .option("--seed <number>", "of what the household tells, with --plant", "1")
    .option("--json", "answer as JSON")
    .action(async (file: string, options: DiagnoseOptions) => {
      exitCode = await (await import("./diagnose-command")).diagnoseCommand(file, options);
    });
  program
    .command("practice")
    .description("a room with something wrong in it, to practise on")
    .requiredOption("--seed <number>", "the same number gives the same rig")
    .option("--level <level>", "back-plate, socket, formats, edid, control, room or mixed", "mixed")
    .option("--json", "answer as JSON, with what is wrong and the line of the search")
    .action(async (options: PracticeOptions) => {
      exitCode = await (await import("./practice-command")).practiceCommand(options);
    });
  program
    .command("labels")
    .description("labels for both ends of every cable and speaker wire")
    .argument("<job>", jobHelp)
    .requiredOption("-o, --output <file>", "a name that ends in .pdf, .csv or .svg")
    .option("--paper <paper>", "a4, letter or strip", "a4")
    .option("--columns <count>", "labels across the sheet", "3")
    .option("--rows <count>", "labels down the sheet", "8")
    .option("--margin <mm>", "white edge of the sheet", "8")
    .option("--start <number>", "the first label left on the sheet", "1")
    .option("--mark", "a table that begins with a byte order mark, which some spreadsheets need")
    .action(async (file: string, options: LabelsOptions) => {
      exitCode = await (await import("./labels-command")).labelsCommand(file, options);
    });
  program
    .command("handover")
    .description("the household's sheet, the record or another document as PDF, or everything of a job as a zip of open files")
    .argument("<job>", "a job file, a package (.zip), or - for standard input")
    .requiredOption("-o, --output <file>", "a name that ends in .pdf or .zip")
    .option("--sheet <sheet>", "household, record, map, board, plans, lists or runsheet", "household")
    .option("--language <language>", "of the household's sheet, en or es; the job's own if not given")
    .option("--paper <paper>", "a4 or letter", "a4")
    .option("--firm <name>", "who made it", "")
    .option("--phone <phone>", "whom to call", "")
    .option("--day <day>", "the day to print on it, as YYYY-MM-DD; today if not given")
    .action(async (file: string, options: HandoverOptions) => {
      exitCode = await (await import("./handover-command")).handoverCommand(file, options);
    });
  const measure = program.command("measure").description("make a test signal, and read what a microphone recorded of it");
  measure
    .command("make")
    .description("a test signal for a layout, with the JSON that tells how to read it")
    .requiredOption("--layout <layout>", "for instance 2.0, 5.1 or 7.1")
    .requiredOption("-o, --output <file>", "a name that ends in .wav")
    .action(async (options: { layout: string; output: string }) => {
      exitCode = await (await import("./measure-command")).measureMakeCommand(options);
    });
  measure
    .command("read")
    .description("which channels sounded, when, how loud, and which way round")
    .argument("<recording>", "a WAV file")
    .requiredOption("--signal <file>", "the JSON beside the signal that was played")
    .option("--temperature <celsius>", "of the room")
    .option("--json", "answer as JSON")
    .action(async (file: string, options: MeasureReadOptions) => {
      exitCode = await (await import("./measure-command")).measureReadCommand(file, options);
    });
  program
    .command("link")
    .description("what a picture needs from sockets and cables")
    .requiredOption("--mode <mode>", "for instance 3840x2160@60")
    .option("--depth <bits>", "8, 10 or 12", "8")
    .option("--chroma <chroma>", "444, 422 or 420", "444")
    .option("--have <gbps>", "the rate of the link at hand")
    .option("--json", "answer as JSON")
    .action(async (options: { mode: string; depth: string; chroma: string; have?: string; json?: boolean }) => {
      exitCode = (await import("./link-command")).linkCommand(options);
    });
  const edid = program.command("edid").description("read, merge and make EDIDs");
  edid
    .command("show")
    .description("what each file says about a display")
    .argument("<files...>", "raw bytes or hexadecimal text")
    .option("--json", "answer as JSON, one object a line")
    .action(async (files: string[], options: { json?: boolean }) => {
      exitCode = await (await import("./edid-command")).edidShowCommand(files, options);
    });
  edid
    .command("merge")
    .description("the picture modes of one with the sound formats of another")
    .requiredOption("--picture <file>", "whose pictures")
    .requiredOption("--sound <file>", "whose sound")
    .requiredOption("-o, --output <file>", "where to write")
    .action(async (options: { picture: string; sound: string; output: string }) => {
      exitCode = await (await import("./edid-command")).edidMergeCommand(options);
    });
  edid
    .command("make")
    .description("the EDID that a device would show")
    .argument("<device>", "a device as in a job file")
    .requiredOption("-o, --output <file>", "where to write")
    .option("--port <port>", "the input that shows it; the first HDMI input if not given")
    .action(async (file: string, options: { output: string; port?: string }) => {
      exitCode = await (await import("./edid-command")).edidMakeCommand(file, options);
    });
  try {
    await program.parseAsync([...args], { from: "user" });
    return exitCode;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
    if (error instanceof UnusableInput) {
      process.stderr.write(
        `${error.message
          .split("\n")
          .map((line) => `octachord: ${line}`)
          .join("\n")}\n`,
      );
      return 2;
    }
    throw error;
  }
}
