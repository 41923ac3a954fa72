"use client";

import { ConfigProvider } from "antd";
import { createContext, useContext, useState, type ReactNode } from "react";
import { antdTheme } from "./antd-theme";
import { THEME_COOKIE, type ThemeName } from "./palette";

const ThemeContext = createContext<{ theme: ThemeName; setTheme: (theme: ThemeName) => void } | null>(null);

/** The look of the whole application; the choice is kept in a cookie, so the first paint is already right. */
export function ThemeProvider({ initial, children }: { initial: ThemeName; children: ReactNode }) {
  const [theme, setTheme] = useState(initial);
  const choose = (next: ThemeName) => {
    document.documentElement.dataset.theme = next;
    document.cookie = `${THEME_COOKIE}=${next}; path=/; max-age=31536000; samesite=strict`;
    setTheme(next);
  };
  return (
    <ThemeContext value={{ theme, setTheme: choose }}>
      <ConfigProvider theme={antdTheme(theme)} wave={{ disabled: true }} button={{ autoInsertSpace: false }}>
        {children}
      </ConfigProvider>
    </ThemeContext>
  );
}

export function useThemeChoice() {
  const context = useContext(ThemeContext);
  if (!context) throw new Error("useThemeChoice needs a ThemeProvider around it");
  return context;
}
