import { bedChannels, linkFact, smallerBed, type Bed } from "@/core/facts";
import type { Content, Device, SoundRoute } from "@/core/device";
import { unreachable } from "@/core/outcome";
import { gateOf } from "./conditions";
import { forwardLink, type Followed } from "./follow";
import { whyNotCarry } from "./link";
import { listingAt } from "./listing";
import { compareStreams, idealForms } from "./quality";
import type { Loss, Reason } from "./reason";
import { returnChannel } from "./return-channel";
import type { Rig } from "./rig";
import { streamOf, type Stream } from "./stream";
import type { Step } from "./way";

/**
 * Why nothing better arrives: each better form of the content is sent along the same way in thought, and the first hop that
 * refuses it is named, even where the player, having seen that limit on offer, never sent it.
 */
export function lossesBelowBest(rig: Rig, followed: Followed, content: Content, system: Device): readonly Loss[] {
  const better = idealForms(content, system).filter((form) => compareStreams(form, followed.arrives, system) > 0);
  const refused = better.flatMap((form) => {
    const loss = firstRefusal(rig, followed, form, content);
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
const isByNature = ({ code }: Reason): boolean => code === "cannot-emit" || code === "does-not-pass" || code === "passes-fewer";

function firstRefusal(rig: Rig, followed: Followed, form: Stream, content: Content): Loss | null {
  for (const [hop, step] of followed.way.entries()) {
    const reason = whyNotStep(rig, step, hop === 0, form, content);
    if (!reason) continue;
    // A socket for optical passes what optical can carry: there the link is the limit, with its numbers, and not the device before it.
    const next = followed.way[hop + 1];
    const link =
      isByNature(reason) && next?.kind === "link" && forwardLink(rig, next.from) !== "hdmi"
        ? whyNotStep(rig, next, false, form, content)
        : null;
    return link ? { reason: link, hop: hop + 1, scope: "path" } : { reason, hop, scope: "path" };
  }
  return notListed(rig, followed, form);
}

function whyNotStep(rig: Rig, step: Step, isFirst: boolean, form: Stream, content: Content): Reason | null {
  switch (step.kind) {
    case "gap":
      return step.reason;
    case "link": {
      if (step.transport === "forward") {
        const link = forwardLink(rig, step.from);
        return whyNotCarry(form, link, []) ?? (linkFact(link).turnsInto === "lossy" && form.lossless ? { code: "link-lossy", link } : null);
      }
      const channel = returnChannel(rig, step.cable);
      return channel.kind === "open" ? whyNotCarry(form, channel.link, channel.because) : null;
    }
    case "inside":
      if (step.to === "speakers") return null;
      return whyNotRoute(rig, step, isFirst, form, content);
    default:
      return unreachable(step);
  }
}

/** Where another route between the same two places would take the form, it is that one's shut gate that binds. */
function whyNotRoute(rig: Rig, step: Extract<Step, { kind: "inside" }>, isFirst: boolean, form: Stream, content: Content): Reason | null {
  const { device, from, to } = step;
  const refusal = (route: SoundRoute) =>
    refusedBySetting(rig, device, route, form) ??
    (route.renders ? ({ code: "renders-binaural", device: device.id } as const) : null) ??
    (isFirst ? whyNotEmit(device, route, form, content) : whyNotPass(device, route, form));
  const own = refusal(step.route);
  if (!own) return null;
  const sibling = device.routes.find(
    (route): route is SoundRoute =>
      route.kind === "sound" && route !== step.route && route.from.includes(from) && route.to.includes(to) && refusal(route) === null,
  );
  return (sibling && gateOf(rig, device, sibling.opens).reason) ?? own;
}

/** What the format setting of a route leaves of a form. */
function refusedBySetting(rig: Rig, device: Device, route: SoundRoute, form: Stream): Reason | null {
  if (!route.format) return null;
  const value = rig.setting(device, route.format);
  const kept = value ? bedUnder(value, route, form) : form.channels;
  if (!value || kept === form.channels) return null;
  return {
    code: "format-setting",
    device: device.id,
    setting: route.format,
    value,
    coding: form.coding,
    need: form.channels,
    have: kept ?? "2.0",
  };
}

/** The bed that a form keeps under a setting; null: the form does not leave at all. */
function bedUnder(value: string, route: SoundRoute, form: Stream): Bed | null {
  switch (value) {
    case "pcm":
      return form.coding === "lpcm" && bedChannels(form.channels) <= bedChannels(route.pcm)
        ? form.channels
        : form.coding === "lpcm"
          ? route.pcm
          : null;
    case "dolby-digital":
      return form.coding === "ac3" || (form.coding === "lpcm" && form.channels === "2.0") ? form.channels : null;
    case "dolby-digital-plus":
      return form.coding === "eac3" || (form.coding === "lpcm" && form.channels === "2.0") ? form.channels : null;
    case "dts":
      return form.coding === "dts" || (form.coding === "lpcm" && form.channels === "2.0") ? form.channels : null;
    case "stereo":
      return form.coding === "lpcm" ? smallerBed(form.channels, "2.0") : null;
    case "bitstream":
      return form.coding !== "lpcm" || form.channels === "2.0" ? form.channels : null;
    default:
      return form.channels;
  }
}

function whyNotPass(device: Device, route: SoundRoute, form: Stream): Reason | null {
  if (form.coding === "lpcm") {
    return bedChannels(form.channels) > bedChannels(route.lpcm)
      ? { code: "passes-fewer", device: device.id, need: form.channels, have: route.lpcm }
      : null;
  }
  const pass = route.passes?.find((row) => row.coding === form.coding);
  if (!pass) return { code: "does-not-pass", device: device.id, coding: form.coding, objects: "none" };
  return form.objects !== "none" && !pass.objects
    ? { code: "does-not-pass", device: device.id, coding: form.coding, objects: form.objects }
    : null;
}

/** A player emits a bitstream that it may pass, or LPCM of a track that it can decode. */
function whyNotEmit(device: Device, route: SoundRoute, form: Stream, content: Content): Reason | null {
  if (form.coding !== "lpcm" || content.tracks.some((track) => track.coding === "lpcm")) {
    const refusal = whyNotPass(device, route, form);
    return (
      refusal && {
        code: "cannot-emit",
        device: device.id,
        coding: form.coding,
        need: form.channels,
        have: refusal.code === "passes-fewer" ? refusal.have : null,
      }
    );
  }
  const decoded = content.tracks
    .map(streamOf)
    .filter(
      (track) =>
        track.lossless === form.lossless &&
        device.decodes?.some((row) => row.coding === track.coding && bedChannels(row.channels) >= bedChannels(form.channels)),
    );
  const wide = bedChannels(route.lpcm) >= bedChannels(form.channels);
  return decoded.length && wide
    ? null
    : { code: "cannot-emit", device: device.id, coding: "lpcm", need: form.channels, have: decoded.length ? route.lpcm : null };
}

/** Every hop would carry it, so it was the list shown to the player that kept it back. */
function notListed(rig: Rig, followed: Followed, form: Stream): Loss | null {
  const [first, link] = followed.way;
  if (first?.kind !== "inside" || link?.kind !== "link") return null;
  const listed = listingAt(rig, link.from).sounds.get(form.coding);
  const enough = listed && bedChannels(listed.channels) >= bedChannels(form.channels) && (form.objects === "none" || listed.objects);
  if (enough) return null;
  return {
    reason: {
      code: "not-listed",
      ...link.to,
      coding: form.coding,
      objects: listed && !listed.objects ? form.objects : "none",
      need: form.channels,
      have: listed?.channels ?? null,
    },
    hop: 1,
    scope: "path",
  };
}
