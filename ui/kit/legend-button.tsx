"use client";

import { Modal } from "antd";
import { useState } from "react";
import { CordLegend } from "./cord-legend";
import styles from "./cord-legend.module.css";
import { kitWords } from "@/ui/words";

/** Opens the one explanation of the strings. */
export function LegendButton() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className={styles.open} onClick={() => setOpen(true)}>
        {kitWords.howToReadTheStrings}
      </button>
      <Modal title={kitWords.howToReadTheStrings} open={open} onCancel={() => setOpen(false)} footer={null} width={640} destroyOnHidden>
        <CordLegend />
      </Modal>
    </>
  );
}
