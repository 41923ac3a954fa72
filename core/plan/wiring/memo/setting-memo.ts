import type { Question } from "@/core/chain";
import type { SettingKey } from "@/core/facts";
import { effectiveSetting, type Device } from "@/core/device";

/** A switch of a hub that was asked about, and how it was. */
export interface SettingRead {
  readonly device: string;
  readonly key: SettingKey;
  readonly value: string | null | undefined;
}

/** The switches of hubs among some questions, as they stand. */
function settingsRead(hubs: readonly Device[], asked: readonly Question[]): readonly SettingRead[] {
  return asked.flatMap((question): SettingRead[] => {
    const [what, device = "", key = ""] = question.split(" ");
    const hub = what === "setting" ? hubs.find(({ id }) => id === device) : undefined;
    const setting = hub?.settings.find((row) => row.key === key);
    return hub && setting ? [{ device, key: setting.key, value: effectiveSetting(hub, setting.key, "planned") }] : [];
  });
}

/** Whether switches stand at hubs as they did when something was asked. */
export const stillHolds = (hubs: readonly Device[], switches: readonly SettingRead[]): boolean =>
  switches.every(({ device, key, value }) => {
    const hub = hubs.find(({ id }) => id === device);
    return hub !== undefined && effectiveSetting(hub, key, "planned") === value;
  });

/** Answers on one topology, each of which holds while the switches that were asked about for it are the same, whatever the others do. */
export class SettingMemo<Answer> {
  private readonly known: { readonly switches: readonly SettingRead[]; readonly answer: Answer }[] = [];

  /** The answer for hubs as they are set, computed only where none is known. */
  of(
    hubs: readonly Device[],
    work: () => { readonly answer: Answer; readonly asked: readonly Question[] },
  ): { readonly answer: Answer; readonly switches: readonly SettingRead[] } {
    const found = this.known.find(({ switches }) => stillHolds(hubs, switches));
    if (found) return found;
    const { answer, asked } = work();
    const fresh = { switches: settingsRead(hubs, asked), answer };
    this.known.push(fresh);
    return fresh;
  }
}
