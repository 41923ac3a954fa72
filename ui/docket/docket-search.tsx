"use client";

import { Input } from "antd";
import type { InputRef } from "antd";
import { Search } from "lucide-react";
import { useEffect, useRef } from "react";
import { PHASES, type Phase } from "@/core/job";
import styles from "./docket.module.css";

const PAUSE_MS = 150;

interface DocketSearchProps {
  readonly q: string;
  readonly phase: Phase | null;
  readonly onSearch: (next: { q?: string; phase?: Phase | null }) => void;
}

/** Finds jobs while typing; "/" leads here from anywhere on the page. */
export function DocketSearch({ q, phase, onSearch }: DocketSearchProps) {
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
        aria-label="Find a job by name, customer, device or note"
        placeholder="Find by name, customer, device or note"
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
    </search>
  );
}
