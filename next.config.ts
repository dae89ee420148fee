import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["better-sqlite3", "piscina"],
  poweredByHeader: false,
  // The corner badge of the development server covers the tally.
  devIndicators: false,
};

export default config;
