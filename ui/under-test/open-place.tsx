import { act, render, waitFor, type RenderResult } from "@testing-library/react";
import { userEvent, type UserEvent } from "@testing-library/user-event";
import { Suspense, type ReactNode } from "react";
import type { Job, VisitEntry } from "@/core/job";
import { defaultPreferences } from "@/core/preferences";
import { JobProvider, useJob } from "@/ui/job";
import { PreferencesProvider } from "@/ui/preferences";
import { ThemeProvider } from "@/ui/theme";
import { given } from "./given";

const LOADING = "Fetched late";

/** A page as it is shown, and a person in front of it. */
export interface OpenPage extends RenderResult {
  readonly user: UserEvent;
}

export interface OpenPlace extends OpenPage {
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
  const shown = await opened(
    <JobProvider initial={{ id: "one", job, revision: 1, updatedAt: "2026-11-29T09:00:00.000Z" }}>
      <Watched />
      {place}
    </JobProvider>,
  );
  return { ...shown, job: () => now };
}

/** Opens a page that stands beside the jobs. */
export async function openPage(page: ReactNode, search = ""): Promise<OpenPage> {
  given.search = search;
  return opened(page);
}

async function opened(page: ReactNode): Promise<OpenPage> {
  const shown = await act(async () =>
    render(
      <ThemeProvider initial="day" chosen="day">
        <PreferencesProvider initial={defaultPreferences()}>
          <Suspense fallback={<p>{LOADING}</p>}>{page}</Suspense>
        </PreferencesProvider>
      </ThemeProvider>,
    ),
  );
  await waitFor(() => {
    if (shown.queryByText(LOADING)) throw new Error("still loading");
  });
  return { ...shown, user: userEvent.setup() };
}
