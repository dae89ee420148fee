import { coreTiers, corePackages, houseLayers } from "./layers.mjs";

/** A test may lay the demo world on anything; what only tests use is no part of the house either. */
const TESTS = String.raw`(\.test\.tsx?$|/__tests__/|/test[A-Z]\w*\.ts$)`;

const layerRules = Object.entries(houseLayers).map(([layer, allowed]) => ({
  name: `${layer}-imports-only-what-stands-below-it`,
  comment: `src/${layer} may import: ${[layer, ...allowed].join(", ")}.`,
  severity: "error",
  from: { path: `^src/${layer}/`, pathNot: TESTS },
  to: { path: "^src/", pathNot: `^src/(${[layer, ...allowed].join("|")})/` },
}));

const tierRules = coreTiers.flatMap((rooms, tier) => {
  const higher = coreTiers.slice(tier + 1).flat();
  return rooms.flatMap((room) => [
    ...(higher.length === 0
      ? []
      : [
          {
            name: `core-${room}-imports-nothing-above-it`,
            severity: "error",
            from: { path: `^src/core/${room}/`, pathNot: TESTS },
            to: { path: `^src/core/(${higher.join("|")})/` },
          },
        ]),
    {
      name: `core-${room}-is-entered-by-its-index`,
      severity: "error",
      from: { path: "^src/", pathNot: [`^src/core/${room}/`, TESTS] },
      to: { path: `^src/core/${room}/`, pathNot: `^src/core/${room}/index\\.ts$` },
    },
  ]);
});

const packageRules = corePackages.map(({ name, from }) => ({
  name: `core-takes-${name.replace(/\W/g, "-")}-in-one-place`,
  severity: "error",
  from: { path: "^src/core/", pathNot: [`^${from}`, TESTS] },
  to: { path: `^node_modules/${name}/` },
}));

/** @type {import("dependency-cruiser").IConfiguration} */
const rules = {
  forbidden: [
    {
      name: "no-circles",
      comment: "Types count: two files that need each other are one subject, or hide a third.",
      severity: "error",
      from: {},
      to: { circular: true },
    },
    ...layerRules,
    ...tierRules,
    {
      name: "core-knows-no-machine",
      comment:
        "No framework, no clock, no chance, no Node: only the small pure packages named in layers.mjs.",
      severity: "error",
      from: { path: "^src/core/", pathNot: TESTS },
      to: {
        dependencyTypesNot: ["local", "aliased", "type-only"],
        pathNot: ["^src/core/", ...corePackages.map(({ name }) => `^node_modules/${name}/`)],
      },
    },
    ...packageRules,
    {
      name: "what-runs-for-users-needs-no-tool",
      comment: "A package of devDependencies is not there where the application runs.",
      severity: "error",
      from: { path: "^src/", pathNot: [TESTS, "^src/demo/"] },
      to: { dependencyTypes: ["npm-dev"], dependencyTypesNot: ["type-only"] },
    },
    {
      name: "every-import-is-there",
      severity: "error",
      from: {},
      to: { couldNotResolve: true, pathNot: "^server-only$" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: ["^\\.next/", "^build/"] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
    cache: { folder: "node_modules/.cache/dependency-cruiser", strategy: "content" },
  },
};

export default rules;
