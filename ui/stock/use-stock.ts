"use client";

import { useEffect, useState } from "react";
import { z } from "zod";
import { freeCounts, StockFields, type Reservation, type StockItem } from "@/core/stock";
import { askServer } from "@/ui/kit";

const Answer = z.object({
  items: z.array(StockFields.extend({ id: z.string() })),
  jobs: z.array(
    z.object({ id: z.string(), reserved: z.array(z.object({ need: z.unknown(), item: z.string() })), missing: z.array(z.unknown()) }),
  ),
});

/** The van as a job sees it: what is there, and what of it no other job has set aside. */
export interface Stock {
  readonly items: readonly StockItem[];
  readonly free: ReadonlyMap<string, number>;
}

/** The van's list; null while it is fetched, empty where the server is away. */
export function useStock(): Stock | null {
  const [stock, setStock] = useState<Stock | null>(null);
  useEffect(() => {
    let wanted = true;
    const fetchIt = async () => {
      const answer = await askServer("/api/stock", {});
      const read = answer.ok ? Answer.safeParse(answer.value) : null;
      if (!wanted) return;
      setStock(
        read?.success
          ? { items: read.data.items, free: freeCounts(read.data.items, read.data.jobs as unknown as readonly Reservation[]) }
          : { items: [], free: new Map() },
      );
    };
    void fetchIt();
    return () => {
      wanted = false;
    };
  }, []);
  return stock;
}
