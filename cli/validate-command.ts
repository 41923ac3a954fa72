import { plural } from "@/core/text";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";

/** Prints what a sound job file holds. For any other file it prints every fault, one on each line, with exit code 2. */
export async function validateCommand(file: string, options: { json?: boolean }): Promise<ExitCode> {
  const job = await readJobFile(file, "every-fault");
  const counts = { devices: job.devices.length, cables: job.cables.length };
  process.stdout.write(
    options.json
      ? `${JSON.stringify({ valid: true, name: job.name, version: job.version, ...counts })}\n`
      : `${job.name}: a sound job file, ${plural(counts.devices, "device")}, ${plural(counts.cables, "cable")}.\n`,
  );
  return 0;
}
