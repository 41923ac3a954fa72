"use client";

import { useEffect, useState } from "react";
import { useJob } from "@/ui/job";
import { downloadFrom } from "@/ui/kit";
import type { Visit } from "@/ui/visit";

/** Downloads the package of a job once the server has everything that was done here, so that it is whole. */
export function usePackWhenKept(jobId: string, { record }: Visit): () => void {
  const [isWanted, setWanted] = useState(false);
  const isKept = useJob(({ unsaved, save }) => unsaved.length === 0 && save.kind === "saved") && record.unsent.length === 0;
  useEffect(() => {
    if (!isWanted || !isKept) return;
    downloadFrom(`/api/jobs/${jobId}/print?as=package`);
    const done = setTimeout(() => setWanted(false));
    return () => clearTimeout(done);
  }, [isWanted, isKept, jobId]);
  return () => setWanted(true);
}
