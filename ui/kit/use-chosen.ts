"use client";

import { useSearchParams } from "next/navigation";
import { useCallback, useState } from "react";

/**
 * What is chosen on a place, kept in its address: a link leads back to it, and the way back leads to the place before,
 * not through everything that was chosen here. The choice shows at once; the address follows.
 */
export function useChosen(name: string): readonly [string | null, (value: string | null) => void] {
  const address = useSearchParams().get(name);
  const [chosen, setChosen] = useState({ address, value: address });
  // A link to the same place with another choice in it.
  const value = chosen.address === address ? chosen.value : address;
  const choose = useCallback(
    (next: string | null) => {
      const params = new URLSearchParams(window.location.search);
      if (next === null) params.delete(name);
      else params.set(name, next);
      window.history.replaceState(null, "", params.size ? `?${params.toString()}` : window.location.pathname);
      setChosen({ address, value: next });
    },
    [name, address],
  );
  return [value, choose];
}
