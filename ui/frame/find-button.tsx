"use client";

import { Search } from "lucide-react";
import dynamic from "next/dynamic";
import { useEffect, useState } from "react";
import type { FindEntry } from "./find-dialog";
import styles from "./frame.module.css";

const FindDialog = dynamic(() => import("./find-dialog").then((module) => module.FindDialog), { ssr: false });

/** Opens the one field that finds everything; Ctrl K does so from anywhere. */
export function FindButton({ entries }: { entries: () => readonly FindEntry[] }) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "k") return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  return (
    <>
      <button type="button" className={styles.find} onClick={() => setOpen(true)} title="Find a job, place, device or act (Ctrl K)">
        <Search size={16} aria-hidden />
        Find
      </button>
      {open ? <FindDialog entries={entries()} onClose={() => setOpen(false)} /> : null}
    </>
  );
}
