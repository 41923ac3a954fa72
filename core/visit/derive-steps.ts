import { solve } from "@/core/chain";
import type { Device } from "@/core/device";
import { ROLES } from "@/core/device";
import type { Job, Placement } from "@/core/job";
import { pairingSteps, roomAnswer, roomOfDevice } from "@/core/room";
import { differenceOf, type RoomDifference } from "./differences";
import { bareStep, type OrderReason, type StepAfter, type VisitStep } from "./step";

type Draft = Omit<VisitStep, "after">;

/** Boxes get power before players, these before screens, and the sound system last. */
const POWER_ORDER: Readonly<Record<(typeof ROLES)[number], number>> = { box: 0, player: 1, screen: 2, sound: 3 };

/**
 * Every step of a visit, with what must come before each and why: derived from the difference between as found and planned, and what every
 * visit needs. The same job gives the same steps with the same ids.
 */
export function visitSteps(job: Job): readonly VisitStep[] {
  const difference = differenceOf(job);
  const drafts = draftsOf(job, difference);
  const ordered = drafts.map((step): VisitStep => ({ ...step, after: afterOf(step, drafts, difference) }));
  const followed = new Set(ordered.flatMap(({ after }) => after.map(({ step }) => step)));
  // The handover comes when nothing is left that something else would follow.
  return ordered.map((step) =>
    step.act === "hand-over"
      ? {
          ...step,
          after: [
            ...step.after,
            ...ordered
              .filter(({ id }) => id !== step.id && !followed.has(id))
              .map(({ id }) => ({ step: id, because: "finish-first" as const })),
          ],
        }
      : step,
  );
}

function draftsOf(job: Job, difference: RoomDifference): readonly Draft[] {
  const touched = job.devices.filter(({ id }) => difference.touched.has(id) || difference.newDevices.some((device) => device.id === id));
  const powered = touched.toSorted((a, b) => POWER_ORDER[a.role] - POWER_ORDER[b.role]);
  const isNew = (device: Device) => difference.newDevices.includes(device);
  const modules = difference.set.filter(({ key }) => key === "module");
  const menus = difference.set.filter(({ key }) => key !== "module");
  const systems = job.devices.filter((device) => device.role === "sound" && isNew(device));
  return [
    bareStep("protect", "protect", "protect"),
    bareStep("photo", "photo", "photo"),
    ...(touched.length ? [bareStep("power-off", "power-off", "power-off")] : []),
    ...difference.unplug.map((cable): Draft => ({
      ...bareStep(`unplug ${cable.id}`, "unplug", behindScreen(job, cable)),
      cable: cable.id,
    })),
    ...difference.newUnits.flatMap(({ device, unit }): Draft[] => {
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
    ...difference.newDevices
      .filter((device) => device.role !== "sound")
      .map((device): Draft => ({ ...bareStep(`place ${device.id}`, "place", "place"), device: device.id })),
    ...modules.map(({ device, key, value }): Draft => ({
      ...bareStep(`fit-module ${device.id}`, "fit-module", "fit-module"),
      device: device.id,
      setting: { key, value },
    })),
    ...difference.plug.flatMap(({ cable, isPulled }): Draft[] => [
      ...(isPulled
        ? [
            {
              ...bareStep(`pull ${cable.id}`, "pull", "pull"),
              cable: cable.id,
              needs: { ladder: true, silence: false, noise: true },
            } satisfies Draft,
          ]
        : []),
      { ...bareStep(`plug ${cable.id}`, "plug", behindScreen(job, cable)), cable: cable.id },
    ]),
    ...powered.map((device): Draft => ({ ...bareStep(`power-on ${device.id}`, "power-on", "power-on"), device: device.id })),
    ...difference.newDevices
      .filter((device) => device.ports.some(({ connector }) => connector === "hdmi"))
      .map((device): Draft => ({ ...bareStep(`firmware ${device.id}`, "firmware", "firmware"), device: device.id })),
    ...systems.flatMap((device) => pairing(device)),
    ...(beginsReturn(job, difference) ? [bareStep("isolate", "isolate", "isolate")] : []),
    ...menus.map(({ device, key, value }): Draft => ({
      ...bareStep(`set ${device.id} ${key}`, "set", "set"),
      device: device.id,
      setting: { key, value },
    })),
    ...systems.flatMap((device) => fitting(job, device)),
    ...solve(job, "planned").rows.map((row): Draft => ({
      ...bareStep(`prove ${row.id}`, "prove", row.cautions.some(({ code }) => code === "drift") ? "prove-drift" : "prove"),
      device: row.player,
      row: row.id,
      needs: { ladder: false, silence: true, noise: false },
    })),
    ...difference.plug.map(({ cable }): Draft => ({ ...bareStep(`label ${cable.id}`, "label", "label"), cable: cable.id })),
    bareStep("hand-over", "hand-over", "hand-over"),
  ];
}

const placementOf = (job: Job, device: Device, unit: string): Placement | undefined =>
  roomOfDevice(job, device)?.space?.placements.find((row) => row.device === device.id && row.unit === unit);

/** A screen on a wall has to be reached behind; anything else is within reach. */
const behindScreen = (job: Job, { from, to }: { from: { device: string }; to: { device: string } }) =>
  job.devices.some(({ id, role }) => role === "screen" && (id === from.device || id === to.device)) ? "plug-behind-screen" : "plug";

function pairing(device: Device): readonly Draft[] {
  return pairingSteps(device).flatMap((step): Draft[] => {
    switch (step.act) {
      case "charge":
        return [{ ...bareStep(`charge ${device.id} ${step.unit}`, "charge", "charge"), device: device.id, unit: step.unit }];
      case "pair":
      case "joins-by-itself":
        return [{ ...bareStep(`pair ${device.id} ${step.unit}`, "pair", "pair"), device: device.id, unit: step.unit }];
      case "confirm":
        return [{ ...bareStep(`confirm ${device.id}`, "confirm", "confirm"), device: device.id }];
      default:
        return [];
    }
  });
}

/** Calibration, dialling and tones of a new system, as far as it has them. */
function fitting(job: Job, device: Device): readonly Draft[] {
  const { dials } = device;
  const room = roomOfDevice(job, device);
  const sheet = room ? (roomAnswer(job, room).systems.find((system) => system.device === device.id)?.sheet ?? []) : [];
  const quiet = { ladder: false, silence: true, noise: false };
  return [
    ...(dials && dials.calibrates !== "none"
      ? [{ ...bareStep(`calibrate ${device.id}`, "calibrate", "calibrate"), device: device.id, needs: quiet } satisfies Draft]
      : []),
    ...(sheet.some(({ step }) => step === "time" || step === "level")
      ? [{ ...bareStep(`dial ${device.id}`, "dial", "dial"), device: device.id } satisfies Draft]
      : []),
    ...(dials?.testTone ? [{ ...bareStep(`tone ${device.id}`, "tone", "tone"), device: device.id, needs: quiet } satisfies Draft] : []),
  ];
}

/** Whether a return channel is joined for the first time: other HDMI devices are then unplugged until it is found. */
function beginsReturn(job: Job, { plug }: RoomDifference): boolean {
  const returns = (end: { device: string; port: string }) => {
    const port = job.devices.find(({ id }) => id === end.device)?.ports.find(({ id }) => id === end.port);
    return port?.connector === "hdmi" && port.returns !== null && port.returns !== "none";
  };
  return plug.some(({ cable }) => returns(cable.from) && returns(cable.to));
}

/** What must come before a step. Only direct reasons; what follows from others is not told again. */
function afterOf(step: Draft, all: readonly Draft[], difference: RoomDifference): readonly StepAfter[] {
  const every = (because: OrderReason, test: (other: Draft) => boolean): StepAfter[] =>
    all.filter((other) => other !== step && test(other)).map(({ id }) => ({ step: id, because }));
  const isOf = (other: Draft, ...acts: readonly Draft["act"][]) => acts.includes(other.act);
  const cable = [...difference.unplug, ...difference.plug.map((row) => row.cable)].find(({ id }) => id === step.cable);
  const ends = cable ? [cable.from, cable.to] : [];
  const meets = (other: Draft) => {
    const its = [...difference.unplug, ...difference.plug.map((row) => row.cable)].find(({ id }) => id === other.cable);
    return its !== undefined && ends.some((end) => [its.from, its.to].some((one) => one.device === end.device && one.port === end.port));
  };
  const atEnd = (other: Draft) => ends.some(({ device }) => device === other.device);
  const cablesOf = (device: string | null) =>
    new Set(
      difference.plug.filter(({ cable: row }) => row.from.device === device || row.to.device === device).map(({ cable: row }) => row.id),
    );
  switch (step.act) {
    case "protect":
      return [];
    case "photo":
      return every("pictures-first", (other) => isOf(other, "protect"));
    case "power-off":
      return every("pictures-first", (other) => isOf(other, "photo"));
    case "unplug":
      return every("off-before-plugs", (other) => isOf(other, "power-off"));
    case "mount":
    case "place":
    case "pull":
      return every("pictures-first", (other) => isOf(other, "photo"));
    case "fit-module":
      return every("off-before-plugs", (other) => isOf(other, "power-off"));
    case "plug":
      return [
        ...every("off-before-plugs", (other) => isOf(other, "power-off")),
        ...every("free-the-socket", (other) => isOf(other, "unplug") && meets(other)),
        ...every("pulled-before-plugged", (other) => isOf(other, "pull") && other.cable === step.cable),
        ...every("in-place-before-plugs", (other) => isOf(other, "place", "mount") && atEnd(other)),
        ...every("module-before-its-socket", (other) => isOf(other, "fit-module") && atEnd(other)),
      ];
    case "power-on": {
      const own = cablesOf(step.device);
      const at = all.filter((other) => isOf(other, "power-on"));
      const before = at[at.indexOf(step) - 1];
      return [
        ...every("plugged-before-power", (other) => isOf(other, "plug") && other.cable !== null && own.has(other.cable)),
        ...every(
          "plugged-before-power",
          (other) => isOf(other, "place", "mount", "unplug", "fit-module") && (other.device === step.device || other.act === "unplug"),
        ),
        ...(before ? [{ step: before.id, because: "order-of-power" } as const] : []),
      ];
    }
    case "firmware":
      return every("update-needs-power", (other) => isOf(other, "power-on") && other.device === step.device);
    case "charge":
      return every("pictures-first", (other) => isOf(other, "photo"));
    case "isolate":
      return every("menus-need-power", (other) => isOf(other, "power-on", "firmware"));
    case "pair": {
      const pairs = all.filter((other) => isOf(other, "pair") && other.device === step.device);
      const before = pairs[pairs.indexOf(step) - 1];
      return [
        ...every("update-forgets-pairings", (other) => isOf(other, "firmware") && other.device === step.device),
        ...every("module-before-pairing", (other) => isOf(other, "fit-module") && other.device === step.device),
        ...every(
          "in-place-before-pairing",
          (other) => isOf(other, "place", "mount", "charge") && other.device === step.device && other.unit === step.unit,
        ),
        ...(before ? [{ step: before.id, because: "one-unit-at-a-time" } as const] : []),
      ];
    }
    case "confirm":
      return every("confirm-at-the-end", (other) => isOf(other, "pair") && other.device === step.device);
    case "set":
      return every("menus-need-power", (other) => isOf(other, "power-on", "firmware") && other.device === step.device);
    case "calibrate":
      return every(
        "calibrate-when-all-stands",
        (other) => isOf(other, "mount", "place", "pair", "confirm", "power-on", "set") && other.device === step.device,
      );
    case "dial":
      return [
        ...every("calibration-overwrites", (other) => isOf(other, "calibrate") && other.device === step.device),
        ...every("menus-need-power", (other) => isOf(other, "power-on", "pair", "confirm", "firmware") && other.device === step.device),
      ];
    case "tone":
      return every(
        "tones-after-dials",
        (other) => isOf(other, "dial", "calibrate", "pair", "confirm", "power-on") && other.device === step.device,
      );
    case "prove":
      return [
        ...every("pictures-first", (other) => isOf(other, "photo")),
        ...every("prove-what-is-finished", (other) =>
          isOf(other, "power-on", "set", "isolate", "confirm", "pair", "firmware", "tone", "dial", "calibrate"),
        ),
      ];
    case "label":
      return every("pulled-before-plugged", (other) => isOf(other, "plug") && other.cable === step.cable);
    case "hand-over":
      return [
        ...every("proof-before-handover", (other) => isOf(other, "prove")),
        ...every("labels-before-leaving", (other) => isOf(other, "label")),
      ];
  }
}
