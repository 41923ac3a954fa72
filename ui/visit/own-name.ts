"use client";

import { useCallback, useSyncExternalStore } from "react";
import { keepOnDevice, noteOnDevice } from "@/ui/kit";

const KEY = "octachord-own-name";
const told = new Set<() => void>();

const subscribe = (listener: () => void) => {
  told.add(listener);
  return () => void told.delete(listener);
};
const read = () => noteOnDevice(KEY) ?? "";

/** The name under which this device enters what was done; empty until somebody gives it. */
export function useOwnName(): readonly [string, (name: string) => void] {
  const name = useSyncExternalStore(subscribe, read, () => "");
  const keep = useCallback((next: string) => {
    keepOnDevice(KEY, next.trim().slice(0, 80));
    for (const listener of told) listener();
  }, []);
  return [name, keep];
}
