/**
 * The one-way street of imports, as data.
 * A house layer may import the layers named beside it; inside the core a tier may import its own and lower
 * tiers, and only through a folder's index.
 */
export const houseLayers = {
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

export const coreTiers = [
  ["units", "shape", "readings"],
  ["formula", "cutting", "heat"],
  ["forming", "filling", "sealing", "loading", "schedule"],
  ["way"],
  ["words"],
  ["plan", "habits", "remedy", "cautions"],
  ["orders"],
  ["costs", "labels"],
  ["run"],
];

/** The rooms of cutting, in the same way: what a sheet is, how cuts lie on it, what is planned of many sheets. */
export const cuttingTiers = [["sheet"], ["rows"], ["tight", "wheel"], ["plan"], ["yield"]];

/**
 * The rooms of a plan: what is stored, what may be wrong, what was learned, a piece by itself, what comes of a day, the kit
 * and the larder, a piece within the day, cuts and batches, jobs, the clock, doubts, and what is asked of it all.
 */
export const planTiers = [
  ["book"],
  ["usual", "problem", "learned"],
  ["piece"],
  ["result"],
  ["kit", "larder"],
  ["line", "batch", "tasks"],
  ["cut", "clock", "doubts"],
  ["ask"],
];

/** Packages that the core may import: small, pure, and knowing nothing of a machine; of each, where. */
export const corePackages = [
  // Exact halves and thirds of cups.
  { name: "fraction.js", from: "src/core/units/" },
  // Arcs and curves of a drawn outline as straight pieces.
  { name: "svgpath", from: "src/core/shape/parsePath.ts" },
  // Calendar dates, counted where no clock ever changes.
  { name: "date-fns", from: "src/core/plan/book/calendar.ts" },
  { name: "@date-fns/utc", from: "src/core/plan/book/calendar.ts" },
];
