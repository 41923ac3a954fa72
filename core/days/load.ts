/** A part that a visit wants, under the name that the van's list gives it. */
export interface LoadWanted {
  readonly job: string;
  readonly part: string;
  /** The van has it set aside for this visit. */
  readonly isReserved: boolean;
}

/** A line of the list to load by: so many of a part, how many of them the van does not have, and for which jobs. */
export interface LoadLine {
  readonly part: string;
  readonly count: number;
  readonly missing: number;
  readonly jobs: readonly string[];
}

/** What the van takes along for some visits, by the names of the parts; what is missing first. */
export function loadOf(wanted: readonly LoadWanted[]): readonly LoadLine[] {
  const lines = [...new Set(wanted.map(({ part }) => part))].map((part): LoadLine => {
    const own = wanted.filter((one) => one.part === part);
    return {
      part,
      count: own.length,
      missing: own.filter(({ isReserved }) => !isReserved).length,
      jobs: [...new Set(own.map(({ job }) => job))],
    };
  });
  return lines.toSorted((a, b) => b.missing - a.missing || a.part.localeCompare(b.part));
}
