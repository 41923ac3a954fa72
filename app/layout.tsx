import { AntdRegistry } from "@ant-design/nextjs-registry";
import type { Metadata } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { isThemeName, THEME_COOKIE, ThemeProvider } from "@/ui/theme";
import { database, preferences } from "@/server";
import { PreferencesProvider } from "@/ui/preferences";
import "@/ui/theme/tokens.css";
import { pagesWords } from "@/ui/words";

export const metadata: Metadata = {
  title: { default: "Octachord", template: pagesWords.titleTemplate },
  description: pagesWords.description,
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const kept = (await cookies()).get(THEME_COOKIE)?.value;
  const theme = isThemeName(kept) ? kept : "dim";
  return (
    <html lang="en" data-theme={theme}>
      <body>
        <AntdRegistry>
          <ThemeProvider initial={theme}>
            <PreferencesProvider initial={await preferences(await database())}>{children}</PreferencesProvider>
          </ThemeProvider>
        </AntdRegistry>
      </body>
    </html>
  );
}
