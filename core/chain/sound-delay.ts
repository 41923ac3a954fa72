import { effectiveSetting, type Device, type SettingState } from "@/core/device";
import type { Arrival } from "./arrival";

/** The lip sync of the rows of one input of a sound system, and the sound delay that suits them best. */
export interface InputDelay {
  readonly port: string;
  readonly rows: readonly string[];
  /** The earliest and the latest sound against the picture now. */
  readonly nowMs: readonly [number, number];
  /** What to set for this input; as it is where nothing is better. Delay can be added and never be removed. */
  readonly setMs: number;
  readonly thenMs: readonly [number, number];
}

/** The sound delay that a system has now, and the one that each of its inputs would want. */
export interface SoundDelays {
  readonly device: string;
  readonly nowMs: number;
  readonly inputs: readonly InputDelay[];
}

/** The sound delays to set at a system, input by input; null where it has no such setting. Rows without a known lip sync are left out. */
export function soundDelays(device: Device, rows: readonly Arrival[], state: SettingState): SoundDelays | null {
  const setting = device.settings.find(({ key }) => key === "sound-delay");
  if (!setting) return null;
  const nowMs = Number(effectiveSetting(device, "sound-delay", state) ?? 0);
  const choices = setting.options.map(Number).toSorted((a, b) => a - b);
  const known = rows.flatMap((row) => {
    const hop = row.arrives && row.lipSyncMs !== null ? row.hops.find((one) => one.device === device.id && one.cable !== null) : undefined;
    return hop && row.lipSyncMs !== null ? [{ port: hop.port, id: row.id, lipSyncMs: row.lipSyncMs }] : [];
  });
  const ports = [...new Set(known.map(({ port }) => port))];
  const inputs = ports.map((port): InputDelay => {
    const here = known.filter((row) => row.port === port);
    const [low, high] = [Math.min(...here.map(({ lipSyncMs }) => lipSyncMs)), Math.max(...here.map(({ lipSyncMs }) => lipSyncMs))];
    const worst = (choice: number) => Math.max(Math.abs(low + choice - nowMs), Math.abs(high + choice - nowMs));
    const setMs = choices.reduce((best, choice) => (worst(choice) < worst(best) - 1e-9 ? choice : best), nowMs);
    return { port, rows: here.map(({ id }) => id), nowMs: [low, high], setMs, thenMs: [low + setMs - nowMs, high + setMs - nowMs] };
  });
  return { device: device.id, nowMs, inputs };
}
