import { cableClassFact, type Coding } from "@/core/facts";
import { isProtected, plainerSockets, type Device } from "@/core/device";
import type { Followed } from "./follow";
import { presentedAt } from "./listing";
import type { PictureWay } from "./picture-way";
import type { Rig } from "./rig";

/** What tends to go wrong on a row although it works now. */
export type Caution =
  /** The bitstream slips out of step after a while; PCM cures it, at the price of what PCM costs there. */
  | {
      readonly code: "drift";
      readonly device: string;
      readonly coding: Coding;
      readonly amountMs: number | null;
      readonly afterMinutes: number | null;
    }
  /** Some units of the sound system play later than the others. */
  | { readonly code: "units-apart"; readonly device: string; readonly units: string; readonly byMs: number }
  /** What the box lists has changed since it was found, and it shows the old list until it is plugged again. */
  | { readonly code: "keeps-old-edid"; readonly device: string }
  /** Two volumes in series: one at each end of an analogue lead. */
  | { readonly code: "two-volumes"; readonly device: string; readonly then: string }
  /** The box shows no list while the screen sleeps. */
  | { readonly code: "forgets-edid"; readonly device: string }
  /** The return channel begins only by the sound system's own key or menu. */
  | { readonly code: "return-by-hand"; readonly device: string }
  /** Speech matters to this household, and its own channel is folded into the others on the way. */
  | { readonly code: "speech-folded" }
  /** The household accepts one remote, and the volume of this row is not moved by that of the screen. */
  | { readonly code: "one-more-remote"; readonly device: string }
  /** A lead for sound longer than its class is reliable up to carry. */
  | { readonly code: "lead-long"; readonly cable: string; readonly need: number; readonly have: number; readonly unit: "m" }
  /** The boxes are joined in more ways than are looked at: there may be a better one for this row. */
  | { readonly code: "not-all-ways" }
  /** A protected-4K socket holds a player that never needs one, while the device has a lesser socket free. */
  | { readonly code: "socket-wasted"; readonly device: string; readonly port: string; readonly better: string };

/** The cautions of one row, from the habits of the devices it passes and the sockets it sits in. */
export function cautionsOf(rig: Rig, player: Device, followed: Followed | null, picture: PictureWay | null): readonly Caution[] {
  const passed = followed?.arrives ? followed.way.flatMap((step) => (step.kind === "inside" ? [step.device] : [])) : [];
  const habits = [...new Set(passed)].flatMap((device): Caution[] =>
    device.habits.flatMap((habit): Caution[] => {
      switch (habit.habit) {
        case "drifts": {
          const coding = device.id === player.id ? followed?.leaves?.coding : undefined;
          return coding && habit.codings.includes(coding)
            ? [{ code: "drift", device: device.id, coding, amountMs: habit.amountMs, afterMinutes: habit.afterMinutes }]
            : [];
        }
        case "blanks-without-hdcp":
          return [];
        case "keeps-old-edid":
          return listsAnew(rig, device) ? [{ code: habit.habit, device: device.id }] : [];
        case "forgets-edid":
          return device.id === player.id ? [] : [{ code: habit.habit, device: device.id }];
      }
    }),
  );
  return [
    ...habits,
    ...unitsApart(followed),
    ...returnByHand(rig, followed),
    ...twoVolumes(followed),
    ...longLeads(followed),
    ...wastedSocket(rig, player, picture),
  ];
}

/** Units of the system that are joined through the air and play later than its wired ones. */
function unitsApart(followed: Followed | null): Caution[] {
  const last = followed?.arrives ? followed.way.at(-1) : undefined;
  return last?.kind === "inside"
    ? (last.device.speakers?.later ?? []).map(({ units, byMs }) => ({ code: "units-apart", device: last.device.id, units, byMs }))
    : [];
}

/** Whether any input of a box lists otherwise than it did when the box was found. */
function listsAnew(rig: Rig, device: Device): boolean {
  const words = (at: Rig, port: string) => JSON.stringify([...presentedAt(at, { device: device.id, port }).sounds]);
  const inputs = device.ports.filter((port) => port.connector === "hdmi" && port.direction === "in");
  return inputs.some(({ id }) => words(rig, id) !== words(rig.at("found"), id));
}

/** An ARC that is known not to begin by itself; eARC finds its partner without a key. */
function returnByHand(rig: Rig, followed: Followed | null): Caution[] {
  if (!followed?.arrives) return [];
  return followed.way.flatMap((step, hop): Caution[] => {
    if (step.kind !== "link" || followed.hops[hop]?.link !== "arc") return [];
    const byHand = rig.device(step.to.device)?.control.quirks.includes("arc-only-by-hand");
    return byHand ? [{ code: "return-by-hand", device: step.to.device }] : [];
  });
}

/** An analogue lead between two devices that each move the volume: both matter, and either can be the one that is turned down. */
function twoVolumes(followed: Followed | null): Caution[] {
  if (!followed?.arrives) return [];
  if (!followed.hops.some(({ link }) => link === "analogue")) return [];
  const inside = followed.way.flatMap((step) => (step.kind === "inside" ? [step.device] : []));
  return followed.way.flatMap((step, hop): Caution[] => {
    if (step.kind !== "link" || followed.hops[hop]?.link !== "analogue") return [];
    const [from, to] = [step.from, step.to].map((end) => inside.find(({ id }) => id === end.device));
    return from && to && movesVolume(from) && movesVolume(to) ? [{ code: "two-volumes", device: from.id, then: to.id }] : [];
  });
}

const movesVolume = ({ volume }: Device): boolean => volume !== null && volume !== "fixed";

/** Leads for sound beyond what their kind is certain of; HDMI cables are judged by their picture. */
function longLeads(followed: Followed | null): Caution[] {
  if (!followed?.arrives) return [];
  return followed.way.flatMap((step): Caution[] => {
    if (step.kind !== "link") return [];
    const { pictureGbps, certainM } = cableClassFact(step.cable.class);
    return pictureGbps === null && step.cable.lengthM > certainM
      ? [{ code: "lead-long", cable: step.cable.id, need: step.cable.lengthM, have: certainM, unit: "m" }]
      : [];
  });
}

/** A player with an old HDCP or an HD rate in a socket of the scarce kind, where its hub has an old one free. */
function wastedSocket(rig: Rig, player: Device, picture: PictureWay | null): Caution[] {
  const [cable] = picture?.cables ?? [];
  const out = cable && rig.port(cable.from);
  const into = cable && rig.port(cable.to);
  const hub = cable && rig.device(cable.to.device);
  if (!cable || !hub || cable.from.device !== player.id || out?.connector !== "hdmi" || into?.connector !== "hdmi") return [];
  const better = plainerSockets(hub, into, out).find(
    ({ id, hdcp }) => hdcp === "1.4" && isProtected(into) && !rig.cableAt({ device: hub.id, port: id }),
  );
  return better ? [{ code: "socket-wasted", ...cable.to, better: better.id }] : [];
}
