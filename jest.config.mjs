import nextJest from "next/jest.js";

/** @type {import("jest").Config} */
const config = {
  testEnvironment: "<rootDir>/plainEnvironment.cjs",
  runtime: "<rootDir>/sharedRuntime.cjs",
  setupFilesAfterEnv: ["<rootDir>/src/core/units/__tests__/beginMetric.ts"],
  // No core is left idle, at the end neither.
  maxWorkers: "100%",
  testSequencer: "<rootDir>/longFirst.mjs",
  testMatch: ["<rootDir>/src/**/*.test.{ts,tsx}"],
  // Generous: a busy machine is slow, not wrong.
  testTimeout: 60_000,
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1" },
};

/** Shipped as modules only, which the runner cannot load as they are. */
const modulesOnly = ["react-hotkeys-hook", "d3-[a-z-]+", "internmap"];

export default async function configure() {
  const made = await nextJest({ dir: "./" })(config)();
  return {
    ...made,
    transformIgnorePatterns: [
      `/node_modules/(?!(${modulesOnly.join("|")})/)`,
      String.raw`^.+\.module\.(css|sass|scss)$`,
    ],
  };
}
