"use client";

import { useEffect, useMemo, useState } from "react";
import type { Findable } from "@/core/search";

/** Searching is fetched when a list first opens: no page carries it that opens none. */
export const fetchSearch = () => import("@/core/search");

/** What finds among the rows by typed words; null until searching is there. */
export function useFinder<Row extends Findable>(rows: readonly Row[]): ((typed: string) => readonly Row[]) | null {
  const [search, setSearch] = useState<Awaited<ReturnType<typeof fetchSearch>> | null>(null);
  useEffect(() => {
    void fetchSearch().then(setSearch);
  }, []);
  return useMemo(() => search?.makeFinder(rows) ?? null, [search, rows]);
}
