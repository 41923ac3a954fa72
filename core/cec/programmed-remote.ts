import { findDevice } from "@/core/job";
import type { HandStep } from "./judge";
import type { Household } from "./stations";

/** What infrared cannot do, or does worse than the bus. */
export type InfraredLimit =
  /** It is behind a door: the door must be open, or an infrared emitter placed in front of it. */
  | { readonly limit: "behind-a-door"; readonly device: string }
  /** One key toggling: sent when it is on already, it goes off. */
  | { readonly limit: "out-of-step"; readonly device: string }
  /** Keys are sent one after another, with a rest between them. */
  | { readonly limit: "slower"; readonly ms: number };

/** How long a programmed remote takes for a key and the rest after it: a frame of infrared of about 110 ms, sent twice, and a gap. */
export const INFRARED_KEY_MS = 400;

/** Whether infrared reaches every device of these steps, and with which limits; null where one of them hears none. */
export function infraredLimits({ job }: Household, steps: readonly HandStep[]): readonly InfraredLimit[] | null {
  const heard = steps.map(({ device, key }) => ({ key, control: findDevice(job, device)?.control, device }));
  if (heard.some(({ control }) => !control || control.infrared === "none")) return null;
  const devices = [...new Set(heard.map(({ device }) => device))];
  const controlOf = (device: string) => findDevice(job, device)?.control;
  const isPower = (device: string) => heard.some((one) => one.device === device && one.key.press.startsWith("power"));
  return [
    ...devices.flatMap((device): InfraredLimit[] => (controlOf(device)?.hidden ? [{ limit: "behind-a-door", device }] : [])),
    ...devices.flatMap((device): InfraredLimit[] =>
      isPower(device) && controlOf(device)?.infrared === "to-and-fro" ? [{ limit: "out-of-step", device }] : [],
    ),
    { limit: "slower", ms: steps.length * INFRARED_KEY_MS },
  ];
}
