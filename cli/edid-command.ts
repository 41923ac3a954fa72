import { readFile, stat, writeFile } from "node:fs/promises";
import { Device, expandDevice } from "@/core/device";
import { edidBytesOf, edidOfDevice, edidReport, mergeEdids, readEdid, writeEdid, type Edid, type Finding } from "@/core/edid";
import { MAX_JOB_BYTES } from "@/core/job";
import { edidWords } from "@/core/text";
import type { ExitCode } from "./main";
import { UnusableInput } from "./unusable-input";

/** Prints what each file says about a display. Exit code 1 where any of them breaks the standard. */
export async function edidShowCommand(files: readonly string[], options: { json?: boolean }): Promise<ExitCode> {
  let exitCode: ExitCode = 0;
  for (const file of files) {
    const { edid, findings } = await readEdidFile(file);
    const report = edidReport(edid, findings);
    if (!report.valid) exitCode = 1;
    process.stdout.write(
      options.json
        ? `${JSON.stringify({ file, ...report })}\n`
        : `${file}\n${edidWords(report)
            .map((line) => `    ${line}\n`)
            .join("")}`,
    );
  }
  return exitCode;
}

/** Writes the picture modes of one with the sound formats of another. */
export async function edidMergeCommand(options: { picture: string; sound: string; output: string }): Promise<ExitCode> {
  const [picture, sound] = [await usableEdid(options.picture), await usableEdid(options.sound)];
  await write(options.output, mergeEdids(picture, sound));
  return 0;
}

/** Writes the EDID that a device would show at one of its inputs. */
export async function edidMakeCommand(file: string, options: { output: string; port?: string }): Promise<ExitCode> {
  const device = await readDeviceFile(file);
  const edid = edidOfDevice(device, options.port);
  if (!edid)
    throw new UnusableInput(
      `${file}: ports: expected an HDMI input${options.port ? ` “${options.port}”` : ""} whose sound list is known (a list or the device's own decoders).`,
    );
  await write(options.output, edid);
  return 0;
}

async function readDeviceFile(file: string): Promise<Device> {
  let raw: unknown;
  try {
    raw = JSON.parse((await readBytes(file)).toString("utf8"));
  } catch (cause) {
    if (cause instanceof UnusableInput) throw cause;
    throw new UnusableInput(`${file}: expected a device as JSON: ${cause instanceof Error ? cause.message : String(cause)}`);
  }
  const named = typeof raw === "object" && raw !== null && !("id" in raw) ? { ...raw, id: "device" } : raw;
  const device = Device.safeParse(expandDevice(named));
  if (device.success) return device.data;
  const [issue] = device.error.issues;
  throw new UnusableInput(`${file}: ${issue?.path.join(".") || "device"}: ${issue?.message ?? "not a device"}.`);
}

async function readEdidFile(file: string): Promise<{ edid: Edid; findings: readonly Finding[] }> {
  const { bytes, findings } = edidBytesOf(await readBytes(file));
  const read = readEdid(bytes);
  return { edid: read.edid, findings: [...findings, ...read.findings] };
}

async function usableEdid(file: string): Promise<Edid> {
  const { edid } = await readEdidFile(file);
  if (edid.base.length === 0) throw new UnusableInput(`${file}: expected at least one block of 128 bytes.`);
  return edid;
}

async function readBytes(file: string): Promise<Buffer> {
  try {
    const { size } = await stat(file);
    if (size > MAX_JOB_BYTES) throw new UnusableInput(`${file}: expected at most 10 MB.`);
    return await readFile(file);
  } catch (cause) {
    if (cause instanceof UnusableInput) throw cause;
    throw new UnusableInput(`${file}: there is no such file.`);
  }
}

async function write(file: string, edid: Edid): Promise<void> {
  try {
    await writeFile(file, writeEdid(edid));
  } catch {
    throw new UnusableInput(`${file}: could not be written.`);
  }
}
