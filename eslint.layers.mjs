/**
 * The one-way street of imports, as data.
 * A house layer may import the layers named beside it; inside the core a tier may import its own and lower
 * tiers, and only through a folder's index.
 */
const houseLayers = {
  core: [],
  time: [],
  schemas: ["core"],
  formats: ["core", "schemas", "time"],
  data: ["core", "schemas"],
  demo: ["core", "schemas"],
  devices: ["core", "formats"],
  simulators: ["core", "formats"],
  workers: ["core", "schemas", "formats"],
  jobs: ["core", "schemas", "data", "formats"],
  ui: ["core", "schemas", "workers", "formats", "time"],
  app: ["core", "schemas", "formats", "data", "demo", "devices", "workers", "jobs", "ui", "time"],
};

const coreTiers = [
  ["units", "shape", "readings"],
  ["formula", "cutting", "heat"],
  ["forming", "filling", "sealing", "loading", "schedule"],
  ["way"],
  ["plan", "habits", "remedy", "cautions"],
  ["run"],
];

export const houseZones = Object.entries(houseLayers).flatMap(([layer, allowed]) =>
  Object.keys(houseLayers)
    .filter((other) => other !== layer && !allowed.includes(other))
    .map((other) => ({
      target: `./src/${layer}`,
      from: `./src/${other}`,
      message: `src/${layer} must not import src/${other}.`,
    })),
);

export const coreZones = coreTiers.flatMap((folders, tier) =>
  folders.flatMap((folder) => [
    ...coreTiers
      .slice(tier + 1)
      .flat()
      .map((higher) => ({
        target: `./src/core/${folder}`,
        from: `./src/core/${higher}`,
        message: `core/${folder} stands below core/${higher} and must not import it.`,
      })),
    {
      target: [`./src/core/!(${folder})/**/*`, "./src/!(core)/**/*"],
      from: `./src/core/${folder}/!(index).ts`,
      message: `Import core/${folder} through its index.ts.`,
    },
  ]),
);
