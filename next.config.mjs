import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["better-sqlite3", "piscina", "pino", "rotating-file-stream"],
  poweredByHeader: false,
  // npm test has had them checked, once, before it builds.
  typescript: { ignoreBuildErrors: process.env.TEZGAH_TYPES_CHECKED === "1" },
  // Browsers ask for it by themselves before they have read which icon a page has.
  rewrites: async () => [{ source: "/favicon.ico", destination: "/icon.svg" }],
  // The corner badge of the development server covers the tally.
  devIndicators: false,
};

export default config;
