import { packedTypes, packings } from "./scripts/packings.mjs";

/** Our build packs and says so; the framework's own, and the development server, pack nothing and send what there is. */
const isPacked = process.env.TEZGAH_PACKED === "1";

/** A browser that names the coding, unless to say that it does not take it. */
const unpacks = (coding) => ({
  type: "header",
  key: "accept-encoding",
  value: `.*\\b${coding}\\b(?!\\s*;\\s*q=0\\.?0*\\s*(?:,|$)).*`,
});
/** Each packing, and who is sent it: who can unpack it, and none that comes before it. */
const sent = packings.map(({ coding, suffix }, at) => ({
  coding,
  suffix,
  to: { has: [unpacks(coding)], missing: packings.slice(0, at).map((each) => unpacks(each.coding)) },
}));

/**
 * What one more script costs a page, as bytes of source. Browsers ask six at a time: 18 scripts of a day's page came in three
 * rounds. Three times the framework's figures make them 13, and all parts together a quarter larger: a device keeps them after
 * its first page, so that what two pages share may be there twice.
 */
const SCRIPT_COST_BYTES = 600_000;
const LEAST_SCRIPT_BYTES = 150_000;
/** Larger ones are not written into several. */
const MOST_MERGED_BYTES = 600_000;

/** @type {import("next").NextConfig} */
const config = {
  serverExternalPackages: ["better-sqlite3", "piscina", "pino", "rotating-file-stream"],
  poweredByHeader: false,
  experimental: {
    // A server that was ended is back in half the time: what a page needs is read when it is first asked for.
    preloadEntriesOnStart: false,
    turbopackChunking: {
      requestCost: SCRIPT_COST_BYTES,
      minChunkSize: LEAST_SCRIPT_BYTES,
      maxMergeChunkSize: MOST_MERGED_BYTES,
    },
  },
  // npm test has had them checked, once, before it builds.
  typescript: { ignoreBuildErrors: process.env.TEZGAH_TYPES_CHECKED === "1" },
  rewrites: async () => ({
    beforeFiles: !isPacked
      ? []
      : sent.flatMap(({ suffix, to }) =>
          Object.keys(packedTypes).map((type) => ({
            ...to,
            source: `/_next/static/:path*.${type}`,
            destination: `/_next/static/:path*.${type}.${suffix}`,
          })),
        ),
    // Browsers ask for it by themselves before they have read which icon a page has.
    afterFiles: [{ source: "/favicon.ico", destination: "/icon.svg" }],
  }),
  headers: async () =>
    !isPacked
      ? []
      : sent.flatMap(({ coding, to }) =>
          Object.entries(packedTypes).map(([type, contentType]) => ({
            ...to,
            source: `/_next/static/:path*.${type}`,
            headers: [
              { key: "Content-Encoding", value: coding },
              { key: "Content-Type", value: contentType },
              { key: "Vary", value: "Accept-Encoding" },
            ],
          })),
        ),
  // The corner badge of the development server covers the tally.
  devIndicators: false,
};

export default config;
