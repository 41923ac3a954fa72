import { act, render, waitFor, type RenderResult } from "@testing-library/react";
import { userEvent, type UserEvent } from "@testing-library/user-event";
import { Suspense, type ReactNode } from "react";
import type { Job, VisitEntry } from "@/core/job";
import { defaultPreferences } from "@/core/preferences";
import { JobProvider, useJob } from "@/ui/job";
import { PreferencesProvider } from "@/ui/preferences";
import { given } from "./given";

const LOADING = "Fetched late";

/** A place of a job as its page shows it, and a person in front of it. */
export interface OpenPlace extends RenderResult {
  readonly user: UserEvent;
  /** The job as it is after what was done on the page. */
  readonly job: () => Job;
}

/**
 * Opens a place of a job as its page does, and waits for what is fetched late.
 * @param search what is chosen there, as its address has it
 * @param entries what was recorded of the visit before
 */
export async function openPlace(
  place: ReactNode,
  job: Job,
  { search = "", entries = [] }: { readonly search?: string; readonly entries?: readonly VisitEntry[] } = {},
): Promise<OpenPlace> {
  given.search = search;
  given.entries = entries;
  let now = job;
  function Watched() {
    now = useJob((state) => state.job);
    return null;
  }
  const shown = await act(async () =>
    render(
      <PreferencesProvider initial={defaultPreferences()}>
        <JobProvider initial={{ id: "one", job, revision: 1, updatedAt: "2026-11-29T09:00:00.000Z" }}>
          <Watched />
          <Suspense fallback={<p>{LOADING}</p>}>{place}</Suspense>
        </JobProvider>
      </PreferencesProvider>,
    ),
  );
  await waitFor(() => {
    if (shown.queryByText(LOADING)) throw new Error("still loading");
  });
  return { ...shown, user: userEvent.setup(), job: () => now };
}
