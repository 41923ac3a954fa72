"use client";

import { useCallback, useRef, useState } from "react";
import type { Phase } from "@/core/job";
import type { DocketLine } from "@/core/report";
import { askServer } from "@/ui/kit";

export interface DocketQuery {
  readonly q: string;
  readonly phase: Phase | null;
  readonly bin: boolean;
}

export interface Docket {
  readonly jobs: readonly DocketLine[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** The address of a page of the docket on the server. */
const pageUrl = ({ q, phase, bin }: DocketQuery, page: number): string =>
  `/api/jobs?${new URLSearchParams({ ...(q ? { q } : {}), ...(phase ? { phase } : {}), ...(bin ? { bin: "1" } : {}), page: String(page) }).toString()}`;

/** Lines by their place in the whole docket; those not looked at yet are fetched, a page at a time, when they are asked for. */
export function useDocketLines(
  first: Docket,
  query: DocketQuery,
): { lineAt: (index: number) => DocketLine | null; need: (from: number, to: number) => void } {
  const [pages, setPages] = useState<{ first: Docket; lines: ReadonlyMap<number, readonly DocketLine[]> }>({ first, lines: new Map() });
  const asked = useRef<{ first: Docket; pages: Set<number> }>({ first, pages: new Set([1]) });
  const known = pages.first === first ? pages.lines : null;
  const lineAt = useCallback(
    (index: number): DocketLine | null => {
      const page = Math.floor(index / first.pageSize) + 1;
      const lines = page === 1 ? first.jobs : known?.get(page);
      return lines?.[index % first.pageSize] ?? null;
    },
    [first, known],
  );
  const need = useCallback(
    (from: number, to: number) => {
      if (asked.current.first !== first) asked.current = { first, pages: new Set([1]) };
      for (let page = Math.floor(from / first.pageSize) + 1; page <= Math.floor(to / first.pageSize) + 1; page += 1) {
        if (asked.current.pages.has(page)) continue;
        asked.current.pages.add(page);
        const wanted = page;
        const fetchIt = async () => {
          const answer = await askServer(pageUrl(query, wanted), {});
          if (!answer.ok) {
            asked.current.pages.delete(wanted);
            return;
          }
          const { jobs } = answer.value as Docket;
          setPages((before) => ({ first, lines: new Map([...(before.first === first ? before.lines : []), [wanted, jobs]]) }));
        };
        void fetchIt();
      }
    },
    [first, query],
  );
  return { lineAt, need };
}
