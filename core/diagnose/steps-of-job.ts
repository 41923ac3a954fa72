import { FINDING_MINUTES, type FindingWork } from "@/core/facts";
import { chosenSoundSystem, findDevice, type Job } from "@/core/job";
import type { Fault } from "./fault";
import type { Healthy } from "./seen";
import { stepId, type Cure, type Look } from "./step";

/** Every look that a person can take in a room. */
export function looksOfJob({ job, seen, bypassed }: Healthy): readonly Look[] {
  const players = new Set([...seen.rows.keys()].map((row) => row.split("/")[0]));
  return [
    { does: "ask", about: "changed" },
    { does: "ask", about: "course" },
    ...(players.size > 1 ? [{ does: "ask-players" } as const] : []),
    ...[...seen.rows.keys()].map((row): Look => ({ does: "play", row })),
    ...[...seen.acts.keys()].map((event): Look => ({ does: "act", event })),
    ...[...seen.glances.keys()].flatMap((id) => glanceOf(id)),
    ...bypassed.map(({ box, row }): Look => ({ does: "bypass", device: box, row })),
    ...(seen.tones.size > 1 ? [...seen.tones.keys()] : []).map((unit): Look => ({
      does: "tone",
      device: chosenSoundSystem(job)?.id ?? "",
      unit,
    })),
  ];
}

/** The look of a glance, whose id names it. */
function glanceOf(id: string): readonly Look[] {
  const [does, place = "", port = ""] = id.split(":");
  switch (does) {
    case "lamp":
    case "found-list":
      return [{ does, device: place }];
    case "panel":
    case "red-light":
      return [{ does, cable: place }];
    case "format-list":
      return [{ does, device: place, port }];
    default:
      return [];
  }
}

/** Every cure of a set of faults, each once. */
export const curesOfFaults = (faults: readonly Fault[]): readonly Cure[] => [
  ...new Map(faults.flatMap(({ cures }) => cures.map((cure) => [stepId(cure), cure] as const))).values(),
];

/** Settings that are changed by a key in the hand, not in a menu. */
const BY_KEY: ReadonlySet<string> = new Set(["mute", "volume-level", "power", "input-select", "decode-mode", "upmix", "arc-take"]);

/** Which row of the table of minutes a look is. */
export function workOfLook(look: Look): FindingWork {
  switch (look.does) {
    case "ask":
    case "ask-players":
      return "ask";
    case "play":
      return "play";
    case "act":
      return "act";
    case "lamp":
    case "panel":
      return "glance";
    case "red-light":
      return "red-light";
    case "found-list":
    case "format-list":
      return "list";
    case "tone":
      return "tone";
    case "bypass":
      return "bypass";
  }
}

/** Which row of the table of minutes a cure is. */
export function workOfCure(job: Job, cure: Cure): FindingWork {
  switch (cure.does) {
    case "set":
      return BY_KEY.has(cure.setting) ? "key" : "menu";
    case "seat": {
      const cable = job.cables.find(({ id }) => id === cure.cable);
      return cable && isBehindScreen(job, cable[cure.side].device) ? "plug-behind-screen" : "plug";
    }
    case "turn":
    case "lead": {
      const cable = job.cables.find(({ id }) => id === cure.cable);
      return cable && [cable.from, cable.to].some(({ device }) => isBehindScreen(job, device)) ? "lead-behind-screen" : "lead";
    }
    case "power":
      return "glance";
    case "own-key":
      return "key";
    case "restart":
      return "restart";
    case "cycle":
      return "cycle";
    case "unpair":
    case "take-pcm":
      return "menu";
    case "follow-arrivals":
      return "menu";
    case "update":
      return "update";
    case "other-title":
      return "play";
    case "go-round":
      return "box";
    case "unit":
      return cure.to === "sides" ? "wire" : cure.to;
    case "other-socket":
      return isBehindScreen(job, cure.device) ? "plug-behind-screen" : "plug";
    case "replace":
      return "replace";
  }
}

const isBehindScreen = (job: Job, device: string): boolean => findDevice(job, device)?.role === "screen";

export const minutesOf = (work: FindingWork): number => FINDING_MINUTES[work];
