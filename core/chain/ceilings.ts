import { bedChannels, type Bed } from "@/core/facts";
import type { Content, Device } from "@/core/device";
import { isFull } from "./ideal";
import { keepsObjects, soundingBed, whyNotPlay } from "./play";
import type { Reason } from "./reason";
import { streamsOf, type Stream } from "./stream";

/** What the content holds and this sound system can never play, whatever is set and plugged. It does not lower a verdict by itself. */
export function ceilingsOf(content: Content, best: Stream | null, system: Device): readonly Reason[] {
  // Where nobody knows what it decodes, nothing can be said of what it could not.
  if (system.decodes === null) return [];
  const tracks = streamsOf(content);
  const [native] = tracks;
  if (!native) return [];
  if (!best) return [whyNotPlay(native, system) ?? { code: "cannot-decode", device: system.id, coding: native.coding }];
  const reasons: Reason[] = [];
  const withObjects = tracks.find((track) => track.objects !== "none");
  const isKept = keepsObjects(best, system);
  const isOverhead = isKept && (system.speakers?.heights ?? 0) > 0;
  if (withObjects && !isKept) reasons.push({ code: "no-object-decoder", device: system.id, objects: withObjects.objects });
  else if (withObjects && !isOverhead)
    reasons.push({ code: "no-height-speakers", device: system.id, objects: withObjects.objects, have: system.speakers?.bed ?? "2.0" });
  const widest = tracks.reduce<Bed>((most, { channels }) => (bedChannels(channels) > bedChannels(most) ? channels : most), "1.0");
  const speakers = soundingBed({ ...native, channels: widest }, system);
  // Objects are placed into whatever speakers there are: where some are overhead, a bed wider than the others is no loss beside them.
  if (!isOverhead && bedChannels(widest) > bedChannels(speakers))
    reasons.push({ code: "speakers-fewer", device: system.id, need: widest, have: speakers });
  // Even the best form falls short of what the speakers could sound: it is a decoder that is missing.
  const missing = isFull(best, content, system) ? null : whyNotPlay(native, system);
  return missing ? [...reasons, missing] : reasons;
}
