import type { SheetLanguage } from "@/core/job";
import type { Paper } from "@/core/drawing";
import { atHand } from "@/core/plan";
import { freeCounts } from "@/core/stock";
import type { Outcome } from "@/core/outcome";
import type { PrintKind } from "@/print";
import { findPhoto } from "./attachment-store";
import type { Database } from "./database";
import type { StoredJob } from "./job-repository";
import { preferences } from "./preferences-service";
import { jobParts, stockItems } from "./stock-service";
import { ask, type AskRefusal } from "./threads/ask";
import { firmFaults, withRecord } from "./visit-service";

export interface PrintWish {
  readonly print: PrintKind;
  readonly paper: Paper;
  /** Null: the language that the job chose. */
  readonly language: SheetLanguage | null;
  /** As YYYY-MM-DD. */
  readonly day: string;
}

/** A document of a stored job on paper, or its package, worked out beside the server. */
export async function printJob(db: Database, stored: StoredJob, wish: PrintWish): Promise<Outcome<Uint8Array, AskRefusal>> {
  const job = await withRecord(db, stored);
  const photos = [];
  if (wish.print === "record" || wish.print === "package")
    for (const photo of job.attachments) {
      const found = await findPhoto(db, stored.id, photo.id);
      if (found) photos.push({ photo, bytes: found.bytes });
    }
  const { units, firm } = await preferences(db);
  const source = {
    firm,
    units,
    paper: wish.paper,
    day: wish.day,
    language: wish.language ?? job.handover.language,
    faults: await firmFaults(db, stored.id),
    photos,
  };
  const items = wish.print === "plans" ? await stockItems(db) : [];
  const own = wish.print === "plans" ? { atHand: atHand(job, items, freeCounts(items, await jobParts(db))) } : {};
  return (await ask({ ask: "print", order: { print: wish.print, job, source, ...own } })) as Outcome<Uint8Array, AskRefusal>;
}
