// Part of npm run bench: by how much a search comes after its budget, the worst it can be asked: cutters of 10 mm on the
// largest sheet, in a thread like the server's of a process that has laid out nothing yet. Figures are wall time, since that
// is what a budget is of.
import { spawnSync } from "node:child_process";
import { isMainThread, Worker } from "node:worker_threads";
import { Budget } from "@/core/budget";
import { craftHandTimes, layOutParts, planCuts, searchTight, type PartsRequest } from "@/core/cutting";
import type { Outline, SheetShape } from "@/core/shape";
import { widenYoungSpace } from "@/jobs/youngSpace";

const RUNS = 7;
const BUDGETS_MS = [1, 30, 100];
/** Of a cut plan: what a market of thousands would order. */
const COUNT = 2000;
const sheet = { widthMm: 2000, heightMm: 2000 };

const cutters = {
  round: { kind: "disc", diameterMm: 10 },
  heart: { kind: "heart", widthMm: 10, heightMm: 10 },
  scalloped: { kind: "scalloped", diameterMm: 10, lobes: 12 },
  star: { kind: "star", diameterMm: 10, points: 6 },
  triangle: { kind: "triangle", legMm: 10 },
} as const satisfies Record<string, Outline>;

const tight =
  (names: readonly (keyof typeof cutters)[], shape: SheetShape["shape"] = "rectangle") =>
  (budget: Budget) => {
    const outlines = names.map((name) => ({ outline: cutters[name], ratio: 1 }));
    const asked: PartsRequest = {
      ...{
        mode: "tight",
        outlines,
        sheet: { ...sheet, shape },
        webMm: 0,
        marginMm: 0,
        mayTurn: true,
        seed: 1,
      },
    };
    const rows = layOutParts(asked, budget);
    if (rows.ok) for (const _ of searchTight(asked, rows.value)) if (budget.isOver()) break;
  };

const plan = (names: readonly (keyof typeof cutters)[], isPinned: boolean) => (budget: Budget) => {
  const demands = names.map((name) => ({
    ...{ id: name, outline: cutters[name], count: COUNT, webMm: 0, marginMm: 8 },
    ...{ isVisible: true, keepsCentre: true, keepsSurplus: true },
  }));
  planCuts(
    {
      ...{
        demands,
        thicknessMm: 3.5,
        densityGPerMl: 1.2,
        sheetLimit: sheet,
        mayTurn: true,
        decoration: null,
      },
      ...{ rerollLimit: 2, rerollLossShare: 0.02, rerollShrinkShare: 0, tearSharePer100Mm: 0 },
      ...{ handTimes: craftHandTimes, pinnedSheet: isPinned ? sheet : null, boughtSheet: null },
    },
    budget,
  );
};

const cases: Record<string, (budget: Budget) => void> = {
  "tight, rounds": tight(["round"]),
  "tight, hearts": tight(["heart"]),
  "tight, scalloped": tight(["scalloped"]),
  "tight, triangles": tight(["triangle"]),
  "tight, hearts on a round sheet": tight(["heart"], "oval"),
  "tight, scalloped on a round sheet": tight(["scalloped"], "oval"),
  "tight, hearts and scalloped": tight(["heart", "scalloped"]),
  "plan, hearts": plan(["heart"], false),
  "plan, hearts and rounds, a sheet that is there": plan(["heart", "round"], true),
};

const [name, budgetMs] = process.argv.slice(2);
if (name && budgetMs && isMainThread) {
  const resourceLimits = widenYoungSpace();
  new Worker(process.argv[1]!, { argv: [name, budgetMs], resourceLimits });
} else if (name && budgetMs) {
  const endsAtMs = performance.now() + Number(budgetMs);
  cases[name]!(new Budget(() => performance.now() >= endsAtMs));
  console.log(performance.now() - endsAtMs);
} else {
  console.log(
    `\nafter a budget of ${BUDGETS_MS.join(", ")} ms, ms at the median and at most of ${RUNS} processes`,
  );
  for (const each of Object.keys(cases)) {
    const figures = BUDGETS_MS.map((ms) => {
      const over = Array.from({ length: RUNS }, () =>
        Number(spawnSync(process.execPath, [process.argv[1]!, each, String(ms)]).stdout),
      ).sort((a, b) => a - b);
      return `${over[RUNS >> 1]!.toFixed(0).padStart(6)} ${over.at(-1)!.toFixed(0).padStart(4)}`;
    });
    console.log(`${each.padEnd(48)} ${figures.join("   ")}`);
  }
}
