import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { cache, type ReactNode } from "react";
import { troubleSentence } from "@/core/text";
import { DamagedDocument, damagedJob, database, findJob, type DamagedJob, type SavedJob } from "@/server";
import { DamagedPlace } from "@/ui/docket";
import { JobFrame, JobProvider } from "@/ui/job";
import { pagesWords } from "@/ui/words";

interface Props {
  readonly params: Promise<{ id: string }>;
}

const load = cache(async (id: string) => {
  const db = await database();
  try {
    return { found: await findJob(db, id), damaged: null };
  } catch (error) {
    if (error instanceof DamagedDocument) return { found: null, damaged: await damagedJob(db, id) };
    throw error;
  }
});

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { found, damaged } = await load((await params).id);
  return { title: found?.job.name ?? (damaged ? pagesWords.damagedJob : pagesWords.noSuchJob) };
}

export default async function JobLayout({ params, children }: Props & { children: ReactNode }) {
  const { found, damaged } = await load((await params).id);
  if (damaged) return <DamagedPlace {...damagedProps(damaged)} />;
  if (!found) notFound();
  return (
    <JobProvider initial={found}>
      <JobFrame>{children}</JobFrame>
    </JobProvider>
  );
}

function savedWords(from: SavedJob["from"]): string {
  switch (from.kind) {
    case "log":
      return pagesWords.savedFromLog;
    case "log-until":
      return pagesWords.savedFromLogUntil(from.revision);
    case "document":
      return pagesWords.savedFromParts;
  }
}

const damagedProps = ({ id, troubles, saved, text }: DamagedJob) => ({
  id,
  text,
  troubles: troubles.map(troubleSentence),
  saved: saved && savedWords(saved.from),
  leftOut: saved?.leftOut ?? [],
});
