"use client";

import { Moon, Sun } from "lucide-react";
import { useThemeChoice } from "./theme-provider";
import styles from "./theme-switch.module.css";
import { themeWords } from "@/ui/words";

/** Turns from the dim room's theme to that of daylight and back. */
export function ThemeSwitch() {
  const { theme, setTheme } = useThemeChoice();
  const [Icon, next, words] =
    theme === "dim" ? ([Sun, "day", themeWords.daylightTheme] as const) : ([Moon, "dim", themeWords.dimRoomTheme] as const);
  return (
    <button type="button" className={styles.switch} onClick={() => setTheme(next)} aria-label={words} title={words}>
      <Icon size={18} aria-hidden />
    </button>
  );
}
