"use client";

import type { Arrival } from "@/core/chain";
import { findDevice, type Job } from "@/core/job";
import { codingName, deviceName } from "@/core/text";
import { useIntents } from "@/ui/job";
import { KeptText } from "@/ui/kit";
import { visitWords } from "@/ui/words";

/** What the display of the sound system says in its own words: written down once, it is predicted from then on. */
export function DisplayWords({ job, row }: { job: Job; row: Arrival }) {
  const { edit } = useIntents();
  const { arrives, system } = row;
  const device = system === null ? undefined : findDevice(job, system);
  if (!arrives || !device) return null;
  const { coding } = arrives;
  const others = device.displayWords.filter((one) => one.coding !== coding);
  const keep = (words: string) =>
    edit({ kind: "edit-device", device: device.id, fields: { displayWords: words.trim() ? [...others, { coding, words }] : others } });
  return (
    <KeptText
      key={`${device.id} ${coding}`}
      label={visitWords.displayOf(deviceName(job, device.id), codingName(coding))}
      placeholder={visitWords.displayPlaceholder}
      value={device.displayWords.find((one) => one.coding === coding)?.words ?? ""}
      limit={60}
      onKeep={keep}
    />
  );
}
