import { bedChannels, linkFact, payloadRate, type LinkKind } from "@/core/facts";
import type { Reason, ReturnLimit } from "./reason";
import type { Stream } from "./stream";

/** Why a link does not carry a stream, with need and have, or null when it does. LPCM is bounded by channels, a burst by its payload. */
export function whyNotCarry(
  { coding, channels }: Pick<Stream, "coding" | "channels">,
  link: LinkKind,
  because: readonly ReturnLimit[],
): Reason | null {
  const fact = linkFact(link);
  const need = payloadRate(coding);
  if (need !== null) {
    return need > fact.capacityMbps ? { code: "link-capacity", link, coding, need, have: fact.capacityMbps, unit: "Mb/s", because } : null;
  }
  return bedChannels(channels) > bedChannels(fact.lpcm) ? { code: "link-channels", link, need: channels, have: fact.lpcm, because } : null;
}
