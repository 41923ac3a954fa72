import { bedChannels, type Bed } from "@/core/facts";
import type { Content, Device } from "@/core/device";
import { soundingBed } from "./play";
import type { Reason } from "./reason";
import type { Stream } from "./stream";

/** What the content holds and this sound system could not play even if nothing stood between. It does not lower a verdict. */
export function ceilingsOf(content: Content, best: Stream | null, system: Device): readonly Reason[] {
  // Where nobody knows what it decodes, nothing can be said of what it could not.
  if (system.decodes === null) return [];
  const reasons: Reason[] = [];
  const withObjects = content.tracks.find((track) => track.objects !== "none");
  const widest = content.tracks.reduce<Bed>(
    (most, track) => (bedChannels(track.channels) > bedChannels(most) ? track.channels : most),
    "1.0",
  );
  const native = content.tracks[0];
  if (!best) return native ? [{ code: "cannot-decode", device: system.id, coding: native.coding }] : [];
  if (withObjects && best.objects === "none") reasons.push({ code: "no-object-decoder", device: system.id, objects: withObjects.objects });
  // Objects are placed into whatever speakers there are, so a bed wider than the speakers is no loss beside them.
  const sounding = soundingBed(best, system);
  if (best.objects === "none" && bedChannels(widest) > bedChannels(sounding)) {
    reasons.push({ code: "speakers-fewer", device: system.id, need: widest, have: sounding });
  }
  return reasons;
}
