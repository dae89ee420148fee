import type { Metadata, Viewport } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { preload } from "react-dom";
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

/** Letters of every page, asked for with the page: found in its styles they come after it was laid out with others. */
const LETTERS = [
  new URL(
    "@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2",
    import.meta.url,
  ),
  new URL(
    "@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2",
    import.meta.url,
  ),
];

export default async function RootLayout({ children }: { children: ReactNode }) {
  for (const { href } of LETTERS) preload(href, { as: "font", type: "font/woff2", crossOrigin: "anonymous" });
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
