"use client";

import { Checkbox } from "antd";
import { Dials, type Device, type LevelDial, type TimeDial } from "@/core/device";
import { Choice } from "@/ui/kit";
import { useIntents } from "@/ui/job";
import { gearWords } from "@/ui/words";
import { Figure } from "./figure-field";
import styles from "./units-tab.module.css";

const NONE = "none";
const TIMES = ["distance m", "distance ft", "delay ms"] as const;
const CALIBRATES = ["none", "own-microphones", "plugged-microphone"] as const;
/** What menus offer. */
const CROSSOVERS_HZ = [40, 50, 60, 70, 80, 90, 100, 110, 120, 150, 180, 200, 250] as const;
const SAVES = ["at-once", "menu", "long-press"] as const;

const usualTime = (kind: string): TimeDial | null => {
  if (kind === "distance m") return { kind: "distance", unit: "m", min: 0.3, max: 10, step: 0.1, usual: 3 };
  if (kind === "distance ft") return { kind: "distance", unit: "ft", min: 1, max: 30, step: 1, usual: 10 };
  return kind === "delay ms" ? { kind: "delay", unit: "ms", min: 0, max: 30, step: 1, usual: 0 } : null;
};

/** What can be dialled at a sound system. */
export function DialsFields({ device }: { device: Device }) {
  const { edit } = useIntents();
  const dials = device.dials ?? Dials.parse({});
  const set = (change: Partial<Dials>) => edit({ kind: "edit-device", device: device.id, fields: { dials: { ...dials, ...change } } });
  const { time } = dials;
  return (
    <section className={styles.fields} aria-label={gearWords.whatCanBeDialled}>
      <h3>{gearWords.whatCanBeDialled}</h3>
      <Choice
        size="small"
        label={gearWords.takesTimes}
        value={time ? `${time.kind} ${time.unit}` : NONE}
        options={[
          { value: NONE, label: gearWords.noTimes },
          ...TIMES.map((kind) => ({ value: kind as string, label: gearWords.timeKinds[kind] })),
        ]}
        onChange={(kind) => set({ time: usualTime(kind) })}
      />
      {time ? (
        <>
          {(
            [
              ["min", gearWords.least],
              ["max", gearWords.most],
              ["step", gearWords.step],
              ["usual", gearWords.fromFactory],
            ] as const
          ).map(([field, label]) => (
            <Figure
              key={field}
              label={gearWords.timeField(label)}
              value={time[field]}
              suffix={time.unit}
              min={field === "step" ? 0.001 : -1000}
              max={1000}
              onKeep={(value) => value !== null && set({ time: { ...time, [field]: value } })}
            />
          ))}
          <Checkbox checked={dials.pairsShareTime} onChange={(event) => set({ pairsShareTime: event.target.checked })}>
            {gearWords.pairsShareTime}
          </Checkbox>
        </>
      ) : null}
      <LevelFields label={gearWords.levelOfChannels} dial={dials.trim} onKeep={(trim) => set({ trim })} />
      {dials.trim ? (
        <Checkbox checked={dials.pairsShareTrim} onChange={(event) => set({ pairsShareTrim: event.target.checked })}>
          {gearWords.pairsShareLevel}
        </Checkbox>
      ) : null}
      <LevelFields label={gearWords.levelOfSubwoofer} dial={dials.subwoofer} onKeep={(subwoofer) => set({ subwoofer })} />
      <Choice
        mode="multiple"
        size="small"
        label={gearWords.crossovers}
        placeholder={gearWords.crossovers}
        value={dials.crossoversHz.map(String)}
        options={CROSSOVERS_HZ.map((hertz) => ({ value: String(hertz), label: gearWords.hertz(hertz) }))}
        onChange={(chosen: string[]) => set({ crossoversHz: chosen.map(Number).toSorted((a, b) => a - b) })}
      />
      <Choice
        size="small"
        label={gearWords.calibrates}
        value={dials.calibrates as string}
        options={CALIBRATES.map((one) => ({ value: one as string, label: gearWords.calibrations[one] }))}
        onChange={(value) => set({ calibrates: CALIBRATES.find((one) => one === value) ?? "none" })}
      />
      <Choice
        size="small"
        label={gearWords.howSaved}
        value={dials.saves as string}
        options={SAVES.map((one) => ({ value: one as string, label: gearWords.savings[one] }))}
        onChange={(value) => set({ saves: SAVES.find((one) => one === value) ?? "at-once" })}
      />
      <Checkbox checked={dials.testTone} onChange={(event) => set({ testTone: event.target.checked })}>
        {gearWords.hasTestTone}
      </Checkbox>
      <Checkbox checked={dials.voiceMode} onChange={(event) => set({ voiceMode: event.target.checked })}>
        {gearWords.hasVoiceMode}
      </Checkbox>
      <Figure label={gearWords.leastOhm} value={dials.leastOhm} suffix="Ω" min={1} max={32} onKeep={(leastOhm) => set({ leastOhm })} />
    </section>
  );
}

/** A level in decibels, or in three named steps. */
function LevelFields({ label, dial, onKeep }: { label: string; dial: LevelDial | null; onKeep: (dial: LevelDial | null) => void }) {
  const made = (kind: string): LevelDial | null => {
    if (kind === "decibels") return { kind, min: -10, max: 10, step: 1 };
    if (kind !== "named") return null;
    return { kind, steps: gearWords.coarseSteps.map((name, index) => ({ name, db: (index - 1) * 3 })) };
  };
  return (
    <>
      <Choice
        size="small"
        label={label}
        value={dial?.kind ?? NONE}
        options={[
          { value: NONE, label: gearWords.noLevel(label) },
          { value: "decibels", label: gearWords.inDecibels(label) },
          { value: "named", label: gearWords.inSteps(label) },
        ]}
        onChange={(kind) => onKeep(made(kind))}
      />
      {dial?.kind === "decibels"
        ? (
            [
              ["min", gearWords.least],
              ["max", gearWords.most],
              ["step", gearWords.step],
            ] as const
          ).map(([field, name]) => (
            <Figure
              key={field}
              label={gearWords.levelField(label, name)}
              value={dial[field]}
              suffix="dB"
              min={field === "step" ? 0.1 : -60}
              max={60}
              onKeep={(value) => value !== null && onKeep({ ...dial, [field]: value })}
            />
          ))
        : null}
      {dial?.kind === "named"
        ? dial.steps.map((step, index) => (
            <Figure
              key={step.name}
              label={gearWords.stepIsWorth(step.name)}
              value={step.db}
              suffix="dB"
              min={-40}
              max={40}
              onKeep={(db) => db !== null && onKeep({ ...dial, steps: dial.steps.map((row, at) => (at === index ? { ...row, db } : row)) })}
            />
          ))
        : null}
    </>
  );
}
