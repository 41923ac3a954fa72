import { bedChannels, smallerBed, type Bed } from "@/core/facts";
import type { Content, Device, SoundRoute } from "@/core/device";
import type { Reason } from "./reason";
import { streamsOf, type Stream } from "./stream";

/** Why a device on the way does not pass a form on, by what its route passes. */
export function whyNotPass(device: Device, route: SoundRoute, form: Stream): Reason | null {
  if (form.coding === "lpcm") {
    return bedChannels(form.channels) > bedChannels(route.lpcm)
      ? { code: "passes-fewer", device: device.id, coding: "lpcm", need: form.channels, have: route.lpcm }
      : null;
  }
  // Where nobody knows what passes, nothing is said against it.
  if (route.passes === null) return null;
  const pass = route.passes.find((row) => row.coding === form.coding);
  if (!pass) return { code: "does-not-pass", device: device.id, coding: form.coding, objects: "none" };
  if (form.objects !== "none" && !pass.objects)
    return { code: "does-not-pass", device: device.id, coding: form.coding, objects: form.objects };
  return bedChannels(form.channels) > bedChannels(pass.channels)
    ? { code: "passes-fewer", device: device.id, coding: form.coding, need: form.channels, have: pass.channels }
    : null;
}

/** Why a player does not emit a form: it sends bitstreams that its output passes, LPCM of tracks that it can decode, and recodings that it makes. */
export function whyNotEmit(device: Device, route: SoundRoute, form: Stream, content: Content): Reason | null {
  const cannot = (have: Bed | null, objects: Stream["objects"] = "none"): Reason => ({
    code: "cannot-emit",
    device: device.id,
    coding: form.coding,
    objects,
    need: form.channels,
    have,
  });
  if (form.coding === "lpcm") {
    const widest = widestLpcm(device, route, form, content);
    return widest !== null && bedChannels(widest) >= bedChannels(form.channels) ? null : cannot(widest);
  }
  if (form.lineage === "re-encoded") return route.encodes.includes(form.coding) ? null : cannot(null);
  const refusal = whyNotPass(device, route, form);
  if (!refusal) return null;
  if (refusal.code === "passes-fewer") return cannot(refusal.have);
  return refusal.code === "does-not-pass" ? cannot(null, refusal.objects) : cannot(null);
}

/** The widest LPCM of that losslessness that a player can make of a content; null: none. */
function widestLpcm(device: Device, route: SoundRoute, form: Stream, content: Content): Bed | null {
  const beds = streamsOf(content).flatMap((track): Bed[] => {
    if (track.lossless !== form.lossless) return [];
    if (track.coding === "lpcm") return [track.channels];
    const decoder = device.decodes?.find(({ coding }) => coding === track.coding);
    return decoder ? [smallerBed(track.channels, decoder.channels)] : [];
  });
  const [first, ...rest] = beds;
  if (!first) return null;
  return smallerBed(
    rest.reduce((most, bed) => (bedChannels(bed) > bedChannels(most) ? bed : most), first),
    route.lpcm,
  );
}
