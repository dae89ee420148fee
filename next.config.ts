import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["better-sqlite3", "piscina"],
  poweredByHeader: false,
  // Browsers ask for it by themselves before they have read which icon a page has.
  rewrites: async () => [{ source: "/favicon.ico", destination: "/icon.svg" }],
  // The corner badge of the development server covers the tally.
  devIndicators: false,
};

export default config;
