"use client";

import { InputNumber } from "antd";
import { lengthIn, lengthUnit, metresOf } from "@/core/units";
import { usePreferences } from "./preferences-context";
import { preferencesWords } from "@/ui/words";

interface LengthFieldProps {
  readonly label: string;
  /** In metres; null: not known. */
  readonly value: number | null;
  readonly onChange: (metres: number | null) => void;
  readonly placeholder?: string;
}

/** A length in the units of the firm, kept in metres. */
export function LengthField({ label, value, onChange, placeholder }: LengthFieldProps) {
  const { units } = usePreferences();
  return (
    <InputNumber
      value={value === null ? null : lengthIn(value, units)}
      min={units === "metric" ? 0.1 : 0.4}
      max={lengthIn(1000, units)}
      step={units === "metric" ? 0.5 : 1}
      suffix={lengthUnit(units)}
      placeholder={placeholder ?? ""}
      onChange={(typed) => onChange(typed === null ? null : metresOf(typed, units))}
      aria-label={units === "metric" ? preferencesWords.inMetres(label) : preferencesWords.inFeet(label)}
    />
  );
}
