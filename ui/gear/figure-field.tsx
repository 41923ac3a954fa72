"use client";

import { InputNumber } from "antd";
import { gearWords } from "@/ui/words";
import styles from "./units-tab.module.css";

interface FigureProps {
  readonly label: string;
  readonly value: number | null;
  readonly suffix: string;
  readonly min: number;
  readonly max: number;
  readonly onKeep: (value: number | null) => void;
}

/** A figure with its name before it and its unit behind it; empty: not known. */
export function Figure({ label, value, suffix, min, max, onKeep }: FigureProps) {
  return (
    <label className={styles.figure}>
      <span>{label}</span>
      <InputNumber
        aria-label={label}
        size="small"
        min={min}
        max={max}
        value={value}
        placeholder={gearWords.notKnownFigure}
        suffix={suffix}
        onChange={onKeep}
      />
    </label>
  );
}
