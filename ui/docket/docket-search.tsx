"use client";

import { Input } from "antd";
import type { InputRef } from "antd";
import { Search } from "lucide-react";
import { useEffect, useRef } from "react";
import { PHASES } from "@/core/job";
import styles from "./docket.module.css";
import type { DocketQuery } from "./use-docket-lines";

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
        aria-label="Find a job by anything typed in it"
        placeholder="Find by anything typed in a job"
        defaultValue={q}
        maxLength={200}
        allowClear
        prefix={<Search size={16} aria-hidden />}
        suffix={<kbd>/</kbd>}
        onChange={(event) => typed(event.target.value)}
      />
      <select
        aria-label="Phase"
        value={phase ?? "all"}
        onChange={(event) => onSearch({ phase: PHASES.find((name) => name === event.target.value) ?? null })}
      >
        <option value="all">every phase</option>
        {PHASES.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
      <select
        aria-label="Docket or bin"
        value={bin ? "bin" : "docket"}
        onChange={(event) => onSearch({ bin: event.target.value === "bin" })}
      >
        <option value="docket">in the docket</option>
        <option value="bin">in the bin</option>
      </select>
    </search>
  );
}
