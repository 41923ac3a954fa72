"use client";

import { Modal } from "antd";
import styles from "./job-frame.module.css";
import { PLACES } from "./places";

const KEYS: readonly (readonly [string, string])[] = [
  ...PLACES.flatMap(({ places }) => places.map((place) => [place.key, `go to ${place.name}`] as const)),
  ["A", "add a device, on Gear"],
  ["W", "write down the plugs, on Gear"],
  ["Ctrl K", "find a job, place, device, row, cable or act"],
  ["Ctrl Z", "undo"],
  ["Ctrl Shift Z", "redo"],
  ["↑ ↓", "another row, on Arrivals"],
  ["Tab, Enter", "choose a socket, on Patch; then pick the other end from the list"],
  ["/", "find a job, on the Docket"],
  ["?", "this sheet"],
];

export function ShortcutSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal title="Keys" open={open} onCancel={onClose} footer={null} destroyOnHidden>
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
