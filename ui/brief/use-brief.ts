"use client";

import type { Brief } from "@/core/job";
import { useIntents, useJob } from "@/ui/job";

/** The brief of the open job, and the edit of some of its answers. */
export function useBrief(): { readonly brief: Brief; readonly set: (fields: Partial<Brief>) => void } {
  const brief = useJob((state) => state.job.brief);
  const { edit } = useIntents();
  return { brief, set: (fields) => void edit({ kind: "edit-brief", fields }) };
}
