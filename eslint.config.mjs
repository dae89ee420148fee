import { defineConfig } from "eslint/config";
import next from "eslint-config-next";
import jsxA11y from "eslint-plugin-jsx-a11y";

// What is said of components and hooks. What holds for all code, the types' own rules too, is oxlint's
// (.oxlintrc.json): it has them in a sixth of the time, and knows not all of these.
export default defineConfig([
  ...next,
  {
    rules: {
      // Speaks for a compiler that is not used here: what it could not memoize is drawn as ever.
      "react-hooks/incompatible-library": "off",
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
]);
