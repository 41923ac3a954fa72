"use client";

import { Input, type InputProps } from "antd";
import { useState } from "react";

interface KeptTextProps {
  readonly label: string;
  readonly value: string;
  readonly limit: number;
  /** Told once, when the text is left or Enter is pressed; false where it was refused, and the field then shows what stands. */
  readonly onKeep: (text: string) => boolean | void;
  /** More than one line. */
  readonly rows?: number;
  readonly placeholder?: string;
  readonly size?: InputProps["size"];
  readonly className?: string | undefined;
}

/** A text that becomes an edit when it is left, and not with every letter. What another window makes of it shows at once. */
export function KeptText({ label, value, limit, onKeep, rows, placeholder = "", size, className = "" }: KeptTextProps) {
  const [draft, setDraft] = useState({ of: value, text: value });
  const text = draft.of === value ? draft.text : value;
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
