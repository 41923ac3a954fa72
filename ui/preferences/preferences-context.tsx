"use client";

import { createContext, useContext, useState, type ReactNode } from "react";
import type { Preferences } from "@/core/preferences";
import type { Outcome } from "@/core/outcome";
import { asJson, askServer } from "@/ui/kit";

interface Kept {
  readonly preferences: Preferences;
  /** Keeps them on the server; they count here once it has them. */
  readonly keep: (next: Preferences) => Promise<Outcome<unknown, string>>;
}

const PreferencesContext = createContext<Kept | null>(null);

/** The firm's settings for every page. */
export function PreferencesProvider({ initial, children }: { initial: Preferences; children: ReactNode }) {
  const [preferences, setPreferences] = useState(initial);
  const keep = async (next: Preferences) => {
    const outcome = await askServer("/api/preferences", asJson("PUT", next));
    if (outcome.ok) setPreferences(next);
    return outcome;
  };
  return <PreferencesContext value={{ preferences, keep }}>{children}</PreferencesContext>;
}

function useKept(): Kept {
  const context = useContext(PreferencesContext);
  if (!context) throw new Error("This needs a PreferencesProvider around it");
  return context;
}

export const usePreferences = (): Preferences => useKept().preferences;
export const useKeepPreferences = (): Kept["keep"] => useKept().keep;
