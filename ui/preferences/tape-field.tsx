"use client";

import { Input } from "antd";
import { useState } from "react";
import { lengthIn, lengthUnit, readLength } from "@/core/units";
import { preferencesWords } from "@/ui/words";
import { usePreferences } from "./preferences-context";

interface TapeFieldProps {
  readonly label: string;
  /** In metres; null: not measured. */
  readonly value: number | null;
  readonly min?: number;
  readonly max?: number;
  /** Null where the field was emptied. */
  readonly onKeep: (metres: number | null) => void;
  /** It may be emptied. */
  readonly clearable?: boolean;
  /** Told after Enter, once the value is kept. */
  readonly onEnter?: () => void;
  readonly id?: string;
}

/** A length as a tape or laser shows it: metres, centimetres, or feet and inches with fractions. What is no length stays in sight, marked. */
export function TapeField({ label, value, min = 0, max = 100, onKeep, clearable = false, onEnter, id }: TapeFieldProps) {
  const { units } = usePreferences();
  const shown = value === null ? "" : String(lengthIn(value, units));
  const [draft, setDraft] = useState({ of: shown, text: shown });
  const text = draft.of === shown ? draft.text : shown;
  const read = readLength(text, units);
  const isEmpty = text.trim() === "";
  const isGood = isEmpty ? clearable || value === null : read !== null && read >= min && read <= max;
  const keep = (): boolean => {
    if (text === shown) return true;
    if (!isGood) return false;
    onKeep(isEmpty ? null : read);
    return true;
  };
  return (
    <Input
      {...(id ? { id } : {})}
      aria-label={label}
      aria-invalid={!isGood}
      status={isGood ? "" : "error"}
      title={isGood ? label : preferencesWords.aLengthBetween(lengthIn(min, units), lengthIn(max, units), lengthUnit(units))}
      value={text}
      size="small"
      inputMode={units === "metric" ? "decimal" : "text"}
      suffix={lengthUnit(units)}
      onChange={(event) => setDraft({ of: shown, text: event.target.value })}
      onBlur={() => {
        if (!keep()) setDraft({ of: shown, text: shown });
      }}
      onPressEnter={() => {
        if (keep()) onEnter?.();
      }}
      onFocus={(event) => event.currentTarget.select()}
    />
  );
}
