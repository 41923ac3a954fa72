import { AntdRegistry } from "@ant-design/nextjs-registry";
import type { Metadata } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { isThemeName, SYSTEM_THEME_COOKIE, THEME_COOKIE, ThemeProvider } from "@/ui/theme";
import { defaultPreferences } from "@/core/preferences";
import { COOKIE, database, isLetIn, preferences } from "@/server";
import { PreferencesProvider } from "@/ui/preferences";
import "@/ui/theme/tokens.css";
import { pagesWords } from "@/ui/words";

export const metadata: Metadata = {
  title: { default: pagesWords.octachord, template: pagesWords.titleTemplate },
  description: pagesWords.description,
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const given = await cookies();
  // The way in tells nothing of the firm.
  const firm = isLetIn(given.get(COOKIE)?.value) ? await preferences(await database()) : defaultPreferences();
  const themeIn = (cookie: string) => [given.get(cookie)?.value].find(isThemeName) ?? null;
  const chosen = themeIn(THEME_COOKIE);
  const theme = chosen ?? themeIn(SYSTEM_THEME_COOKIE) ?? "dim";
  return (
    <html lang="en" data-theme={theme}>
      <body>
        <AntdRegistry>
          <ThemeProvider initial={theme} chosen={chosen}>
            <PreferencesProvider initial={firm}>{children}</PreferencesProvider>
          </ThemeProvider>
        </AntdRegistry>
      </body>
    </html>
  );
}
