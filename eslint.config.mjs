import { defineConfig, globalIgnores } from "eslint/config";
import next from "eslint-config-next";
import nextTypescript from "eslint-config-next/typescript";
import jsxA11y from "eslint-plugin-jsx-a11y";

export default defineConfig([
  globalIgnores([
    ".next/**",
    "build/**",
    "data/**",
    "test-results/**",
    "playwright-report/**",
    "next-env.d.ts",
    "public/service-worker.js",
  ]),
  ...next,
  ...nextTypescript,
  {
    files: ["**/*.{ts,tsx,mjs}"],
    rules: {
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/consistent-type-imports": "error",
      eqeqeq: "error",
      // Speaks for a compiler that is not used here: what it could not memoize is drawn as ever.
      "react-hooks/incompatible-library": "off",
    },
  },
  {
    // What only the types can tell: a promise that nobody waits for, a case that nobody thought of.
    files: ["**/*.{ts,tsx}"],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      "@typescript-eslint/no-floating-promises": "error",
      "@typescript-eslint/no-misused-promises": ["error", { checksVoidReturn: { attributes: false } }],
      "@typescript-eslint/await-thenable": "error",
      "@typescript-eslint/switch-exhaustiveness-check": [
        "error",
        { considerDefaultExhaustiveForUnions: true },
      ],
      "@typescript-eslint/no-unnecessary-type-assertion": "error",
      "@typescript-eslint/no-base-to-string": "error",
      "@typescript-eslint/restrict-plus-operands": "error",
      "@typescript-eslint/no-unnecessary-boolean-literal-compare": "error",
      "@typescript-eslint/only-throw-error": "error",
      "@typescript-eslint/prefer-promise-reject-errors": "error",
    },
  },
  {
    files: ["src/**/*.tsx"],
    rules: {
      ...jsxA11y.flatConfigs.strict.rules,
      // What scrolls must be reached by the keyboard though it holds but a drawing.
      "jsx-a11y/no-noninteractive-tabindex": ["error", { tags: ["section"], roles: ["group"] }],
    },
  },
  {
    // A component that takes all of a store is drawn anew by every turn of a dial anywhere.
    files: ["src/ui/**/*.{ts,tsx}"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "CallExpression[callee.name='useStore'][arguments.length=1]",
          message: "Name what is read of the store: useRun, usePicked, or a selector.",
        },
        {
          selector:
            "CallExpression[callee.name=/^use(Store|Bench|BenchShell)$/] > ArrowFunctionExpression[body.type='Identifier']",
          message: "A selector that gives the whole store selects nothing.",
        },
      ],
    },
  },
  {
    // The core knows no clock, no chance and no machine; what it may import stands in layers.mjs.
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts", "**/__tests__/**"],
    rules: {
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "Pass the clock in." },
        { object: "Math", property: "random", message: "Pass a seeded generator in." },
      ],
      "no-restricted-globals": ["error", "window", "document", "process", "fetch", "localStorage", "Date"],
    },
  },
]);
