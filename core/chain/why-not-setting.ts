import { bedChannels, smallerBed, type Bed } from "@/core/facts";
import type { Device, SoundRoute } from "@/core/device";
import type { Followed } from "./follow";
import type { Loss, Reason } from "./reason";
import type { Rig } from "./rig";
import type { Stream } from "./stream";

/** What the format setting of a route leaves of a form, with what really comes out of the route in its place. */
export function refusedBySetting(rig: Rig, device: Device, route: SoundRoute, form: Stream, makes: Stream | null): Reason | null {
  if (!route.format) return null;
  const value = rig.setting(device, route.format);
  if (!value || bedUnder(value, route, form) === form.channels) return null;
  return formatSetting(device, route, value, form, makes);
}

const formatSetting = (device: Device, route: SoundRoute, value: string, form: Stream, makes: Stream | null): Reason => ({
  code: "format-setting",
  device: device.id,
  setting: route.format ?? "digital-output",
  value,
  coding: form.coding,
  need: form.channels,
  into: makes?.coding ?? null,
  have: makes?.channels ?? null,
});

/** The bed that a form keeps under a setting; null: the form does not leave at all. */
function bedUnder(value: string, route: SoundRoute, form: Stream): Bed | null {
  const isPlainStereo = form.coding === "lpcm" && form.channels === "2.0";
  switch (value) {
    case "pcm":
      return form.coding === "lpcm" ? smallerBed(form.channels, route.pcm) : null;
    case "dolby-digital":
      return form.coding === "ac3" || isPlainStereo ? form.channels : null;
    case "dolby-digital-plus":
      return form.coding === "eac3" || isPlainStereo ? form.channels : null;
    case "dts":
      return form.coding === "dts" || isPlainStereo ? form.channels : null;
    case "stereo":
      return form.coding === "lpcm" ? smallerBed(form.channels, "2.0") : null;
    case "bitstream":
      // LPCM as mastered leaves as it is; what is decoded leaves only as stereo.
      return form.coding !== "lpcm" || form.lineage === "native" || bedChannels(form.channels) <= 2 ? form.channels : null;
    default:
      return form.channels;
  }
}

/** The first device on the way that would make a recoding if its format setting asked for it; null where none could, or one already does. */
export function settingThatRecodes(rig: Rig, { way, hops }: Followed, form: Stream): Loss | null {
  for (const [hop, step] of way.entries()) {
    if (step.kind !== "inside" || !step.route.format || !step.route.encodes.includes(form.coding)) continue;
    const value = rig.setting(step.device, step.route.format);
    const input = hops[hop]?.in;
    if (!value || !input || bedChannels(input.channels) <= 2) continue;
    const out = hops[hop]?.out ?? null;
    if (out?.coding === form.coding) return null;
    return { reason: formatSetting(step.device, step.route, value, input, out), hop, scope: "path" };
  }
  return null;
}
