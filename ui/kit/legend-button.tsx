"use client";

import { Modal } from "antd";
import { useState } from "react";
import { CordLegend } from "./cord-legend";
import styles from "./cord-legend.module.css";

/** Opens the one explanation of the strings. */
export function LegendButton() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className={styles.open} onClick={() => setOpen(true)}>
        How to read the strings
      </button>
      <Modal title="How to read the strings" open={open} onCancel={() => setOpen(false)} footer={null} width={640} destroyOnHidden>
        <CordLegend />
      </Modal>
    </>
  );
}
