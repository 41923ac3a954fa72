"use client";

import { Input } from "antd";
import type { InputRef } from "antd";
import { Search } from "lucide-react";
import { useEffect, useRef } from "react";
import { PHASES } from "@/core/job";
import styles from "./docket.module.css";
import type { DocketQuery } from "./use-docket-lines";
import { docketWords } from "@/ui/words";

const PAUSE_MS = 150;

interface DocketSearchProps extends DocketQuery {
  readonly onSearch: (next: Partial<DocketQuery>) => void;
}

/** Finds jobs while typing; "/" leads here from anywhere on the page. */
export function DocketSearch({ q, phase, bin, onSearch }: DocketSearchProps) {
  const input = useRef<InputRef>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== "/" || (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(event.target.tagName))) return;
      event.preventDefault();
      input.current?.focus({ cursor: "all" });
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  const typed = (text: string) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => onSearch({ q: text }), PAUSE_MS);
  };
  return (
    <search className={styles.search}>
      <Input
        ref={input}
        aria-label={docketWords.findAJob}
        placeholder={docketWords.findPlaceholder}
        defaultValue={q}
        maxLength={200}
        allowClear
        prefix={<Search size={16} aria-hidden />}
        suffix={<kbd>/</kbd>}
        onChange={(event) => typed(event.target.value)}
      />
      <select
        className="native-field"
        aria-label={docketWords.phase}
        value={phase ?? "all"}
        onChange={(event) => onSearch({ phase: PHASES.find((name) => name === event.target.value) ?? null })}
      >
        <option value="all">{docketWords.everyPhase}</option>
        {PHASES.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
      <select
        className="native-field"
        aria-label={docketWords.docketOrBin}
        value={bin ? "bin" : "docket"}
        onChange={(event) => onSearch({ bin: event.target.value === "bin" })}
      >
        <option value="docket">{docketWords.inTheDocket}</option>
        <option value="bin">{docketWords.inTheBin}</option>
      </select>
    </search>
  );
}
