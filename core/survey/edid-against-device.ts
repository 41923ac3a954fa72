import { PICTURE_MODES, type Coding } from "@/core/facts";
import { hexOf, soundListOf, writeEdid, type Edid, type EdidReport } from "@/core/edid";
import type { Device, SoundDescriptor } from "@/core/device";
import type { Command } from "@/core/job";

/** One coding, as the EDID lists it and as the device has it in the job; null where it does not. */
export interface ListedDifference {
  readonly coding: Coding;
  readonly read: SoundDescriptor | null;
  readonly known: SoundDescriptor | null;
}

/** Where what a display really lists differs from what the job knows of the device; equal rows are left out. */
export function edidAgainstDevice(device: Device, edid: Edid): readonly ListedDifference[] {
  const read = new Map(soundListOf(edid).map((row) => [row.coding, row]));
  const known = new Map((knownList(device) ?? []).map((row) => [row.coding, row]));
  return [...new Set([...read.keys(), ...known.keys()])].flatMap((coding) => {
    const [a, b] = [read.get(coding) ?? null, known.get(coding) ?? null];
    return a && b && a.channels === b.channels && a.objects === b.objects ? [] : [{ coding, read: a, known: b }];
  });
}

/** What a device is taken to list at its inputs: a list of its own, else its decoders. */
function knownList(device: Device): readonly SoundDescriptor[] | null {
  const own = device.presents.find((rule) => rule.rule === "list");
  return own?.rule === "list" ? own.sound : device.decodes;
}

/**
 * The edit that takes an EDID's sound list over: into the list that the device shows where it has one of its own, else into its decoders.
 * A display's largest mode and HDR follow where the EDID names them.
 */
export function takeOverEdid(device: Device, edid: Edid, report: EdidReport): Command {
  const sounds = [...soundListOf(edid)];
  const hasList = device.presents.some(({ rule }) => rule === "list");
  const display = device.display && {
    ...device.display,
    maxMode: largestMode(report) ?? device.display.maxMode,
    hdr: hdrOf(report, device),
  };
  return {
    kind: "edit-device",
    device: device.id,
    fields: {
      ...(hasList
        ? { presents: device.presents.map((rule) => (rule.rule === "list" ? { ...rule, sound: sounds } : rule)) }
        : { decodes: sounds }),
      ...(display ? { display } : {}),
      edid: hexOf(writeEdid(edid)),
    },
  };
}

/** The largest mode among those the job knows that the preferred timing is. */
function largestMode({ preferred }: EdidReport): (typeof PICTURE_MODES)[number] | null {
  if (!preferred) return null;
  const name = `${preferred.width}x${preferred.height}@${Math.round(preferred.refreshHz)}`;
  return PICTURE_MODES.find((mode) => mode === name) ?? null;
}

function hdrOf(report: EdidReport, { display }: Device): NonNullable<Device["display"]>["hdr"] {
  if (report.hdr.length === 0) return display?.hdr ?? [];
  return [
    ...(report.hdr.includes("pq") ? (["hdr10"] as const) : []),
    ...(report.hdr.includes("hlg") ? (["hlg"] as const) : []),
    ...(report.hdr10Plus ? (["hdr10-plus"] as const) : []),
    ...(report.dolbyVision ? (["dolby-vision"] as const) : []),
  ];
}
