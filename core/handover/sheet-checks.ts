import { householdChecks, type Cure, type Finder } from "@/core/diagnose";
import { effectiveSetting, type Device } from "@/core/device";
import { settingFact, type SettingKey } from "@/core/facts";
import { chosenSoundSystem, findDevice, findPort, type Job } from "@/core/job";
import { unreachable } from "@/core/outcome";
import { deviceName, settingValueIn, unitName, socketLabel } from "@/core/text";
import type { SheetCheck, SheetLine } from "./sheet-facts";
import { sheetLine } from "./sheet-line";

/** A cure of the search for faults as a household does it; null for one that needs the trade. */
function checkOf(job: Job, cure: Cure): SheetCheck | null {
  switch (cure.does) {
    case "set":
      return settingCheck(job, cure.device, cure.setting);
    case "power":
      return { check: "mains", devices: [deviceName(job, cure.device)] };
    case "own-key":
    case "restart":
    case "unpair":
      return { check: cure.does, device: deviceName(job, cure.device) };
    case "other-title":
      return { check: "other-title", device: deviceName(job, cure.row.split("/")[0] ?? "") };
    case "seat": {
      const cable = job.cables.find(({ id }) => id === cure.cable);
      const end = cable?.[cure.side];
      return end ? { check: "plug", device: deviceName(job, end.device), socket: socketLabel(job, end) } : null;
    }
    case "unit":
      return cure.to === "charge" || cure.to === "place" ? { check: cure.to, unit: unitName(job, cure) } : null;
    case "turn":
    case "lead":
    case "cycle":
    case "update":
    case "take-pcm":
    case "go-round":
    case "other-socket":
    case "replace":
    case "follow-arrivals":
      return null;
    default:
      return unreachable(cure);
  }
}

function settingCheck(job: Job, id: string, setting: Extract<Cure, { does: "set" }>["setting"]): SheetCheck | null {
  const device = findDevice(job, id);
  const value = device && effectiveSetting(device, setting, "planned");
  if (!device) return null;
  switch (setting) {
    case "mute":
      return { check: "mute", device: device.name };
    case "volume-level":
      return { check: "louder", device: device.name };
    case "power":
      return { check: "power-on", device: device.name };
    case "input-select": {
      // A box may choose by itself: that is a position of its menu, not a socket.
      const isSocket = value !== null && value !== undefined && findPort(job, { device: id, port: value }) !== undefined;
      return isSocket
        ? { check: "input", device: device.name, input: socketLabel(job, { device: id, port: value }) }
        : menuCheck(job, device, setting, value);
    }
    default:
      return menuCheck(job, device, setting, value);
  }
}

const menuCheck = (job: Job, { id, name }: Device, setting: SettingKey, value: string | null | undefined): SheetCheck | null =>
  value ? { check: "menu", device: name, setting, menu: settingFact(setting).name, value: settingValueIn(job, id, setting, value) } : null;

/** The plainest checks of any room, where a search for faults has not been worked out. */
function plainChecks(job: Job): readonly SheetCheck[] {
  const system = chosenSoundSystem(job);
  const screen = job.devices.find(({ role }) => role === "screen");
  const back = system && screen && job.cables.find(({ from, to }) => from.device === system.id && to.device === screen.id);
  return [
    ...(system
      ? ([
          { check: "power-on", device: system.name },
          // Nothing but a knob: there is no key to press.
          ...(system.volume === "knob" ? [] : ([{ check: "mute", device: system.name }] as const)),
          { check: "louder", device: system.name },
        ] as const)
      : []),
    ...(back && screen ? [{ check: "plug", device: screen.name, socket: socketLabel(job, back.to) } as const] : []),
    ...(screen ? [{ check: "restart", device: screen.name } as const] : []),
  ];
}

/** Whether several devices have power is one look. */
function mainsTogether(checks: readonly SheetCheck[]): readonly SheetCheck[] {
  const devices = checks.flatMap((one) => (one.check === "mains" ? one.devices : []));
  const first = checks.findIndex(({ check }) => check === "mains");
  return checks.flatMap((one, index): SheetCheck[] =>
    one.check !== "mains" ? [one] : index === first ? [{ check: "mains", devices }] : [],
  );
}

/** What to try when there is no sound, then whom to call. */
export function silentLines(
  job: Job,
  finder: Finder | null,
  firm: { readonly name: string; readonly phone: string },
): readonly SheetLine[] {
  const found = finder ? householdChecks(finder).flatMap((cure) => checkOf(job, cure) ?? []) : [];
  const checks = found.length ? mainsTogether(found) : plainChecks(job);
  return [
    ...checks.map((check): SheetLine => {
      const { check: kind, ...place } = check;
      return sheetLine("step", `silent ${kind} ${Object.values(place).join(" ")}`, { says: "check", check });
    }),
    ...(checks.length ? [sheetLine("sentence", "silent call", { says: "call", firm: firm.name, phone: firm.phone })] : []),
  ];
}
