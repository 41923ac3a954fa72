"use client";

import { Modal } from "antd";
import { fromShelfOrThrow, SHELF, type Device } from "@/core/device";
import { addDevice, freeId, freeName, replaceDevice } from "@/core/job";
import { withPresetContents } from "@/core/preferences";
import { deviceName } from "@/core/text";
import { Notice, useIntents, useJob } from "@/ui/job";
import { PickList } from "@/ui/kit";
import { usePreferences } from "@/ui/preferences";
import { useOwnDevices } from "@/ui/shelf";
import { gearWords } from "@/ui/words";

interface AddDeviceDialogProps {
  /** The device whose place the new one takes; null: it is added. */
  readonly replacing: string | null;
  readonly onClose: () => void;
  readonly onAdded: (id: string) => void;
}

/** The shelf, to pick a device from: type a word, arrows, Enter. */
export function AddDeviceDialog({ replacing, onClose, onAdded }: AddDeviceDialogProps) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const preferences = usePreferences();
  const old = job.devices.find(({ id }) => id === replacing);
  const own = useOwnDevices() ?? [];
  const fits = ({ role }: { readonly role: Device["role"] }) => !old || role === old.role;
  const rows = [
    ...own.filter(({ device }) => fits(device)).map(({ id, device }) => ({ key: id, name: device.name, detail: gearWords.yourOwn })),
    ...SHELF.filter(fits).map(({ archetype, name, summary }) => ({ key: archetype, name, detail: summary })),
  ];

  const take = (key: string) => {
    const others = job.devices.filter(({ id }) => id !== replacing);
    const ids = new Set(others.map((device) => device.id));
    const names = new Set(others.map(({ name }) => name));
    const kept = own.find(({ id }) => id === key)?.device;
    const stem = kept ? "device" : key;
    const id = replacing ?? freeId(stem, ids);
    const model = kept ?? fromShelfOrThrow(key, { id });
    const named = { ...model, id, name: freeName(old?.name ?? model.name, names), room: old?.room ?? null };
    // A device of one's own keeps what it was told to play; one from the shelf begins with what the firm usually finds.
    const device = kept ? named : withPresetContents(named, preferences);
    if (edit(replacing ? replaceDevice(job, replacing, device) : addDevice(job, device))) onAdded(id);
    onClose();
  };
  return (
    <Modal
      title={replacing ? gearWords.whatTakesThePlaceOf(deviceName(job, replacing)) : gearWords.addFromTheShelf}
      open
      onCancel={onClose}
      footer={null}
      width={620}
    >
      <Notice in="dialog" />
      <PickList
        label={gearWords.findOnTheShelf}
        listLabel={gearWords.shelf}
        placeholder={gearWords.findPlaceholder}
        rows={rows}
        nothing={gearWords.nothingAnswers}
        onPick={take}
      />
    </Modal>
  );
}
