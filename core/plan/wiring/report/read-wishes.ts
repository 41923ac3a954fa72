import { findArchetype, type Device } from "@/core/device";
import { findDevice, findPort, type Job, type Want } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { readMust, readWant } from "../evaluation";
import { SCHOOLS } from "../topology";
import { type Bond, type Must, type PlanWishes, wishesOf } from "../space";

/** The devices that a player can be pinned into: everything with an HDMI input that is no player itself. */
export const pinnable = (job: Job): readonly Device[] =>
  job.devices.filter(
    ({ role, ports }) => role !== "player" && ports.some(({ connector, direction }) => connector === "hdmi" && direction === "in"),
  );

/** Reads `console:bar` or `console:bar.hdmi-in`: a player that belongs into a device or one socket of it. Null where the job has none such. */
export function readPin(job: Job, text: string): Bond | null {
  const [player = "", place = ""] = text.split(":");
  const [hub = "", port] = place.split(".");
  if (!findDevice(job, player) || !findDevice(job, hub)) return null;
  if (port !== undefined && !findPort(job, { device: hub, port })) return null;
  return { bond: "pin", player, hub, port: port ?? null };
}

/** Reads `console:television`, `box:ARCHETYPE`, `school:SCHOOL` or `new-cables`. Null where there is nothing by that name. */
export function readForbidden(job: Job, text: string): Bond | null {
  if (text === "new-cables") return { bond: "forbid-new-cables" };
  const [what = "", name = ""] = text.split(":");
  if (what === "box") return findArchetype(name)?.role === "box" ? { bond: "forbid-box", archetype: name } : null;
  if (what === "school") return SCHOOLS.some((school) => school === name) ? { bond: "forbid-school", school: name } : null;
  return findDevice(job, what) && findDevice(job, name) ? { bond: "forbid-place", player: what, hub: name } : null;
}

/** What a person wishes of plans, as it is written on a command line or in a question over HTTP. */
export interface WrittenWishes {
  readonly pin?: readonly string[] | undefined;
  readonly forbid?: readonly string[] | undefined;
  readonly must?: readonly string[] | undefined;
  /** Preferred, and can be given up for more. */
  readonly hope?: readonly string[] | undefined;
}

/** A wish that names nothing in the job. */
interface Unread {
  readonly option: keyof WrittenWishes;
  readonly text: string;
}

/** Reads wishes on top of those of the brief; refused with the first that names nothing in the job. */
export function readWishes(
  job: Job,
  { pin = [], forbid = [], must = [], hope = [] }: WrittenWishes,
): Outcome<Required<PlanWishes>, Unread> {
  const unread: Unread[] = [];
  const readAll = <Wish>(option: keyof WrittenWishes, texts: readonly string[], read: (job: Job, text: string) => Wish | null) =>
    texts.flatMap((text) => {
      const wish = read(job, text);
      if (wish === null) unread.push({ option, text });
      return wish === null ? [] : [wish];
    });
  const bonds: readonly Bond[] = [...readAll("pin", pin, readPin), ...readAll("forbid", forbid, readForbidden)];
  const musts: readonly Must[] = readAll("must", must, readMust);
  const hopes: readonly Want[] = readAll("hope", hope, readWant);
  const [first] = unread;
  if (first) return refused(first);
  const own = wishesOf(job);
  return done({ bonds: [...own.bonds, ...bonds], musts: [...musts, ...own.musts], hopes: [...own.hopes, ...hopes] });
}

/**
 * Reads what a person asks about: `console:bar`, `box:ARCHETYPE`, `school:SCHOOL` or `setting:DEVICE.KEY=VALUE`, as something to plan with.
 * Null where there is nothing by that name.
 */
export function readAsked(job: Job, text: string): Bond | null {
  const [what = "", name = ""] = text.split(":");
  if (what === "box") return findArchetype(name)?.role === "box" ? { bond: "use-box", archetype: name } : null;
  if (what === "school") return SCHOOLS.some((school) => school === name) ? { bond: "use-school", school: name } : null;
  if (what === "setting") return readSetting(job, text.slice("setting:".length));
  return readPin(job, text);
}

/** Reads `television.digital-output=pcm`; null where the device has no such setting, or the setting no such value. */
function readSetting(job: Job, text: string): Bond | null {
  const [, device = "", name = "", value = ""] = /^([^.]+)\.([^=]+)=(.+)$/.exec(text) ?? [];
  const row = findDevice(job, device)?.settings.find(({ key, options }) => key === name && options.includes(value));
  return row ? { bond: "use-setting", device, key: row.key, value } : null;
}
