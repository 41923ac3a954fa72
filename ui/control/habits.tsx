"use client";

import { QUIRKS, type Device } from "@/core/device";
import { QUIRK_WORDS } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { KeptText } from "@/ui/kit";
import { controlWords } from "@/ui/words";
import styles from "./control.module.css";

/** What was seen on site of each device on the bus, ticked; the acts are judged by it at once. */
export function Habits({ devices }: { devices: readonly string[] }) {
  const job = useJob((state) => state.job);
  return (
    <div className={styles.habits}>
      <p className={styles.quiet}>{controlWords.habitsWords}</p>
      {job.devices
        .filter(({ id }) => devices.includes(id))
        .map((device) => (
          <DeviceHabits key={device.id} device={device} />
        ))}
    </div>
  );
}

function DeviceHabits({ device }: { device: Device }) {
  const { edit } = useIntents();
  const set = (changes: Partial<Device["control"]>) =>
    edit({ kind: "edit-device", device: device.id, fields: { control: { ...device.control, ...changes } } });
  const { quirks } = device.control;
  return (
    <fieldset className={styles.device}>
      <legend>{device.name}</legend>
      <label className={styles.menuName}>
        {controlWords.menuName}
        <KeptText
          label={controlWords.menuNameOf(device.name)}
          value={device.control.menuName}
          limit={80}
          onKeep={(menuName) => set({ menuName })}
        />
      </label>
      <div className={styles.ticks}>
        {QUIRKS.filter((quirk) => QUIRK_WORDS[quirk].of.includes(device.role)).map((quirk) => (
          <label key={quirk}>
            <input
              type="checkbox"
              checked={quirks.includes(quirk)}
              onChange={(event) => set({ quirks: event.target.checked ? [...quirks, quirk] : quirks.filter((one) => one !== quirk) })}
            />
            {QUIRK_WORDS[quirk].seen}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
