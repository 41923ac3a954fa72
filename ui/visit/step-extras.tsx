"use client";

import { Button, Input, InputNumber } from "antd";
import { Camera, Undo2 } from "lucide-react";
import { useRef, useState } from "react";
import { ATTACHMENT_TYPES, MEASURED_UNITS, type VisitEntry } from "@/core/job";
import { Choice } from "@/ui/kit";
import { visitWords } from "@/ui/words";
import { holdPhoto } from "./photo-queue";
import styles from "./visit.module.css";

/** A note, a number and photos, as they are being written down at a step. */
export interface Extras {
  readonly note: string;
  readonly measured: VisitEntry["measured"];
  readonly photos: readonly string[];
  readonly set: (change: Partial<Pick<Extras, "note" | "measured" | "photos">>) => void;
}

export function useExtras(): Extras {
  const [extras, setExtras] = useState<Omit<Extras, "set">>({ note: "", measured: null, photos: [] });
  return { ...extras, set: (change) => setExtras((before) => ({ ...before, ...change })) };
}

const MOST_PHOTOS = 12;

/** Note, photo and measured number at a step; a photo waits on this device where there is no network. */
export function StepExtras({ jobId, device, about, extras }: { jobId: string; device: string | null; about: string; extras: Extras }) {
  const file = useRef<HTMLInputElement>(null);
  const { note, measured, photos, set } = extras;
  const take = async (given: File | undefined) => {
    if (!given || photos.length >= MOST_PHOTOS) return;
    const id = await holdPhoto({ job: jobId, name: given.name || "photo", device, blob: given });
    set({ photos: [...photos, id] });
  };
  return (
    <>
      <Input
        aria-label={visitWords.note}
        placeholder={visitWords.notePlaceholder}
        value={note}
        maxLength={2000}
        size="large"
        onChange={(event) => set({ note: event.target.value })}
      />
      <div className={styles.extras}>
        <input
          ref={file}
          type="file"
          accept={ATTACHMENT_TYPES.join(",")}
          capture="environment"
          hidden
          aria-label={visitWords.photoOf(about)}
          onChange={(event) => void take(event.target.files?.[0]).finally(() => (event.target.value = ""))}
          data-testid="step-photo"
        />
        <Button icon={<Camera size={18} aria-hidden />} onClick={() => file.current?.click()} disabled={photos.length >= MOST_PHOTOS}>
          {photos.length ? visitWords.photosTaken(photos.length) : visitWords.photo}
        </Button>
        {photos.length ? (
          <Button
            icon={<Undo2 size={18} aria-hidden />}
            aria-label={visitWords.removeLast}
            onClick={() => set({ photos: photos.slice(0, -1) })}
          />
        ) : null}
        <InputNumber
          aria-label={visitWords.number}
          placeholder={visitWords.numberPlaceholder}
          size="large"
          inputMode="decimal"
          value={measured?.value ?? null}
          onChange={(value) => set({ measured: value === null ? null : { value, unit: measured?.unit ?? "s" } })}
        />
        <Choice
          label={visitWords.numberUnit}
          size="large"
          value={measured?.unit ?? "s"}
          options={MEASURED_UNITS.map((unit) => ({ value: unit, label: unit }))}
          onChange={(unit) => set({ measured: measured && { ...measured, unit } })}
        />
      </div>
    </>
  );
}
