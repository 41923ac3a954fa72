"use client";

import { Modal } from "antd";
import styles from "./job-frame.module.css";
import { PLACES } from "./places";
import { jobWords } from "@/ui/words";

const KEYS: readonly (readonly [string, string])[] = [
  ...PLACES.flatMap(({ places }) => places.map((place) => [place.key, jobWords.goTo(place.name)] as const)),
  ["A", jobWords.addADeviceOnGear],
  ["W", jobWords.writeDownThePlugs],
  ["Ctrl K", jobWords.findAnything],
  ["Ctrl Z", "undo"],
  ["Ctrl Shift Z", "redo"],
  ["↑ ↓", jobWords.anotherRowOnArrivals],
  [jobWords.tabEnter, jobWords.chooseASocket],
  ["/", jobWords.findAJob],
  ["?", jobWords.thisSheet],
];

export function ShortcutSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal title={jobWords.keys} open={open} onCancel={onClose} footer={null} destroyOnHidden>
      <dl className={styles.keys}>
        {KEYS.map(([keys, words]) => (
          <div key={keys}>
            <dt>
              <kbd>{keys}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
