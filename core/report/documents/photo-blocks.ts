import type { Attachment, Job } from "@/core/job";
import type { PrintBlock } from "@/core/paper";
import { deviceName, recordWords } from "@/core/text";
import { heading } from "./pieces";

/** A photo with its bytes as a data address. */
export interface PrintedPhoto {
  readonly photo: Attachment;
  /** Null: of a kind that paper cannot show, or gone. */
  readonly data: string | null;
}

/** Every photo with its name and the device that it shows. */
export const photoBlocks = (job: Job, photos: readonly PrintedPhoto[]): readonly PrintBlock[] =>
  photos.length
    ? [
        heading(2, recordWords.photos),
        ...photos.map(({ photo, data }): PrintBlock => {
          const words = [photo.name, photo.device === null ? "" : deviceName(job, photo.device)].filter(Boolean).join(", ");
          return data === null ? { block: "text", words: recordWords.photoLeftOut(words) } : { block: "picture", data, words };
        }),
      ]
    : [];
