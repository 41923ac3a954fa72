"use client";

import dynamic from "next/dynamic";
import { useState } from "react";
import styles from "./cord-legend.module.css";
import { kitWords } from "@/ui/words";

const LegendDialog = dynamic(() => import("./legend-dialog").then((module) => module.LegendDialog), { ssr: false });

/** Opens the one explanation of the strings. */
export function LegendButton() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className={styles.open} onClick={() => setOpen(true)}>
        {kitWords.howToReadTheStrings}
      </button>
      {open ? <LegendDialog onClose={() => setOpen(false)} /> : null}
    </>
  );
}
