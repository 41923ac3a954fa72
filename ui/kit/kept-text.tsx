"use client";

import { Input, type InputProps } from "antd";
import { useEffect, useEffectEvent, useState } from "react";

interface KeptTextProps {
  readonly label: string;
  readonly value: string;
  readonly limit: number;
  /** Told when the text is left, Enter is pressed, or nothing was typed for a moment; false where it was refused, and once it is left the field shows what stands. */
  readonly onKeep: (text: string) => boolean | void;
  /** More than one line. */
  readonly rows?: number;
  readonly placeholder?: string;
  readonly size?: InputProps["size"];
  readonly className?: string | undefined;
}

/** So long a pause in typing keeps what is written so far: a window that is closed then loses nothing. */
const PAUSE_MS = 1500;

/** A text that becomes an edit when it is left or typing pauses, and not with every letter. What another window makes of it shows at once. */
export function KeptText({ label, value, limit, onKeep, rows, placeholder = "", size, className = "" }: KeptTextProps) {
  const [draft, setDraft] = useState({ of: value, text: value });
  const text = draft.of === value ? draft.text : value;
  const keepSoFar = useEffectEvent(() => {
    // Blanks at an end are often followed by a word.
    if (text !== value && text === text.trim()) onKeep(text);
  });
  useEffect(() => {
    if (draft.text === value) return;
    const pause = setTimeout(() => keepSoFar(), PAUSE_MS);
    return () => clearTimeout(pause);
  }, [draft.text, value]);
  const shared = {
    "aria-label": label,
    value: text,
    maxLength: limit,
    placeholder,
    title: text || placeholder || label,
    className,
    onChange: (event: { target: { value: string } }) => setDraft({ of: value, text: event.target.value }),
    onBlur: () => {
      if (text !== value && onKeep(text) === false) setDraft({ of: value, text: value });
    },
  };
  if (rows) return <Input.TextArea {...shared} autoSize={{ minRows: rows, maxRows: rows + 4 }} />;
  return <Input {...shared} {...(size ? { size } : {})} onPressEnter={(event) => event.currentTarget.blur()} />;
}
