"use client";

import { useSearchParams } from "next/navigation";
import { useCallback } from "react";

/**
 * What is chosen on a place, kept in its address: a link leads back to it, and the way back leads to the place before,
 * not through everything that was chosen here.
 */
export function useChosen(name: string): readonly [string | null, (value: string | null) => void] {
  const params = useSearchParams();
  const choose = useCallback(
    (value: string | null) => {
      const next = new URLSearchParams(window.location.search);
      if (value === null) next.delete(name);
      else next.set(name, value);
      window.history.replaceState(null, "", next.size ? `?${next.toString()}` : window.location.pathname);
    },
    [name],
  );
  return [params.get(name), choose];
}
