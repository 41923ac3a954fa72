"use client";

import { Button, Drawer, Input } from "antd";
import { useState } from "react";
import type { Device } from "@/core/device";
import { applyCommand, emptyJob, type Command } from "@/core/job";
import { refusalSentence } from "@/core/text";
import { DeviceFacts, EdidPanel } from "@/ui/device";
import type { OwnDevice } from "./own-devices";
import styles from "./shelf.module.css";
import { shelfWords } from "@/ui/words";

interface EditOwnProps {
  readonly own: OwnDevice;
  readonly onKeep: (device: Device) => void;
  readonly onLeave: () => void;
}

/** Corrects a device of one's own on the shelf; jobs keep the copy they have. */
export function EditOwn({ own, onKeep, onLeave }: EditOwnProps) {
  const [device, setDevice] = useState(own.device);
  const [trouble, setTrouble] = useState<string | null>(null);
  // The device alone in a room of its own: the same edits, with the same rules, as in a job.
  const onEdit = (command: Command) => {
    const room = { ...emptyJob("shelf"), devices: [device] };
    const applied = applyCommand(room, command);
    setTrouble(applied.ok ? null : refusalSentence(room, applied.refusal));
    const [changed] = applied.ok ? applied.value.job.devices : [];
    if (changed) setDevice(changed);
  };
  return (
    <Drawer
      title={shelfWords.correct(own.device.name)}
      open
      onClose={onLeave}
      size={520}
      extra={
        <Button type="primary" onClick={() => onKeep(device)}>
          {shelfWords.keep}
        </Button>
      }
    >
      <div className={styles.editing}>
        <label>
          {shelfWords.name}
          <Input
            value={device.name}
            maxLength={300}
            onChange={(event) => onEdit({ kind: "rename-device", device: device.id, name: event.target.value })}
          />
        </label>
        <p aria-live="assertive">{trouble}</p>
        <DeviceFacts device={device} onEdit={onEdit} />
        <h3>{shelfWords.edid}</h3>
        <EdidPanel device={device} onEdit={onEdit} />
      </div>
    </Drawer>
  );
}
