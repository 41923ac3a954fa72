import { solve } from "@/core/chain";
import { ROLES, type Device } from "@/core/device";
import type { CableEnd, Job } from "@/core/job";
import type { RoomDifference } from "./differences";
import { fittingOf, pairingOf, placementOf, wiresOf } from "./fitting";
import { bareStep, type DraftStep } from "./step";
import { cableStepId, joined } from "./step-id";

/** Boxes get power before players, these before screens, and the sound system last. */
const POWER_ORDER: Readonly<Record<(typeof ROLES)[number], number>> = { box: 0, player: 1, screen: 2, sound: 3 };

/** Every piece of work of a visit, in no order yet. */
export function workOf(job: Job, difference: RoomDifference): readonly DraftStep[] {
  const isNew = (device: Device) => difference.newDevices.includes(device);
  const touched = job.devices.filter((device) => difference.touched.has(device.id) || isNew(device));
  const systems = job.devices.filter((device) => device.role === "sound" && isNew(device));
  const modules = difference.set.filter(({ key }) => key === "module");
  const menus = difference.set.filter(({ key }) => key !== "module");
  return [
    bareStep("protect", "protect", "protect"),
    bareStep("photo", "photo", "photo"),
    ...(touched.length ? [bareStep("power-off", "power-off", "power-off")] : []),
    ...unplugging(job, difference),
    ...difference.goneDevices.map(({ id }): DraftStep => ({ ...bareStep(`take-away ${id}`, "take-away", "place"), device: id })),
    ...placing(job, difference),
    ...modules.map(({ device, key, value }): DraftStep => ({
      ...bareStep(`fit-module ${device.id}`, "fit-module", "fit-module"),
      device: device.id,
      setting: { key, value },
    })),
    ...plugging(job, difference),
    ...systems.flatMap((device) => wiresOf(job, device)),
    ...powerOrder(job, touched).map((device): DraftStep => ({
      ...bareStep(`power-on ${device.id}`, "power-on", "power-on"),
      device: device.id,
    })),
    ...difference.newDevices
      .filter((device) => device.ports.some(({ connector }) => connector === "hdmi"))
      .map((device): DraftStep => ({ ...bareStep(`firmware ${device.id}`, "firmware", "firmware"), device: device.id })),
    ...systems.flatMap((device) => pairingOf(device)),
    ...(beginsReturn(job, difference) ? [bareStep("isolate", "isolate", "isolate")] : []),
    ...menus.map(({ device, key, value }): DraftStep => ({
      ...bareStep(`set ${device.id} ${key}`, "set", "set"),
      device: device.id,
      setting: { key, value },
    })),
    ...systems.flatMap((device) => fittingOf(job, device)),
    ...proving(job),
    ...difference.plug.map(({ cable }): DraftStep => ({ ...bareStep(`label ${cable.id}`, "label", "label"), cable: cable.id })),
    ...job.visit.added.map(({ id, says, minutes }): DraftStep => ({
      ...bareStep(`by-hand ${id}`, "by-hand", "by-hand"),
      added: { says, minutes },
    })),
    bareStep("hand-over", "hand-over", "hand-over"),
  ];
}

const unplugging = (job: Job, { unplug }: RoomDifference): readonly DraftStep[] =>
  unplug.map((one) => ({
    ...bareStep(cableStepId("unplug", one), "unplug", behindScreen(job, one.sockets)),
    cable: one.cable,
    sockets: one.sockets,
  }));

function placing(job: Job, { newDevices, newUnits }: RoomDifference): readonly DraftStep[] {
  return [
    ...newUnits.flatMap(({ device, unit }): DraftStep[] => {
      const placement = placementOf(job, device, unit.id);
      if (unit.drivers.length === 0) return [];
      const isHung = placement?.mount === "wall" || placement?.mount === "ceiling";
      const act = isHung ? "mount" : "place";
      return [
        {
          ...bareStep(`${act} ${device.id} ${unit.id}`, act, act),
          device: device.id,
          unit: unit.id,
          needs: { ladder: isHung && (placement?.heightM ?? 0) > 2, silence: false, noise: isHung },
        },
      ];
    }),
    ...newDevices
      // A sound system stands where its units stand; an amplifier that plays nothing itself has a place of its own.
      .filter(
        (device) =>
          device.role !== "sound" ||
          newUnits.every(({ device: of, unit }) => of !== device || unit.drivers.length === 0 || unit.feed.feed !== "own"),
      )
      .map((device): DraftStep => ({ ...bareStep(`place ${device.id}`, "place", "place"), device: device.id })),
  ];
}

const plugging = (job: Job, { plug }: RoomDifference): readonly DraftStep[] =>
  plug.flatMap(({ cable, isPulled }): DraftStep[] => {
    const ends = [cable.from, cable.to] as const;
    const pull: DraftStep = {
      ...bareStep(`pull ${cable.id}`, "pull", "pull"),
      cable: cable.id,
      sockets: ends,
      needs: { ladder: true, silence: false, noise: true },
    };
    return [
      ...(isPulled ? [pull] : []),
      { ...bareStep(cableStepId("plug", joined(cable)), "plug", behindScreen(job, ends)), cable: cable.id, sockets: ends },
    ];
  });

/** A screen on a wall has to be reached behind; anything else is within reach. */
const behindScreen = (job: Job, ends: readonly CableEnd[]) =>
  job.devices.some(({ id, role }) => role === "screen" && ends.some(({ device }) => device === id)) ? "plug-behind-screen" : "plug";

/** Devices in the order in which they get power: this room's own first, then by role. */
export function powerOrder({ visit }: Job, devices: readonly Device[]): readonly Device[] {
  const own = (device: Device) => (visit.powerOrder.includes(device.id) ? visit.powerOrder.indexOf(device.id) : Infinity);
  return devices.toSorted((a, b) => (own(a) === own(b) ? POWER_ORDER[a.role] - POWER_ORDER[b.role] : own(a) - own(b)));
}

/** Whether a return channel is joined for the first time: other HDMI devices are then unplugged until it is found. */
function beginsReturn(job: Job, { plug }: RoomDifference): boolean {
  const returns = (end: CableEnd) => {
    const port = job.devices.find(({ id }) => id === end.device)?.ports.find(({ id }) => id === end.port);
    return port?.connector === "hdmi" && port.returns !== null && port.returns !== "none";
  };
  return plug.some(({ cable }) => returns(cable.from) && returns(cable.to));
}

/** Each row that a display can show, and the everyday acts. */
const proving = (job: Job): readonly DraftStep[] => {
  const { rows } = solve(job, "planned");
  const quiet = { ladder: false, silence: true, noise: false };
  return [
    ...rows.map((row): DraftStep => ({
      ...bareStep(`prove ${row.id}`, "prove", row.cautions.some(({ code }) => code === "drift") ? "prove-drift" : "prove"),
      device: row.player,
      row: row.id,
      needs: quiet,
    })),
    ...(rows.length ? [{ ...bareStep("acts", "acts", "acts"), needs: quiet }] : []),
  ];
};
