"use client";

import { Checkbox } from "antd";
import { CODINGS, type Bed, type Coding } from "@/core/facts";
import type { SoundDescriptor } from "@/core/device";
import styles from "./device.module.css";
import { deviceWords } from "@/ui/words";

interface SoundsFieldProps {
  readonly legend: string;
  /** Null: not known. */
  readonly sounds: readonly SoundDescriptor[] | null;
  readonly onChange: (sounds: SoundDescriptor[] | null) => void;
}

/** A list of codings, each with its objects where it can have any, or that nobody knows it. */
export function SoundsField({ legend, sounds, onChange }: SoundsFieldProps) {
  const rows = sounds ?? [];
  const toggle = (coding: Coding, on: boolean, maxChannels: number) => {
    const channels: Bed = maxChannels > 6 ? "7.1" : maxChannels > 2 ? "5.1" : "2.0";
    onChange(on ? [...rows, { coding, channels, objects: false }] : rows.filter((row) => row.coding !== coding));
  };
  return (
    <fieldset className={styles.field}>
      <legend>{legend}</legend>
      <Checkbox checked={sounds === null} onChange={(event) => onChange(event.target.checked ? null : [])}>
        {deviceWords.notKnownYet}
      </Checkbox>
      {sounds === null
        ? null
        : CODINGS.map((fact) => {
            const row = rows.find(({ coding }) => coding === fact.id);
            return (
              <span key={fact.id} className={styles.sound}>
                <Checkbox checked={row !== undefined} onChange={(event) => toggle(fact.id, event.target.checked, fact.maxChannels)}>
                  {fact.name}
                </Checkbox>
                {row && fact.objects !== "none" ? (
                  <Checkbox
                    checked={row.objects}
                    onChange={(event) => onChange(rows.map((one) => (one === row ? { ...row, objects: event.target.checked } : one)))}
                  >
                    {deviceWords.objects}
                  </Checkbox>
                ) : null}
              </span>
            );
          })}
    </fieldset>
  );
}
