import { coreTiers, corePackages, cuttingTiers, houseLayers, planTiers } from "./layers.mjs";

/** A test may lay the demo world on anything; what only tests use is no part of the house either. */
const TESTS = String.raw`(\.test\.tsx?$|/__tests__/|/test[A-Z]\w*\.ts$)`;

const layerRules = Object.entries(houseLayers).map(([layer, allowed]) => ({
  name: `${layer}-imports-only-what-stands-below-it`,
  comment: `src/${layer} may import: ${[layer, ...allowed].join(", ")}.`,
  severity: "error",
  from: { path: `^src/${layer}/`, pathNot: TESTS },
  to: { path: "^src/", pathNot: `^src/(${[layer, ...allowed].join("|")})/` },
}));

/** Rooms of a folder by their floors: none imports what stands above it, and each is entered by its index. */
const rulesOfRooms = (folder, tiers) =>
  tiers.flatMap((rooms, tier) => {
    const higher = tiers.slice(tier + 1).flat();
    const name = folder.replace("src/", "").replaceAll("/", "-");
    return rooms.flatMap((room) => [
      ...(higher.length === 0
        ? []
        : [
            {
              name: `${name}-${room}-imports-nothing-above-it`,
              severity: "error",
              from: { path: `^${folder}/${room}/`, pathNot: TESTS },
              to: { path: `^${folder}/(${higher.join("|")})/` },
            },
          ]),
      {
        name: `${name}-${room}-is-entered-by-its-index`,
        severity: "error",
        from: { path: "^src/", pathNot: [`^${folder}/${room}/`, TESTS] },
        to: { path: `^${folder}/${room}/`, pathNot: `^${folder}/${room}/index\\.ts$` },
      },
    ]);
  });
const tierRules = [
  ...rulesOfRooms("src/core", coreTiers),
  ...rulesOfRooms("src/core/cutting", cuttingTiers),
  ...rulesOfRooms("src/core/plan", planTiers),
];

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
      name: "the-gate-opens-no-file",
      comment:
        "A server reads what its gate needs before its first answer: 16 modules, not the 744 that know a record.",
      severity: "error",
      from: { path: String.raw`^src/proxy\.ts$` },
      to: { path: String.raw`^src/data/getStore\.ts$`, reachable: true },
    },
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
