import type { Metadata, Viewport } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import "@fontsource-variable/bricolage-grotesque";
import "@fontsource-variable/atkinson-hyperlegible-next";
import { NewerVersion } from "@/ui/away/NewerVersion";
import { THEME_COOKIE, toTheme } from "@/ui/shell/theme";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Tezgah", template: "%s · Tezgah" },
  description: "The workbench of a small-pastry baker.",
};

export const viewport: Viewport = { width: "device-width", initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = toTheme((await cookies()).get(THEME_COOKIE)?.value);
  return (
    <html lang="en" data-theme={theme ?? undefined}>
      <body>
        {children}
        <NewerVersion />
      </body>
    </html>
  );
}
