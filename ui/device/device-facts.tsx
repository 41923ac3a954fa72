"use client";

import { InputNumber } from "antd";
import { VOLUMES, type Device, type Port } from "@/core/device";
import type { Command } from "@/core/job";
import { Choice, KeptText } from "@/ui/kit";
import styles from "./device.module.css";
import { SoundsField } from "./sounds-field";
import { deviceWords } from "@/ui/words";

interface DeviceFactsProps {
  readonly device: Device;
  readonly onEdit: (command: Command) => void;
}

const UNKNOWN = "unknown";
const RATES = [10.2, 18, 24, 32, 40, 48] as const;
const VOLUME_LABELS = {
  "remote-and-cec": deviceWords.ownRemoteAndControl,
  remote: deviceWords.ownRemoteAlone,
  cec: deviceWords.hdmiControlAlone,
  knob: deviceWords.aKnobByHand,
  fixed: deviceWords.nothingItIsFixed,
} as const satisfies Record<(typeof VOLUMES)[number], string>;

/** What a device can do, to be corrected where this one differs from its class; everything can also be not known. */
export function DeviceFacts({ device, onEdit }: DeviceFactsProps) {
  const set = (fields: Extract<Command, { kind: "edit-device" }>["fields"]) => onEdit({ kind: "edit-device", device: device.id, fields });
  const list = device.presents.find((rule) => rule.rule === "list");
  return (
    <div className={styles.facts}>
      <section>
        <h3>{deviceWords.sockets}</h3>
        <ul className={styles.sockets}>
          {device.ports.map((port) => (
            <SocketFacts key={port.id} device={device} port={port} onEdit={onEdit} />
          ))}
        </ul>
      </section>
      {device.role === "player" ? null : (
        <SoundsField legend={deviceWords.whatItDecodes} sounds={device.decodes} onChange={(decodes) => set({ decodes })} />
      )}
      {list?.rule === "list" ? (
        <SoundsField
          legend={deviceWords.whatItLists}
          sounds={list.sound}
          onChange={(sound) => set({ presents: device.presents.map((rule) => (rule === list ? { ...list, sound } : rule)) })}
        />
      ) : null}
      <HandsOn device={device} onEdit={onEdit} />
      <div className={styles.pair}>
        {device.display ? (
          <>
            <DelayField
              label={deviceWords.takesToShow}
              value={device.display.delayMs}
              onChange={(delayMs) => device.display && set({ display: { ...device.display, delayMs } })}
            />
            <DelayField
              label={deviceWords.toShowAGame}
              value={device.display.gameDelayMs}
              onChange={(gameDelayMs) => device.display && set({ display: { ...device.display, gameDelayMs } })}
            />
            <DelayField
              label={deviceWords.toShowAFilm}
              value={device.display.filmDelayMs}
              onChange={(filmDelayMs) => device.display && set({ display: { ...device.display, filmDelayMs } })}
            />
          </>
        ) : null}
        {device.role === "sound" || device.role === "box" ? (
          <label>
            {deviceWords.volumeIsMovedBy}
            <Choice
              label={deviceWords.whatMovesTheVolumeOf(device.name)}
              value={device.volume ?? UNKNOWN}
              options={[
                { value: UNKNOWN, label: deviceWords.notKnown },
                ...VOLUMES.map((value) => ({ value, label: VOLUME_LABELS[value] })),
              ]}
              onChange={(value) => set({ volume: VOLUMES.find((one) => one === value) ?? null })}
            />
          </label>
        ) : null}
        <label>
          {deviceWords.hdmiControlCec}
          <Choice
            label={deviceWords.whetherSpeaksCec(device.name)}
            value={device.speaksCec ? "speaks" : "none"}
            options={[
              { value: "speaks", label: deviceWords.takesPart },
              { value: "none", label: deviceWords.takesNoPart },
            ]}
            onChange={(value) => set({ speaksCec: value === "speaks" })}
          />
        </label>
        <Drift device={device} onEdit={onEdit} />
        <label>
          {deviceWords.maker}
          <KeptText label={deviceWords.maker} value={device.maker} limit={80} onKeep={(maker) => set({ maker })} />
        </label>
      </div>
      <label className={styles.note}>
        {deviceWords.note}
        <KeptText label={deviceWords.note} value={device.note} limit={4000} rows={2} onKeep={(note) => set({ note })} />
      </label>
    </div>
  );
}

function SocketFacts({ device, port, onEdit }: DeviceFactsProps & { port: Port }) {
  const set = (fields: Extract<Command, { kind: "edit-port" }>["fields"]) =>
    onEdit({ kind: "edit-port", device: device.id, port: port.id, fields });
  const name = deviceWords.socketOf(port.label, device.name);
  return (
    <li>
      <KeptText size="small" label={deviceWords.printAt(name)} value={port.label} limit={40} onKeep={(label) => set({ label })} />
      {port.connector === "hdmi" ? (
        <>
          <Choice
            size="small"
            label={deviceWords.returnChannelOf(name)}
            value={port.returns ?? UNKNOWN}
            options={[
              { value: "none", label: deviceWords.noReturn },
              { value: "arc", label: deviceWords.arc },
              { value: "earc", label: deviceWords.earc },
              { value: UNKNOWN, label: deviceWords.return },
            ]}
            onChange={(value) => set({ returns: value === "none" || value === "arc" || value === "earc" ? value : null })}
          />
          <Choice
            size="small"
            label={deviceWords.rateOf(name)}
            value={port.maxGbps === null ? UNKNOWN : String(port.maxGbps)}
            options={[
              ...RATES.map((rate) => ({ value: String(rate), label: `${rate}\u2009Gb/s` })),
              { value: UNKNOWN, label: deviceWords.rate },
            ]}
            onChange={(value) => set({ maxGbps: value === UNKNOWN ? null : Number(value) })}
          />
          <Choice
            size="small"
            label={deviceWords.hdcpOf(name)}
            value={port.hdcp ?? UNKNOWN}
            options={[
              { value: "none", label: deviceWords.noHdcp },
              { value: "1.4", label: deviceWords.hdcp14 },
              { value: "2.2", label: deviceWords.hdcp22 },
              { value: "2.3", label: deviceWords.hdcp23 },
              { value: UNKNOWN, label: deviceWords.hdcp },
            ]}
            onChange={(value) => set({ hdcp: value === "none" || value === "1.4" || value === "2.2" || value === "2.3" ? value : null })}
          />
        </>
      ) : null}
      {port.connector === "bluetooth" ? (
        <Choice
          size="small"
          label={deviceWords.lowDelayCodecOf(name)}
          value={port.lowDelay === null ? UNKNOWN : port.lowDelay ? "low" : "usual"}
          options={[
            { value: "usual", label: deviceWords.usualDelay },
            { value: "low", label: deviceWords.lowDelayCodec },
            { value: UNKNOWN, label: deviceWords.codec },
          ]}
          onChange={(value) => set({ lowDelay: value === UNKNOWN ? null : value === "low" })}
        />
      ) : null}
      {port.connector === "bluetooth" ? (
        <InputNumber
          size="small"
          value={port.delayMs}
          min={0}
          max={2000}
          suffix={deviceWords.ms}
          placeholder={deviceWords.asTheCodec}
          onChange={(delayMs) => set({ delayMs })}
          aria-label={deviceWords.seenDelayOf(name)}
        />
      ) : null}
    </li>
  );
}

/** What the inner ways that nobody has looked into pass on. */
function HandsOn({ device, onEdit }: DeviceFactsProps) {
  const way = device.routes.find(
    (route) => route.kind === "sound" && !route.to.includes("speakers") && (route.passes === null || device.role === "screen"),
  );
  if (way?.kind !== "sound") return null;
  const nameOf = (terminal: string) =>
    device.ports.find(({ id }) => id === terminal)?.label ?? device.sources.find(({ id }) => id === terminal)?.name ?? terminal;
  return (
    <SoundsField
      legend={deviceWords.whatItHandsOnFrom(way.from.map(nameOf).join(", "))}
      sounds={way.passes}
      onChange={(passes) =>
        onEdit({
          kind: "edit-device",
          device: device.id,
          fields: { routes: device.routes.map((route) => (route === way ? { ...way, passes } : route)) },
        })
      }
    />
  );
}

/** How far a bitstream was seen to slip out of step, and after how many minutes; only where it does. */
function Drift({ device, onEdit }: DeviceFactsProps) {
  const drift = device.habits.find((habit) => habit.habit === "drifts");
  if (drift?.habit !== "drifts") return null;
  const set = (fields: Partial<Pick<typeof drift, "amountMs" | "afterMinutes">>) =>
    onEdit({
      kind: "edit-device",
      device: device.id,
      fields: { habits: device.habits.map((habit) => (habit === drift ? { ...drift, ...fields } : habit)) },
    });
  return (
    <>
      <label>
        {deviceWords.slipsBy}
        <InputNumber
          value={drift.amountMs}
          min={-5000}
          max={5000}
          suffix={deviceWords.ms}
          placeholder={deviceWords.notKnown}
          onChange={(amountMs) => set({ amountMs })}
          aria-label={deviceWords.inMilliseconds(deviceWords.slipsBy)}
        />
      </label>
      <label>
        {deviceWords.slipsAfter}
        <InputNumber
          value={drift.afterMinutes}
          min={1}
          max={1440}
          suffix={deviceWords.min}
          placeholder={deviceWords.notKnown}
          onChange={(afterMinutes) => set({ afterMinutes })}
          aria-label={deviceWords.slipsAfter}
        />
      </label>
    </>
  );
}

function DelayField({ label, value, onChange }: { label: string; value: number | null; onChange: (ms: number | null) => void }) {
  return (
    <label>
      {label}
      <InputNumber
        value={value}
        min={0}
        max={2000}
        suffix={deviceWords.ms}
        placeholder={deviceWords.notKnown}
        onChange={onChange}
        aria-label={deviceWords.inMilliseconds(label)}
      />
    </label>
  );
}
