import { bedChannels, type Coding } from "@/core/facts";
import type { CableEnd } from "@/core/job";
import { gateOf } from "./conditions";
import { listingAt, type Listing } from "./listing";
import type { Reason } from "./reason";
import { isAt, type Rig } from "./rig";
import type { Stream } from "./stream";

type NotListed = Extract<Reason, { code: "not-listed" }>;

/**
 * The socket whose own rule keeps a form out of the list that is seen at an output: a box that can only copy the screen's list hands its limit
 * on, so the screen is named; a box that copies by a switch of its own is named itself. Null where the output has no far end.
 */
function listedBy(rig: Rig, exit: CableEnd, form: Stream, met: ReadonlySet<string> = new Set()): CableEnd | null {
  const cable = rig.cableAt(exit);
  if (!cable) return null;
  const entry = isAt(cable.from, exit) ? cable.to : cable.from;
  const device = rig.device(entry.device);
  const key = `${entry.device} ${entry.port}`;
  if (!device || met.has(key)) return entry;
  const rule = device.presents.find((row) => row.ports.includes(entry.port) && isOpen(rig, device.id, row.when));
  const of = rule?.when.length ? [] : rule?.rule === "copy" ? [rule.of] : rule?.rule === "common" ? rule.of : [];
  const lacking = of
    .map((port): CableEnd => ({ device: device.id, port }))
    .find((end) => rig.cableAt(end) !== undefined && !lists(listingAt(rig, end), form));
  return lacking ? (listedBy(rig, lacking, form, new Set([...met, key])) ?? entry) : entry;
}

/**
 * That a form is not on the list that is seen at an output, as a reason that names the socket where that list is really made; null where it is on it.
 * `sender`: the device on the way that then does not send it on; null: the player.
 */
export function notListed(rig: Rig, exit: CableEnd, form: Stream, sender: string | null): NotListed | null {
  const cable = rig.cableAt(exit);
  const listing = listingAt(rig, exit);
  if (!cable || lists(listing, form)) return null;
  const far = isAt(cable.from, exit) ? cable.to : cable.from;
  const maker = listedBy(rig, exit, form) ?? far;
  const listed = listing.sounds.get(form.coding);
  return {
    code: "not-listed",
    ...maker,
    coding: form.coding,
    objects: listed && !listed.objects ? form.objects : "none",
    need: form.channels,
    have: listed?.channels ?? null,
    copiedBy: maker.device === far.device ? null : far.device,
    sender,
  };
}

function isOpen(rig: Rig, id: string, when: Parameters<typeof gateOf>[2]): boolean {
  const device = rig.device(id);
  if (!device) return false;
  const gate = gateOf(rig, device, when);
  return gate.reason === null && gate.fact === null;
}

function lists({ sounds }: Listing, { coding, channels, objects }: Pick<Stream, "channels" | "objects"> & { coding: Coding }): boolean {
  const row = sounds.get(coding);
  return row !== undefined && bedChannels(row.channels) >= bedChannels(channels) && (objects === "none" || row.objects);
}
