"use client";

import { Input } from "antd";
import { useState } from "react";

interface KeptTextProps {
  readonly label: string;
  readonly value: string;
  readonly limit: number;
  readonly onKeep: (text: string) => void;
  readonly rows?: number;
}

/** A text that becomes an edit when it is left, and not with every letter. */
export function KeptText({ label, value, limit, onKeep, rows }: KeptTextProps) {
  const [draft, setDraft] = useState<{ of: string; text: string }>({ of: value, text: value });
  const text = draft.of === value ? draft.text : value;
  const shared = {
    "aria-label": label,
    value: text,
    maxLength: limit,
    onChange: (event: { target: { value: string } }) => setDraft({ of: value, text: event.target.value }),
    onBlur: () => {
      if (text !== value) onKeep(text);
    },
  };
  return rows ? <Input.TextArea {...shared} rows={rows} /> : <Input {...shared} onPressEnter={(event) => event.currentTarget.blur()} />;
}
