import { linkFact } from "@/core/facts";
import type { Content, Device, SoundRoute } from "@/core/device";
import { unreachable } from "@/core/outcome";
import { gateOf } from "./conditions";
import { forwardLink } from "./exit-link";
import { linkDelay, type Followed } from "./follow";
import { idealForms } from "./ideal";
import { whyNotCarry } from "./link";
import { notListed } from "./listed-by";
import { listingAt } from "./listing";
import { compareStreams } from "./quality";
import type { Loss, Reason } from "./reason";
import { returnChannel } from "./return-channel";
import type { Rig } from "./rig";
import type { Stream } from "./stream";
import type { Step } from "./way";
import { whyNotEmit, whyNotPass } from "./why-not-send";
import { refusedBySetting, settingThatRecodes } from "./why-not-setting";

/**
 * Why nothing better arrives: each better form of the content is sent along the same way in thought, and the first hop that
 * refuses it is named, even where the player, having seen that limit on offer, never sent it. Recodings and rewrapped objects,
 * which only some devices make, are looked at only where no other form tells a reason.
 */
export function lossesBelowBest(rig: Rig, followed: Followed, content: Content, system: Device): readonly Loss[] {
  const better = idealForms(content, system).filter((form) => compareStreams(form, followed.arrives, system) > 0);
  if (better.length === 0) return [];
  const usual = better.filter((form) => !isRare(form, content));
  const losses = refusalsOf(rig, followed, content, system, usual);
  if (losses.length) return losses;
  const rare = better.filter((form) => isRare(form, content));
  const ofRare = refusalsOf(rig, followed, content, system, rare);
  return ofRare.length ? ofRare : prefers(followed, better);
}

/** A recoding, or objects wrapped as MAT: only some devices make these. */
const isRare = (form: Stream, content: Content): boolean =>
  form.lineage === "re-encoded" || (form.coding === "mat" && !content.tracks.some(isMat));

const isMat = ({ coding }: Content["tracks"][number]) => coding === "mat";

function refusalsOf(rig: Rig, followed: Followed, content: Content, system: Device, forms: readonly Stream[]): readonly Loss[] {
  const refused = forms.flatMap((form) => {
    const loss = decoderShut(rig, followed, form, system) ?? firstRefusal(rig, followed, form, content);
    return loss ? [{ form, loss }] : [];
  });
  // Of forms that would be equally good, the one that a switch, a wire or a list keeps back is named before one that a device cannot do at all.
  const ordered = refused.toSorted(
    (a, b) => compareStreams(b.form, a.form, system) || Number(isByNature(a.loss.reason)) - Number(isByNature(b.loss.reason)),
  );
  const losses: Loss[] = [];
  for (const { loss } of ordered)
    if (!losses.some((known) => known.hop === loss.hop && known.reason.code === loss.reason.code)) losses.push(loss);
  return losses;
}

/** A limit of the device itself, which no setting, plug or cable changes. */
export const isByNature = ({ code }: Reason): boolean => code === "cannot-emit" || code === "does-not-pass" || code === "passes-fewer";

/** Every hop would carry a better form and the player sees it listed: its own order of choice sends another. */
function prefers({ way, leaves }: Followed, better: readonly Stream[]): readonly Loss[] {
  const [first] = way;
  const [ideal] = better;
  const form = ideal && asSent(ideal);
  return form && leaves && first?.kind === "inside"
    ? [
        {
          reason: { code: "prefers", device: first.device.id, coding: form.coding, need: form.channels, sent: leaves.coding },
          hop: 0,
          scope: "path",
        },
      ]
    : [];
}

/** A decoder for the form exists, but a setting or a missing module keeps it shut. */
function decoderShut(rig: Rig, followed: Followed, form: Stream, system: Device): Loss | null {
  const rows = (system.decodes ?? []).filter(({ coding, objects }) => coding === form.coding && (form.objects === "none" || objects));
  const shut = rows.map(({ opens }) => gateOf(rig, system, opens ?? []).reason);
  const [reason] = shut;
  return reason && shut.every((one) => one !== null) ? { reason, hop: followed.hops.length - 1, scope: "path" } : null;
}

/** Analogue sound is LPCM until the lead that makes it analogue: that is what a device before it would send. */
const asSent = (form: Stream): Stream => (form.coding === "analogue" ? { ...form, coding: "lpcm" } : form);

function firstRefusal(rig: Rig, followed: Followed, ideal: Stream, content: Content): Loss | null {
  const form = asSent(ideal);
  const recodes = form.lineage === "re-encoded" ? settingThatRecodes(rig, followed, form) : null;
  for (const [hop, step] of followed.way.entries()) {
    // A recoding is born where a device could make it; what is before that hop carries something else.
    if (recodes && hop <= recodes.hop) continue;
    const reason = whyNotStep(rig, followed, hop, step, form, content);
    if (!reason) continue;
    // A socket for optical passes what optical can carry: there the link is the limit, with its numbers, and not the device before it.
    const next = followed.way[hop + 1];
    const link =
      isByNature(reason) && next?.kind === "link" && forwardLink(rig, next.from) !== "hdmi"
        ? whyNotStep(rig, followed, hop + 1, next, form, content)
        : null;
    return link ? { reason: link, hop: hop + 1, scope: "path" } : { reason, hop, scope: "path" };
  }
  return recodes ?? keptBackByList(rig, followed, form);
}

function whyNotStep(rig: Rig, followed: Followed, hop: number, step: Step, form: Stream, content: Content): Reason | null {
  switch (step.kind) {
    case "gap":
      return step.reason;
    case "link": {
      if (step.transport === "forward") {
        const link = forwardLink(rig, step.from);
        const generation = followed.hops[hop]?.out?.generations ?? form.generations + 1;
        return (
          whyNotCarry(form, link, []) ??
          (linkFact(link).turnsInto === "lossy" ? { code: "link-lossy", link, generation, delayMs: linkDelay(rig, step) } : null)
        );
      }
      const channel = returnChannel(rig, step.cable);
      return channel.kind === "open" ? whyNotCarry(form, channel.link, channel.because) : null;
    }
    case "inside":
      if (step.to === "speakers") return null;
      return whyNotRoute(rig, followed, hop, step, form, content);
    default:
      return unreachable(step);
  }
}

/**
 * Where another route between the same two places would take the form, it is that one's shut gate that binds, if any; where one takes all of it
 * save its objects or some channels, only these are refused.
 */
function whyNotRoute(
  rig: Rig,
  followed: Followed,
  hop: number,
  step: Extract<Step, { kind: "inside" }>,
  form: Stream,
  content: Content,
): Reason | null {
  const { device, from, to } = step;
  const makes = followed.hops[hop]?.out ?? null;
  const refusal = (route: SoundRoute) =>
    refusedBySetting(rig, device, route, form, makes) ??
    (route.renders ? ({ code: "renders-binaural", device: device.id } as const) : null) ??
    (hop === 0 ? whyNotEmit(device, route, form, content) : whyNotPass(device, route, form));
  const own = refusal(step.route);
  if (!own) return null;
  const siblings = device.routes.flatMap((route) =>
    route.kind === "sound" && route !== step.route && route.from.includes(from) && route.to.includes(to)
      ? [{ route, reason: refusal(route) }]
      : [],
  );
  const taking = siblings.find(({ reason }) => reason === null);
  if (taking) return gateOf(rig, device, taking.route.opens).reason;
  return isByNature(own) && !isOfPart(own) ? (siblings.find(({ reason }) => reason && isOfPart(reason))?.reason ?? own) : own;
}

/** It takes the coding, and refuses its objects or some of its channels. */
const isOfPart = (reason: Reason): boolean =>
  reason.code === "passes-fewer" ||
  ((reason.code === "cannot-emit" || reason.code === "does-not-pass") && reason.objects !== "none") ||
  (reason.code === "cannot-emit" && reason.have !== null);

/** Every hop would carry it, so it was the list shown to the player that kept it back. */
function keptBackByList(rig: Rig, followed: Followed, form: Stream): Loss | null {
  const [first, link] = followed.way;
  if (first?.kind !== "inside" || link?.kind !== "link") return null;
  const reason = notListed(rig, link.from, form, null);
  if (!reason) return null;
  // What nobody knows of a list may hold it.
  const { unknown } = listingAt(rig, link.from);
  if (unknown) return { reason: { code: "other-way-unknown", unknown }, hop: 1, scope: "path" };
  const passed = followed.hops.findIndex(({ device }, index) => index > 0 && device === reason.device);
  return { reason, hop: Math.max(1, passed), scope: "path" };
}
