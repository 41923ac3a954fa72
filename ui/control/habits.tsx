"use client";

import { InputNumber } from "antd";
import { INFRARED, MOST_WAKE_MS, QUIRKS, QUIRKS_OF, type Device } from "@/core/device";
import { INFRARED_WORDS, QUIRK_WORDS } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { Choice, KeptText } from "@/ui/kit";
import { controlWords } from "@/ui/words";
import styles from "./control.module.css";
import habitsStyles from "./habits.module.css";

/** What was seen on site of each device on the bus, ticked; the acts are judged by it at once. */
export function Habits({ devices }: { devices: readonly string[] }) {
  const job = useJob((state) => state.job);
  return (
    <div className={habitsStyles.habits}>
      <p className={styles.quiet}>{controlWords.habitsWords}</p>
      {job.devices
        .filter(({ id }) => devices.includes(id))
        .map((device) => (
          <DeviceHabits key={device.id} device={device} />
        ))}
    </div>
  );
}

const VERSIONS = [
  { value: "1.4" as const, label: controlWords.version("1.4") },
  { value: "2.0" as const, label: controlWords.version("2.0") },
];
const INFRARED_OPTIONS = INFRARED.map((value) => ({ value, label: INFRARED_WORDS[value] }));

/** Whether a screen shows those below it nothing while it sleeps, so that they do not know where they stand. */
function ForgetsEdid({ device }: { device: Device }) {
  const { edit } = useIntents();
  const others = device.habits.filter(({ habit }) => habit !== "forgets-edid");
  return (
    <label>
      <input
        type="checkbox"
        checked={others.length < device.habits.length}
        onChange={(event) =>
          edit({
            kind: "edit-device",
            device: device.id,
            fields: { habits: event.target.checked ? [...others, { habit: "forgets-edid" }] : others },
          })
        }
      />
      {controlWords.forgetsEdid}
    </label>
  );
}

interface MetresProps {
  label: string;
  name: string;
  max: number;
  none: string;
  value: number | null;
  onChange: (metres: number | null) => void;
}

function Metres({ label, name, max, none, value, onChange }: MetresProps) {
  return (
    <label>
      {label}
      <InputNumber<number>
        aria-label={name}
        size="small"
        {...(habitsStyles.metres ? { className: habitsStyles.metres } : {})}
        min={0}
        max={max}
        step={0.1}
        value={value}
        placeholder={none}
        suffix={controlWords.metresUnit}
        onChange={onChange}
      />
    </label>
  );
}

function DeviceHabits({ device }: { device: Device }) {
  const { edit } = useIntents();
  const set = (changes: Partial<Device["control"]>) =>
    edit({ kind: "edit-device", device: device.id, fields: { control: { ...device.control, ...changes } } });
  const { quirks } = device.control;
  return (
    <fieldset className={habitsStyles.device}>
      <legend>{device.name}</legend>
      <label className={habitsStyles.menuName}>
        {controlWords.menuName}
        <KeptText
          label={controlWords.menuNameOf(device.name)}
          value={device.control.menuName}
          limit={80}
          onKeep={(menuName) => set({ menuName })}
        />
      </label>
      <div className={habitsStyles.facts}>
        <label>
          {controlWords.speaks}
          <Choice
            label={controlWords.speaksOf(device.name)}
            size="small"
            value={device.control.version}
            options={VERSIONS}
            onChange={(version) => set({ version })}
          />
        </label>
        <label>
          {controlWords.infrared}
          <Choice
            label={controlWords.infraredOf(device.name)}
            size="small"
            value={device.control.infrared}
            options={INFRARED_OPTIONS}
            onChange={(infrared) => set({ infrared })}
          />
        </label>
        <label>
          {controlWords.wakes}
          <InputNumber<number>
            aria-label={controlWords.wakesOf(device.name)}
            size="small"
            {...(habitsStyles.seconds ? { className: habitsStyles.seconds } : {})}
            min={0}
            max={MOST_WAKE_MS / 1000}
            step={0.5}
            value={device.control.wakeMs === null ? null : device.control.wakeMs / 1000}
            placeholder={controlWords.asItsKind}
            suffix={controlWords.secondsUnit}
            onChange={(seconds) => set({ wakeMs: seconds === null ? null : Math.round(seconds * 1000) })}
          />
        </label>
        {device.role === "screen" ? (
          <Metres
            label={controlWords.infraredReach}
            name={controlWords.infraredReachOf(device.name)}
            max={20}
            none={controlWords.noInfrared}
            value={device.control.infraredReachM}
            onChange={(infraredReachM) => set({ infraredReachM: infraredReachM === 0 ? null : infraredReachM })}
          />
        ) : null}
        {device.role === "sound" ? (
          <Metres
            label={controlWords.fromScreen}
            name={controlWords.fromScreenOf(device.name)}
            max={100}
            none={controlWords.notMeasured}
            value={device.control.fromScreenM}
            onChange={(fromScreenM) => set({ fromScreenM })}
          />
        ) : null}
      </div>
      <div className={habitsStyles.ticks}>
        <label>
          <input type="checkbox" checked={device.control.hidden} onChange={(event) => set({ hidden: event.target.checked })} />
          {controlWords.behindDoor}
        </label>
        {device.role === "screen" ? <ForgetsEdid device={device} /> : null}
        {QUIRKS.filter((quirk) => QUIRKS_OF[quirk].includes(device.role)).map((quirk) => (
          <label key={quirk}>
            <input
              type="checkbox"
              checked={quirks.includes(quirk)}
              onChange={(event) => set({ quirks: event.target.checked ? [...quirks, quirk] : quirks.filter((one) => one !== quirk) })}
            />
            {QUIRK_WORDS[quirk]}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
