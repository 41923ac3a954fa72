"use client";

import { settingFact } from "@/core/facts";
import { settingValue } from "@/core/text";
import { effectiveSetting, type Device, type Setting, type SettingState } from "@/core/device";
import { useIntents } from "@/ui/job";
import styles from "./device-story.module.css";
import { gearWords } from "@/ui/words";

const STATES = ["found", "planned", "left"] as const;
/** So many letters fit into a field beside two others. */
const LETTERS_BESIDE = 8;

/** As found, planned and left, side by side where the words are short, with the place in the menu to look for. */
export function SettingsTable({ device }: { device: Device }) {
  if (device.settings.length === 0) return null;
  return (
    <section>
      <h3>{gearWords.settingsByState}</h3>
      <ul className={styles.settings}>
        {device.settings.map((setting) => (
          <li key={setting.key}>
            <b>{settingFact(setting.key).name}</b>
            <span>{gearWords.lookIn(settingFact(setting.key).lookIn)}</span>
            <div className={areShort(device, setting) ? styles.beside : styles.below}>
              {STATES.map((state) => (
                <StateField key={state} device={device} setting={setting} state={state} />
              ))}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

const areShort = (device: Device, { key, options }: Setting): boolean =>
  options.every((option) => settingValue(device, key, option).length <= LETTERS_BESIDE);

function StateField({ device, setting, state }: { device: Device; setting: Setting; state: SettingState }) {
  const { edit } = useIntents();
  const follows = effectiveSetting(device, setting.key, state);
  return (
    <label>
      {state}
      <select
        className="native-field"
        aria-label={gearWords.settingAs(settingFact(setting.key).name, state)}
        value={setting[state] ?? ""}
        onChange={(event) =>
          edit({ kind: "set-setting", device: device.id, setting: setting.key, state, value: event.target.value || null })
        }
      >
        <option value="">{state === "found" || !follows ? gearWords.notKnown : `(${settingValue(device, setting.key, follows)})`}</option>
        {setting.options.map((option) => (
          <option key={option} value={option}>
            {settingValue(device, setting.key, option)}
          </option>
        ))}
      </select>
    </label>
  );
}
