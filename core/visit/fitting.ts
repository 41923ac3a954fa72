import { unitsOf, type Device } from "@/core/device";
import type { Job, Placement } from "@/core/job";
import { pairingSteps, roomAnswer, roomOfDevice } from "@/core/room";
import { bareStep, type DraftStep } from "./step";

/** Where a unit stands in its room, as far as that was planned. */
export const placementOf = (job: Job, device: Device, unit: string): Placement | undefined =>
  roomOfDevice(job, device)?.space?.placements.find((row) => row.device === device.id && row.unit === unit);

/** Charging and joining of wireless units, in the order that keeps what was done before. */
export function pairingOf(device: Device): readonly DraftStep[] {
  return pairingSteps(device).flatMap((step): DraftStep[] => {
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

/** Speaker wire to each passive unit, and its label. */
export const wiresOf = (job: Job, device: Device): readonly DraftStep[] =>
  unitsOf(device)
    .filter(({ feed }) => feed.feed === "wire")
    .flatMap(({ id }): DraftStep[] => [
      { ...bareStep(`wire ${device.id} ${id}`, "wire", "wire"), device: device.id, unit: id },
      { ...bareStep(`label ${device.id} ${id}`, "label", "label"), device: device.id, unit: id },
    ]);

/** Pattern, calibration, dialling and tones of a new system, as far as it has them. */
export function fittingOf(job: Job, device: Device): readonly DraftStep[] {
  const { dials } = device;
  const room = roomOfDevice(job, device);
  const sheet = room ? (roomAnswer(job, room).systems.find((system) => system.device === device.id)?.sheet ?? []) : [];
  const quiet = { ladder: false, silence: true, noise: false };
  const step = (act: "pattern" | "calibrate" | "dial" | "tone"): DraftStep => ({
    ...bareStep(`${act} ${device.id}`, act, act),
    device: device.id,
  });
  return [
    ...(unitsOf(device).some(({ feed }) => feed.feed === "wire") ? [step("pattern")] : []),
    ...(dials && dials.calibrates !== "none" ? [{ ...step("calibrate"), needs: quiet }] : []),
    ...(sheet.some((row) => row.step === "time" || row.step === "level") ? [step("dial")] : []),
    ...(dials?.testTone ? [{ ...step("tone"), needs: quiet }] : []),
  ];
}
