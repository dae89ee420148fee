import { defineConfig, globalIgnores } from "eslint/config";
import next from "eslint-config-next";
import nextTypescript from "eslint-config-next/typescript";
import { coreZones, houseZones } from "./eslint.layers.mjs";

/** What the core does not know: frameworks, machines, the house above it. */
const unknownToCore = [
  "react",
  "react-*",
  "next",
  "next/*",
  "better-sqlite3",
  "node:*",
  "joi",
  "zustand",
  "@/*",
];

export default defineConfig([
  globalIgnores([
    ".next/**",
    "build/**",
    "data/**",
    "test-results/**",
    "playwright-report/**",
    "next-env.d.ts",
  ]),
  ...next,
  ...nextTypescript,
  {
    files: ["**/*.{ts,tsx,mjs}"],
    settings: { "import/resolver": { typescript: { project: "./tsconfig.json" } } },
    rules: {
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/consistent-type-imports": "error",
      eqeqeq: "error",
      "import/no-restricted-paths": ["error", { zones: [...houseZones, ...coreZones] }],
    },
  },
  {
    // A test may lay the demo world on anything.
    files: ["**/*.test.ts", "**/__tests__/**"],
    rules: { "import/no-restricted-paths": "off" },
  },
  {
    // Between layers and tiers the zones rule circles out; this finds those inside a tier.
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts", "**/__tests__/**"],
    rules: { "import/no-cycle": ["error", { ignoreExternal: true }] },
  },
  {
    // The core knows no framework, no clock, no chance and no machine.
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts", "**/__tests__/**"],
    rules: {
      "no-restricted-imports": ["error", { patterns: [...unknownToCore, "date-fns", "@date-fns/*"] }],
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "Pass the clock in." },
        { object: "Math", property: "random", message: "Pass a seeded generator in." },
      ],
      "no-restricted-globals": ["error", "window", "document", "process", "fetch", "localStorage", "Date"],
    },
  },
  {
    // Dates are counted in one place of the core, where no clock ever changes.
    files: ["src/core/plan/book/calendar.ts"],
    rules: { "no-restricted-imports": ["error", { patterns: unknownToCore }] },
  },
]);
