"use client";

import { Search } from "lucide-react";
import dynamic from "next/dynamic";
import { useEffect, useState } from "react";
import type { FindEntry } from "./find-dialog";
import styles from "./frame.module.css";
import { frameWords } from "@/ui/words";

const load = () => import("./find-dialog").then((module) => module.FindDialog);
const FindDialog = dynamic(load, { ssr: false });

/** Opens the one field that finds everything; Ctrl K does so from anywhere. */
export function FindButton({ entries }: { entries: () => readonly FindEntry[] }) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      // The first of the two keys already fetches the field, so that it is there for the letters after the second.
      if (event.key === "Control" || event.key === "Meta") void load();
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "k") return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return (
    <>
      <button
        type="button"
        className={styles.find}
        onClick={() => setOpen(true)}
        onPointerEnter={() => void load()}
        onFocus={() => void load()}
        title={frameWords.findWithKeys}
      >
        <Search size={16} aria-hidden />
        {frameWords.find}
      </button>
      {open ? <FindDialog entries={entries()} onClose={() => setOpen(false)} /> : null}
    </>
  );
}
