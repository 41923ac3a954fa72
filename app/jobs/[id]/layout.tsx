import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { cache, type ReactNode } from "react";
import { database, findJob } from "@/server";
import { JobFrame, JobProvider } from "@/ui/job";

interface Props {
  readonly params: Promise<{ id: string }>;
}

const load = cache(async (id: string) => findJob(await database(), id));

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await load((await params).id);
  return { title: found?.job.name ?? "No such job" };
}

export default async function JobLayout({ params, children }: Props & { children: ReactNode }) {
  const found = await load((await params).id);
  if (!found) notFound();
  return (
    <JobProvider initial={found}>
      <JobFrame>{children}</JobFrame>
    </JobProvider>
  );
}
