import { AntdRegistry } from "@ant-design/nextjs-registry";
import type { Metadata } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { isThemeName, THEME_COOKIE, ThemeProvider } from "@/ui/theme";
import { database, preferences } from "@/server";
import { PreferencesProvider } from "@/ui/preferences";
import "@/ui/theme/tokens.css";

export const metadata: Metadata = {
  title: { default: "Octachord", template: "%s · Octachord" },
  description: "What really reaches the speakers, why not more, and what to do about it.",
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
