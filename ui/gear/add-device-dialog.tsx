"use client";

import { Modal } from "antd";
import { fromShelfOrThrow, SHELF } from "@/core/device";
import { freeId, freeName, replaceDevice } from "@/core/job";
import { deviceName } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { PickList } from "@/ui/kit";

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
  const old = job.devices.find(({ id }) => id === replacing);
  const rows = SHELF.filter((row) => !old || row.role === old.role);

  const take = (archetype: string) => {
    const row = rows.find((one) => one.archetype === archetype);
    if (!row) return;
    const others = job.devices.filter(({ id }) => id !== replacing);
    const id = replacing ?? freeId(row.archetype, new Set(others.map((device) => device.id)));
    const device = fromShelfOrThrow(archetype, { id, name: freeName(old?.name ?? row.name, new Set(others.map(({ name }) => name))) });
    if (edit(replacing ? replaceDevice(job, replacing, device) : { kind: "add-device", device, at: null })) onAdded(id);
    onClose();
  };
  return (
    <Modal
      title={replacing ? `What takes the place of ${deviceName(job, replacing)}?` : "Add a device from the shelf"}
      open={open}
      onCancel={onClose}
      footer={null}
      width={620}
      destroyOnHidden
    >
      <PickList
        label="Find on the shelf"
        listLabel="Shelf"
        placeholder="streamer, bar, eARC, projector …"
        rows={rows.map(({ archetype, name, summary }) => ({ key: archetype, name, detail: summary }))}
        nothing="Nothing on the shelf answers to that."
        onPick={take}
      />
    </Modal>
  );
}
