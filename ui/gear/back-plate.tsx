"use client";

import { memo } from "react";
import { settingFact } from "@/core/facts";
import type { Device, Port, Setting } from "@/core/device";
import { cableAt, coveringStick, sameEnd, type CableEnd, type Job } from "@/core/job";
import { deviceName, socketPrint, settingValue } from "@/core/text";
import { Choice, SocketShape } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import styles from "./gear.module.css";
import { socketMarks } from "./socket-marks";
import { gearWords } from "@/ui/words";

interface BackPlateProps {
  readonly device: Device;
  readonly chosen: boolean;
  readonly onChoose: (id: string) => void;
}

/** A device as its back shows it, with its settings beside it. Drawn again only when it has changed itself: a room has many. */
export const BackPlate = memo(function BackPlate({ device, chosen, onChoose }: BackPlateProps) {
  return (
    <article className={chosen ? styles.deviceChosen : styles.device} aria-labelledby={`device-${device.id}`}>
      <div className={styles.plateSide}>
        <button type="button" className={styles.deviceName} onClick={() => onChoose(device.id)} aria-pressed={chosen}>
          <b id={`device-${device.id}`} dir="auto">
            {device.name}
          </b>
        </button>
        <ul className={styles.plate} aria-label={gearWords.backPlateOf(device.name)}>
          {device.ports.map((port) => (
            <Socket key={port.id} device={device.id} port={port} />
          ))}
        </ul>
      </div>
      <ul className={styles.settings}>
        {/* Who wakes whom is set on Control and in the margin; here it would only crowd what the sound needs. */}
        {device.settings
          .filter(({ key }) => settingFact(key).concern !== "control")
          .map((setting) => (
            <SettingLine key={setting.key} device={device} setting={setting} />
          ))}
      </ul>
    </article>
  );
});

function Socket({ device, port }: { device: string; port: Port }) {
  const end = { device, port: port.id };
  // Words are compared by their letters, so that a socket is redrawn only when another plug is in it.
  const plugged = useJob(({ job }) => pluggedWords(job, end));
  const place = useJob(({ job }) => pluggedPlace(job, end));
  return (
    <li className={plugged ? styles.socket : styles.socketFree}>
      <code>{port.label}</code>
      <SocketShape connector={port.connector} />
      <span className={styles.marks}>{socketMarks(port).join(" · ") || "\u00a0"}</span>
      <span className={styles.inIt} title={place}>
        {plugged ?? place}
      </span>
    </li>
  );
}

const otherEnd = (job: Job, end: CableEnd): CableEnd | null => {
  const cable = cableAt(job, end);
  return cable ? (sameEnd(cable.from, end) ? cable.to : cable.from) : null;
};

function pluggedWords(job: Job, end: CableEnd): string | null {
  const other = otherEnd(job, end);
  return other && deviceName(job, other.device);
}

/** Where the cable in a socket goes; for an empty one, that it is free or covered by the stick beside it. */
function pluggedPlace(job: Job, end: CableEnd): string {
  const other = otherEnd(job, end);
  if (other) return `${deviceName(job, other.device)} ${socketPrint(job, other)}`;
  const stick = coveringStick(job, end);
  return stick ? gearWords.coveredBy(deviceName(job, stick)) : "free";
}

/** "eARC is set to on", as found beside as planned. */
const SettingLine = memo(function SettingLine({ device, setting }: { device: Device; setting: Setting }) {
  const { edit } = useIntents();
  const fact = settingFact(setting.key);
  const planned = setting.planned ?? setting.found;
  const changed = setting.planned !== null && setting.planned !== setting.found;
  return (
    <li className={styles.setting}>
      <span title={gearWords.lookInMenu(fact.lookIn)}>{fact.name}</span>
      <Choice
        size="small"
        label={gearWords.atAsPlanned(fact.name, device.name)}
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
          ...(planned === null ? [{ value: "unknown", label: gearWords.notKnown, disabled: true }] : []),
          ...setting.options.map((value) => ({ value, label: settingValue(device, setting.key, value) })),
        ]}
        popupMatchSelectWidth={230}
        variant={changed ? "outlined" : "filled"}
      />
      <span className={styles.found}>
        {changed ? gearWords.found(setting.found === null ? gearWords.notKnown : settingValue(device, setting.key, setting.found)) : ""}
      </span>
    </li>
  );
});
