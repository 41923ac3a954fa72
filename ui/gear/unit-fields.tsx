"use client";

import { Button, Checkbox, InputNumber } from "antd";
import { CHANNELS, type Channel } from "@/core/facts";
import { UNIT_SIDES, unitsOf, type Device, type SpeakerUnit, type UnitFeed } from "@/core/device";
import { channelName, upperFirst } from "@/core/text";
import { Choice, KeptText } from "@/ui/kit";
import { gearWords } from "@/ui/words";
import { Figure } from "./figure-field";
import styles from "./units-tab.module.css";

interface UnitFieldsProps {
  readonly device: Device;
  readonly unit: SpeakerUnit;
  readonly onKeep: (change: Partial<SpeakerUnit>) => void;
  readonly onRemove: () => void;
}

const FEEDS = ["own", "wire", "lead", "wireless"] as const satisfies readonly UnitFeed["feed"][];

/** Everything about one unit, to be corrected. */
export function UnitFields({ device, unit, onKeep, onRemove }: UnitFieldsProps) {
  const others = unitsOf(device).filter(({ id }) => id !== unit.id);
  const feedOf = (feed: UnitFeed["feed"]): UnitFeed => {
    switch (feed) {
      case "lead":
        return { feed, from: others[0]?.id ?? unit.id, lengthM: 3, colour: "" };
      case "wireless":
        return { feed, laterMs: 0, rangeM: 10, pairs: "by-hand" };
      default:
        return { feed };
    }
  };
  const { feed } = unit;
  const leads = unitsOf(device).some((other) => other.feed.feed === "lead" && other.feed.from === unit.id);
  return (
    <div className={styles.fields}>
      <KeptText
        label={gearWords.nameOfUnit}
        value={unit.name}
        limit={80}
        size="small"
        onKeep={(name) => (name.trim() ? onKeep({ name: name.trim() }) : false)}
      />
      <Choice
        mode="multiple"
        size="small"
        label={gearWords.channelsOf(unit.name)}
        value={unit.drivers.map(({ channel }) => channel) as string[]}
        options={CHANNELS.map((channel) => ({ value: channel as string, label: channelName(channel) }))}
        onChange={(names: string[]) => onKeep({ drivers: driversOf(unit, names) })}
      />
      <Choice
        size="small"
        label={gearWords.howFed(unit.name)}
        value={feed.feed as string}
        options={FEEDS.map((one) => ({
          value: one as string,
          label: gearWords.feeds[one],
          disabled: one === "lead" && others.length === 0,
        }))}
        onChange={(value) => onKeep({ feed: feedOf(FEEDS.find((one) => one === value) ?? "wire") })}
      />
      {feed.feed === "lead" ? (
        <>
          <Choice
            size="small"
            label={gearWords.leadFrom}
            value={feed.from}
            options={others.map(({ id, name }) => ({ value: id, label: gearWords.fromUnit(name) }))}
            onChange={(from) => onKeep({ feed: { ...feed, from } })}
          />
          <KeptText
            label={gearWords.leadColour}
            value={feed.colour}
            limit={40}
            size="small"
            placeholder={gearWords.leadColour}
            onKeep={(colour) => onKeep({ feed: { ...feed, colour } })}
          />
          <Figure
            label={gearWords.leadLength}
            value={feed.lengthM}
            suffix="m"
            min={0.1}
            max={100}
            onKeep={(lengthM) => lengthM !== null && onKeep({ feed: { ...feed, lengthM } })}
          />
        </>
      ) : null}
      {feed.feed === "wireless" ? (
        <>
          <Figure
            label={gearWords.playsLater}
            value={feed.laterMs}
            suffix="ms"
            min={0}
            max={500}
            onKeep={(laterMs) => onKeep({ feed: { ...feed, laterMs: laterMs ?? 0 } })}
          />
          <Figure
            label={gearWords.wirelessRange}
            value={feed.rangeM}
            suffix="m"
            min={1}
            max={200}
            onKeep={(rangeM) => onKeep({ feed: { ...feed, rangeM } })}
          />
          <Checkbox
            checked={feed.pairs === "by-itself"}
            onChange={(event) => onKeep({ feed: { ...feed, pairs: event.target.checked ? "by-itself" : "by-hand" } })}
          >
            {gearWords.pairsByItself}
          </Checkbox>
        </>
      ) : null}
      <DriverFields unit={unit} onKeep={onKeep} />
      <Figure label={gearWords.mass} value={unit.massKg} suffix="kg" min={0.1} max={300} onKeep={(massKg) => onKeep({ massKg })} />
      <SizeFields unit={unit} onKeep={onKeep} />
      {feed.feed === "wire" ? (
        <Figure
          label={gearWords.impedance}
          value={unit.passive?.ohm ?? null}
          suffix="Ω"
          min={1}
          max={64}
          onKeep={(ohm) => onKeep({ passive: ohm === null ? null : { ohm, sensitivityDb: unit.passive?.sensitivityDb ?? null } })}
        />
      ) : null}
      {unit.passive ? (
        <Figure
          label={gearWords.sensitivity}
          value={unit.passive.sensitivityDb}
          suffix="dB"
          min={60}
          max={120}
          onKeep={(sensitivityDb) => unit.passive && onKeep({ passive: { ...unit.passive, sensitivityDb } })}
        />
      ) : null}
      <Choice
        mode="multiple"
        size="small"
        label={gearWords.keepFree}
        placeholder={gearWords.keepFree}
        value={unit.keepFree as string[]}
        options={UNIT_SIDES.map((side) => ({ value: side as string, label: gearWords.sides[side] }))}
        onChange={(sides: string[]) => onKeep({ keepFree: UNIT_SIDES.filter((side) => sides.includes(side)) })}
      />
      <HoleFields unit={unit} onKeep={onKeep} />
      <Checkbox checked={unit.mains} onChange={(event) => onKeep({ mains: event.target.checked })}>
        {gearWords.needsMains}
      </Checkbox>
      <Figure
        label={gearWords.batteryHours}
        value={unit.battery?.hours ?? null}
        suffix="h"
        min={0.5}
        max={200}
        onKeep={(hours) => onKeep({ battery: hours === null ? null : { hours, chargeHours: unit.battery?.chargeHours ?? 3 } })}
      />
      {unit.battery ? (
        <Figure
          label={gearWords.chargeHours}
          value={unit.battery.chargeHours}
          suffix="h"
          min={0.5}
          max={48}
          onKeep={(chargeHours) => unit.battery && chargeHours !== null && onKeep({ battery: { ...unit.battery, chargeHours } })}
        />
      ) : null}
      <Button size="small" disabled={leads} title={leads ? gearWords.feedsOthers : ""} onClick={onRemove}>
        {gearWords.removeUnit}
      </Button>
    </div>
  );
}

/** The drivers of the named channels; those that were there keep their place in the box. */
const driversOf = ({ drivers }: SpeakerUnit, names: readonly string[]): SpeakerUnit["drivers"] =>
  CHANNELS.filter((channel: Channel) => names.includes(channel)).map(
    (channel) => drivers.find((driver) => driver.channel === channel) ?? { channel, rightMm: 0, upMm: 0, tiltDeg: null },
  );

function SizeFields({ unit, onKeep }: Pick<UnitFieldsProps, "unit" | "onKeep">) {
  const size = unit.size ?? { widthMm: 200, heightMm: 200, depthMm: 200 };
  return (
    [
      ["widthMm", gearWords.widthMm],
      ["heightMm", gearWords.heightMm],
      ["depthMm", gearWords.depthMm],
    ] as const
  ).map(([field, label]) => (
    <Figure
      key={field}
      label={label}
      value={unit.size?.[field] ?? null}
      suffix="mm"
      min={1}
      max={5000}
      onKeep={(value) => value !== null && onKeep({ size: { ...size, [field]: value } })}
    />
  ));
}

/** The holes of its bracket, from the middle of its back. */
function HoleFields({ unit, onKeep }: Pick<UnitFieldsProps, "unit" | "onKeep">) {
  const set = (at: number, change: Partial<SpeakerUnit["holes"][number]>) =>
    onKeep({ holes: unit.holes.map((hole, index) => (index === at ? { ...hole, ...change } : hole)) });
  return (
    <fieldset className={styles.holes}>
      <legend>{gearWords.bracketHoles}</legend>
      {unit.holes.map((hole, index) => (
        <div key={index}>
          {(
            [
              ["rightMm", gearWords.holeRight(index + 1)],
              ["upMm", gearWords.holeUp(index + 1)],
              ["diameterMm", gearWords.holeWide(index + 1)],
            ] as const
          ).map(([field, label]) => (
            <InputNumber
              key={field}
              aria-label={label}
              title={label}
              size="small"
              min={field === "diameterMm" ? 1 : -3000}
              max={3000}
              value={hole[field]}
              suffix="mm"
              onChange={(value) => value !== null && set(index, { [field]: value })}
            />
          ))}
        </div>
      ))}
      <div>
        <Button size="small" onClick={() => onKeep({ holes: [...unit.holes, { rightMm: 0, upMm: 0, diameterMm: 5 }] })}>
          {gearWords.addHole}
        </Button>
        {unit.holes.length ? (
          <Button size="small" onClick={() => onKeep({ holes: unit.holes.slice(0, -1) })}>
            {gearWords.removeHole}
          </Button>
        ) : null}
      </div>
    </fieldset>
  );
}

/** Where the drivers of a box sit in its front, and whether they play to the ceiling. */
function DriverFields({ unit, onKeep }: Pick<UnitFieldsProps, "unit" | "onKeep">) {
  if (unit.drivers.length === 0) return null;
  const set = (at: number, change: Partial<SpeakerUnit["drivers"][number]>) =>
    onKeep({ drivers: unit.drivers.map((driver, index) => (index === at ? { ...driver, ...change } : driver)) });
  return (
    <fieldset className={styles.holes}>
      <legend>{gearWords.driversInFront}</legend>
      {unit.drivers.map(({ channel, rightMm, upMm, tiltDeg }, index) => (
        <div key={channel}>
          <span title={upperFirst(channelName(channel))}>{channel}</span>
          <InputNumber
            aria-label={gearWords.driverRight(channelName(channel))}
            title={gearWords.driverRight(channelName(channel))}
            size="small"
            min={-3000}
            max={3000}
            value={rightMm}
            suffix="mm"
            onChange={(value) => set(index, { rightMm: value ?? 0 })}
          />
          <InputNumber
            aria-label={gearWords.driverUp(channelName(channel))}
            title={gearWords.driverUp(channelName(channel))}
            size="small"
            min={-3000}
            max={3000}
            value={upMm}
            suffix="mm"
            onChange={(value) => set(index, { upMm: value ?? 0 })}
          />
          <InputNumber
            aria-label={gearWords.driverTilt(channelName(channel))}
            title={gearWords.driverTilt(channelName(channel))}
            size="small"
            min={20}
            max={90}
            value={tiltDeg}
            placeholder={gearWords.straightAhead}
            suffix="°"
            onChange={(value) => set(index, { tiltDeg: value })}
          />
        </div>
      ))}
    </fieldset>
  );
}
