import { useCallback, useState } from "react";
import { v4 as newId } from "uuid";
import { VisitEntry } from "@/core/job";
import type { Entered, Visit } from "@/ui/visit/use-visit";

/** What a test gives to the page that it opens. */
export const given: { search: string; entries: readonly VisitEntry[] } = { search: "", entries: [] };

const BEGUN_AT = Date.parse("2026-11-29T09:00:00.000Z");

/** The record of a visit that is given, with what is entered on the page, a minute apart. */
export function useGivenVisit(): Visit {
  const [entries, setEntries] = useState(given.entries);
  const enter = useCallback((entered: Entered) => {
    setEntries((before) => {
      const at = new Date(BEGUN_AT + before.length * 60_000).toISOString();
      return [...before, VisitEntry.parse({ ...entered, id: newId(), at, who: "" })];
    });
  }, []);
  return { record: { entries, unsent: [] }, isKnown: true, enter };
}
