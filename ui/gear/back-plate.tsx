"use client";

import { optionLabel, settingFact } from "@/core/facts";
import type { Device, Port, Setting } from "@/core/device";
import { cableAt, coveringStick } from "@/core/job";
import { deviceName, socketPrint } from "@/core/text";
import { Choice, SocketShape } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import styles from "./gear.module.css";
import { socketMarks } from "./socket-marks";

/** A device as its back shows it, with its settings beside it. */
export function BackPlate({ device, chosen, onChoose }: { device: Device; chosen: boolean; onChoose: () => void }) {
  return (
    <article className={chosen ? styles.deviceChosen : styles.device} aria-labelledby={`device-${device.id}`}>
      <div className={styles.plateSide}>
        <button type="button" className={styles.deviceName} onClick={onChoose} aria-pressed={chosen}>
          <b id={`device-${device.id}`} dir="auto">
            {device.name}
          </b>
        </button>
        <ul className={styles.plate} aria-label={`Back plate of ${device.name}`}>
          {device.ports.map((port) => (
            <Socket key={port.id} device={device.id} port={port} />
          ))}
        </ul>
      </div>
      <ul className={styles.settings}>
        {device.settings.map((setting) => (
          <SettingLine key={setting.key} device={device} setting={setting} />
        ))}
      </ul>
    </article>
  );
}

function Socket({ device, port }: { device: string; port: Port }) {
  const job = useJob((state) => state.job);
  const cable = cableAt(job, { device, port: port.id });
  const stick = cable ? null : coveringStick(job, { device, port: port.id });
  const other = cable ? (cable.from.device === device ? cable.to : cable.from) : null;
  return (
    <li className={other ? styles.socket : styles.socketFree}>
      <code>{port.label}</code>
      <SocketShape connector={port.connector} />
      <span className={styles.marks}>{socketMarks(port).join(" · ") || "\u00a0"}</span>
      <span className={styles.inIt} title={other ? `${deviceName(job, other.device)} ${socketPrint(job, other)}` : "nothing plugged in"}>
        {other ? deviceName(job, other.device) : stick ? `covered by ${deviceName(job, stick)}` : "free"}
      </span>
    </li>
  );
}

/** "eARC is set to on", as found beside as planned. */
function SettingLine({ device, setting }: { device: Device; setting: Setting }) {
  const { edit } = useIntents();
  const fact = settingFact(setting.key);
  const planned = setting.planned ?? setting.found;
  const changed = setting.planned !== null && setting.planned !== setting.found;
  return (
    <li className={styles.setting}>
      <span title={`Look in: ${fact.lookIn}`}>{fact.name}</span>
      <Choice
        size="small"
        label={`${fact.name} at ${device.name}, as planned`}
        value={planned ?? "unknown"}
        onChange={(value) =>
          edit({
            kind: "set-setting",
            device: device.id,
            setting: setting.key,
            state: "planned",
            value: value === setting.found ? null : value,
          })
        }
        options={[
          ...(planned === null ? [{ value: "unknown", label: "not known", disabled: true }] : []),
          ...setting.options.map((value) => ({ value, label: optionLabel(setting.key, value) })),
        ]}
        popupMatchSelectWidth={230}
        variant={changed ? "outlined" : "filled"}
      />
      <span className={styles.found}>
        {changed ? `found: ${setting.found === null ? "not known" : optionLabel(setting.key, setting.found)}` : ""}
      </span>
    </li>
  );
}
