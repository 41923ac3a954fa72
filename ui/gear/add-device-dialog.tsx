"use client";

import { Input, Modal } from "antd";
import { useState, type KeyboardEvent } from "react";
import { fromShelfOrThrow, SHELF, type Archetype } from "@/core/device";
import { freeId, replaceDevice } from "@/core/job";
import { deviceName } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import styles from "./gear.module.css";

interface AddDeviceDialogProps {
  readonly open: boolean;
  /** The device whose place the new one takes; null: it is added. */
  readonly replacing: string | null;
  readonly onClose: () => void;
  readonly onAdded: (id: string) => void;
}

/** The shelf, to pick a device from: type a word, arrows, Enter. */
export function AddDeviceDialog({ open, replacing, onClose, onAdded }: AddDeviceDialogProps) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const [words, setWords] = useState("");
  const [at, setAt] = useState(0);
  const role = job.devices.find(({ id }) => id === replacing)?.role;
  const found = matching(words).filter((row) => !role || row.role === role);
  const marked = Math.min(at, Math.max(0, found.length - 1));

  const take = (row: Archetype | undefined) => {
    if (!row) return;
    const taken = new Set(job.devices.map(({ id }) => id));
    const id = replacing ?? freeId(row.archetype, taken);
    const name = freeName(
      replacing ? deviceName(job, replacing) : row.name,
      job.devices.filter((device) => device.id !== replacing).map((device) => device.name),
    );
    const device = fromShelfOrThrow(row.archetype, { id, name });
    const made = edit(replacing ? replaceDevice(job, replacing, device) : { kind: "add-device", device, at: null });
    if (made) onAdded(id);
    onClose();
  };
  const onKey = (event: KeyboardEvent) => {
    const step = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    if (step) {
      event.preventDefault();
      setAt((marked + step + found.length) % Math.max(1, found.length));
    } else if (event.key === "Enter") {
      event.preventDefault();
      take(found[marked]);
    }
  };
  return (
    <Modal
      title={replacing ? `What takes the place of ${deviceName(job, replacing)}?` : "Add a device from the shelf"}
      open={open}
      onCancel={onClose}
      footer={null}
      width={680}
      destroyOnHidden
      afterClose={() => (setWords(""), setAt(0))}
    >
      <Input
        autoFocus
        role="combobox"
        aria-expanded
        aria-controls="shelf-rows"
        aria-activedescendant={found[marked] ? `shelf-${found[marked].archetype}` : undefined}
        aria-label="Find on the shelf"
        placeholder="streamer, bar, eARC, projector …"
        value={words}
        onChange={(event) => (setWords(event.target.value), setAt(0))}
        onKeyDown={onKey}
      />
      <ul id="shelf-rows" role="listbox" aria-label="Shelf" className={styles.shelf}>
        {found.map((row, index) => (
          <li
            key={row.archetype}
            id={`shelf-${row.archetype}`}
            role="option"
            aria-selected={index === marked}
            className={index === marked ? styles.shelfRowMarked : styles.shelfRow}
            onClick={() => take(row)}
            onMouseMove={() => setAt(index)}
          >
            <b>{row.name}</b>
            <span>{row.summary}</span>
          </li>
        ))}
      </ul>
      {found.length === 0 ? <p>Nothing on the shelf answers to that.</p> : null}
    </Modal>
  );
}

function matching(words: string): readonly Archetype[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return SHELF.filter((row) => wanted.every((word) => `${row.name} ${row.summary} ${row.archetype}`.toLowerCase().includes(word)));
}

function freeName(name: string, taken: readonly string[]): string {
  if (!taken.includes(name)) return name;
  let n = 2;
  while (taken.includes(`${name} ${n}`)) n += 1;
  return `${name} ${n}`;
}
