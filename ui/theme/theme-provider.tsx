"use client";

import { ConfigProvider } from "antd";
import { createContext, useContext, useEffect, useState, type ReactNode } from "react";
import { antdTheme } from "./antd-theme";
import { SYSTEM_THEME_COOKIE, THEME_COOKIE, type ThemeName } from "./palette";

interface ThemeChoice {
  readonly theme: ThemeName;
  /** What a person chose; null: the theme of the system. */
  readonly chosen: ThemeName | null;
  readonly setTheme: (theme: ThemeName | null) => void;
}

const ThemeContext = createContext<ThemeChoice | null>(null);

/** A dialog is never taller than the window: its body scrolls, and its main button stays in sight. */
const TALL_AS_THE_WINDOW = { centered: true, styles: { body: { maxHeight: "calc(100dvh - 190px)", overflowY: "auto" } } } as const;

const YEAR_S = 31_536_000;
const keep = (cookie: string, value: string, seconds = YEAR_S) => {
  document.cookie = `${cookie}=${value}; path=/; max-age=${seconds}; samesite=strict`;
};

const systemQuery = () => window.matchMedia("(prefers-color-scheme: light)");
const systemTheme = (): ThemeName => (systemQuery().matches ? "day" : "dim");

/**
 * The theme of the whole application: that of the system until one is chosen. Both are kept in cookies, so the first paint is already right.
 * @param initial the theme that the page came with
 */
export function ThemeProvider({ initial, chosen: kept, children }: { initial: ThemeName; chosen: ThemeName | null; children: ReactNode }) {
  const [chosen, setChosen] = useState(kept);
  const [system, setSystem] = useState(initial);
  const theme = chosen ?? system;
  useEffect(() => {
    const query = systemQuery();
    const follow = () => {
      setSystem(systemTheme());
      keep(SYSTEM_THEME_COOKIE, systemTheme());
    };
    follow();
    query.addEventListener("change", follow);
    return () => query.removeEventListener("change", follow);
  }, []);
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  const setTheme = (next: ThemeName | null) => {
    keep(THEME_COOKIE, next ?? "", next ? YEAR_S : 0);
    setChosen(next);
  };
  return (
    <ThemeContext value={{ theme, chosen, setTheme }}>
      <ConfigProvider theme={antdTheme(theme)} wave={{ disabled: true }} button={{ autoInsertSpace: false }} modal={TALL_AS_THE_WINDOW}>
        {children}
      </ConfigProvider>
    </ThemeContext>
  );
}

export function useThemeChoice(): ThemeChoice {
  const context = useContext(ThemeContext);
  if (!context) throw new Error("useThemeChoice needs a ThemeProvider around it");
  return context;
}
