"use client";

import { Button } from "antd";
import { Camera, Trash2 } from "lucide-react";
import { useRef, useState } from "react";
import { z } from "zod";
import type { Device } from "@/core/device";
import { Attachment, MAX_ATTACHMENT_BYTES } from "@/core/job";
import { askServer } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import styles from "./device-story.module.css";
import { gearWords } from "@/ui/words";

/** Photos of a back plate: kept with the job, and exported with it. */
export function PhotosTab({ device }: { device: Device }) {
  const id = useJob((state) => state.id);
  const photos = useJob((state) => state.job.attachments).filter((row) => row.device === device.id);
  const { edit } = useIntents();
  const [told, setTold] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const take = async (given: File | undefined) => {
    if (!given) return;
    if (given.size > MAX_ATTACHMENT_BYTES)
      return setTold(gearWords.photoTooLarge(given.name, (given.size / 1048576).toFixed(1), MAX_ATTACHMENT_BYTES / 1048576));
    setTold(gearWords.keeping(given.name));
    const query = new URLSearchParams({ name: given.name.slice(0, 200), device: device.id });
    const outcome = await askServer(`/api/jobs/${id}/photos?${query.toString()}`, { method: "POST", body: given });
    const attachment = outcome.ok ? Attachment.safeParse(outcome.value) : null;
    if (attachment?.success && edit({ kind: "attach", attachment: attachment.data, at: null })) setTold(null);
    else setTold(outcome.ok ? gearWords.photoNotTaken : `${given.name}: ${outcome.refusal}`);
  };
  return (
    <div
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        event.stopPropagation();
        void take(event.dataTransfer.files[0]);
      }}
      className={styles.photos}
    >
      <input
        ref={file}
        type="file"
        accept={z.enum(Attachment.shape.type.options).options.join(",")}
        hidden
        data-testid="photo-file"
        onChange={(event) => void take(event.target.files?.[0]).finally(() => (event.target.value = ""))}
      />
      <Button size="small" icon={<Camera size={14} aria-hidden />} onClick={() => file.current?.click()}>
        {gearWords.addAPhoto}
      </Button>
      <p aria-live="polite">{told}</p>
      {photos.length === 0 ? <p className={styles.quiet}>{gearWords.photoWords}</p> : null}
      <ul>
        {photos.map((photo) => (
          <li key={photo.id}>
            <a href={`/api/jobs/${id}/photos/${photo.id}`} target="_blank" rel="noreferrer">
              {/* The picture is the job's own and of unknown size; it needs no optimiser. */}
              {/* eslint-disable-next-line @next/next/no-img-element */}
              <img src={`/api/jobs/${id}/photos/${photo.id}`} alt={gearWords.backOf(photo.name, device.name)} loading="lazy" />
            </a>
            <span dir="auto">{photo.name}</span>
            <Button
              type="text"
              size="small"
              icon={<Trash2 size={14} aria-hidden />}
              aria-label={gearWords.removePhoto(photo.name)}
              onClick={() => edit({ kind: "detach", attachment: photo.id })}
            />
          </li>
        ))}
      </ul>
    </div>
  );
}
