"use client";

import { effectiveSetting, type Device } from "@/core/device";
import { settingFact, type SettingKey } from "@/core/facts";
import { settingValue } from "@/core/text";
import { useIntents } from "@/ui/job";
import { Choice } from "@/ui/kit";
import { controlWords } from "@/ui/words";
import styles from "./control.module.css";

/** The settings that decide who wakes, obeys and sounds. */
const SWITCHES: readonly SettingKey[] = ["cec", "control-wakes", "control-obeys", "arc", "earc", "speakers"];

/** The switches of one device, turned right beside the act that they change. */
export function DeviceSwitches({ device }: { device: Device }) {
  const { edit } = useIntents();
  const rows = device.settings.filter(({ key }) => SWITCHES.includes(key));
  return (
    <section className={styles.switches} aria-label={controlWords.switchesOf(device.name)}>
      <h3>{controlWords.switchesOf(device.name)}</h3>
      {device.control.menuName ? <p className={styles.quiet}>{controlWords.menuCalled(device.control.menuName)}</p> : null}
      {rows.length === 0 ? <p className={styles.quiet}>{controlWords.noSwitches}</p> : null}
      {rows.map(({ key, options }) => (
        <label key={key}>
          <span>{settingFact(key).name}</span>
          <Choice<string | null>
            label={controlWords.switchAt(settingFact(key).name, device.name)}
            size="small"
            value={effectiveSetting(device, key, "planned") ?? null}
            placeholder={controlWords.notKnown}
            options={options.map((value) => ({ value, label: settingValue(device, key, value) }))}
            onChange={(value) => edit({ kind: "set-setting", device: device.id, setting: key, state: "planned", value })}
          />
        </label>
      ))}
    </section>
  );
}
