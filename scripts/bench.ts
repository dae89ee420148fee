// npm run bench: how long the engines take, in figures. Times are medians over repeated runs of this thread's processor
// time: a busy machine does not make them longer.
import { existsSync, readFileSync } from "node:fs";
import {
  craftHandTimes,
  layOutRows,
  layOutTogether,
  layOutWheelCuts,
  planCuts,
  searchTightDiscs,
  searchTightOutlines,
  tabulateYield,
} from "@/core/cutting";
import { computeFold } from "@/core/forming";
import { parseFormulaText, standardIngredients } from "@/core/formula";
import { chill, type Body } from "@/core/heat";
import { answerAhead, answerDay, checkDay, planDay, type DayBook } from "@/core/plan";
import { followRun, freezeRun, type Retimed, type RunEvent, type RunSheet } from "@/core/run";
import { constructSchedule, improveSchedule, type ScheduleProblem, type ScheduleTask } from "@/core/schedule";
import { takeApart } from "@/core/schedule/testDay";
import { createRandom } from "@/core/seededRandom";
import { scaleOutline } from "@/core/shape";
import { listDemoRecords, starterFormulas } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { benchHabits } from "./benchHabits";

const records = listDemoRecords();
const demo = toDayBook(records, "2026-11-28", null);
if (!demo) throw new Error("The demo world has no Saturday.");
const book: DayBook = demo;

/** So many orders over the demo's pieces, ten each, promised through the day. */
function withOrders(count: number): DayBook {
  const orders = Array.from({ length: count }, (_, i) => ({
    id: `o${i}`,
    dayId: book.day.id,
    pieceId: book.pieces[i % book.pieces.length]?.id ?? "",
    count: 10,
    dueMin: 600 + (i % 8) * 60,
    customer: "",
  }));
  return { ...book, orders };
}

/** Processor time of the main thread so far, ms; where the system does not say, that of the whole process. */
function readThreadMs(): number {
  const file = `/proc/self/task/${process.pid}/schedstat`;
  if (existsSync(file)) return Number(readFileSync(file, "utf8").split(" ")[0]) / 1e6;
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
}

/** Only what is named in the command line, if anything is. */
const wanted = process.argv.slice(2);
const isWanted = (name: string) => wanted.length === 0 || wanted.some((words) => name.includes(words));

const LEAST_FIGURE_MS = 40;
const MOST_PER_FIGURE = 200;

function report(name: string, run: () => unknown, repeats = 30): void {
  if (!isWanted(name)) return;
  const startMs = performance.now();
  run();
  // The system counts a thread's time in ticks: what is quick is run several times a figure.
  const perFigure = Math.min(Math.ceil(LEAST_FIGURE_MS / (performance.now() - startMs)), MOST_PER_FIGURE);
  const times = Array.from({ length: repeats }, () => {
    const before = readThreadMs();
    for (let i = 0; i < perFigure; i++) run();
    return (readThreadMs() - before) / perFigure;
  }).sort((a, b) => a - b);
  const at = (share: number) =>
    (times[Math.min(Math.floor(times.length * share), times.length - 1)] ?? 0).toFixed(2);
  console.log(`${name.padEnd(52)} median ${at(0.5).padStart(8)} ms   worst tenth ${at(0.9).padStart(8)} ms`);
}

function reportShare(name: string, shares: readonly number[]): void {
  const sorted = [...shares].sort((a, b) => a - b);
  const percent = (at: number) => (100 * (sorted[Math.floor((sorted.length - 1) * at)] ?? 0)).toFixed(1);
  console.log(`${name.padEnd(52)} median ${percent(0.5).padStart(8)} %    worst ${percent(1).padStart(8)} %`);
}

/** Counts every variation, so that none is remembered from before. */
let turn = 0;
const sheet = { widthMm: 620, heightMm: 430 };
const rolling = {
  thicknessMm: 3.5,
  densityGPerMl: 1.2,
  sheetLimit: sheet,
  rerollLimit: 2,
  rerollLossShare: 0.02,
  rerollShrinkShare: 0.01,
  mayTurn: true,
  handTimes: craftHandTimes,
};
const demand = (id: string, diameterMm: number) => ({
  id,
  outline: { kind: "disc", diameterMm } as const,
  count: 96,
  webMm: 2,
  marginMm: 8,
  isVisible: true,
  keepsCentre: true,
  keepsSurplus: true,
});
const disc = { kind: "disc", diameterMm: 90 } as const;
report(
  "rows layout, 90 mm rounds on 620 × 430 mm",
  () => layOutRows({ outline: disc, sheet, webMm: 0, marginMm: 8, mayTurn: true }),
  300,
);
report("rows layout, 30 mm rounds on 1400 × 700 mm", () =>
  layOutRows({
    outline: { kind: "disc", diameterMm: 30 },
    sheet: { widthMm: 1400, heightMm: 700 },
    webMm: 1,
    marginMm: 8,
    mayTurn: true,
  }),
);
let heartMm = 70;
report("rows layout, hearts on 620 × 430 mm, an outline not seen before", () => {
  heartMm += 0.1;
  layOutRows({
    outline: { kind: "heart", widthMm: heartMm, heightMm: heartMm },
    sheet,
    webMm: 1,
    marginMm: 8,
    mayTurn: true,
  });
});
report("rows layout, hearts on 620 × 430 mm, known", () =>
  layOutRows({
    outline: { kind: "heart", widthMm: 80, heightMm: 72 },
    sheet,
    webMm: 1,
    marginMm: 8,
    mayTurn: true,
  }),
);
report("rows layout, 80 mm rounds on a 430 mm round sheet", () =>
  layOutRows({
    outline: { kind: "disc", diameterMm: 80 },
    sheet: { widthMm: 430, heightMm: 430, shape: "oval" },
    webMm: 1,
    marginMm: 8,
    mayTurn: true,
  }),
);
report("two sizes in equal numbers on 620 × 430 mm", () =>
  layOutTogether({
    outlines: [80, 72].map((diameterMm) => ({
      outline: { kind: "disc", diameterMm } as const,
      webMm: 1,
      ratio: 1,
    })),
    sheet,
    marginMm: 8,
    mayTurn: true,
  }),
);
report("cut plan, 96 rounds, three answers", () =>
  planCuts({
    ...rolling,
    demands: [demand("moon", 90)],
    tearSharePer100Mm: 0,
    pinnedSheet: null,
    boughtSheet: null,
    decoration: null,
  }),
);
report("cut plan, 96 tops and 96 bases", () =>
  planCuts({
    ...rolling,
    demands: [demand("top", 80), { ...demand("base", 72), isVisible: false }],
    tearSharePer100Mm: 0,
    pinnedSheet: null,
    boughtSheet: null,
    decoration: null,
  }),
);
report("cut plan, 8 outlines × 75, nothing remembered", () =>
  planCuts({
    ...rolling,
    sheetLimit: { ...rolling.sheetLimit, widthMm: rolling.sheetLimit.widthMm - (turn++ % 1000) / 1e4 },
    demands: Array.from({ length: 8 }, (_, i) => ({ ...demand(`kind-${i}`, 60 + 8 * i), count: 75 })),
    tearSharePer100Mm: 0,
    pinnedSheet: null,
    boughtSheet: null,
    decoration: null,
  }),
);
report("wheel cuts, 83 × 47 mm on 640 × 430 mm", () =>
  layOutWheelCuts({
    piece: { widthMm: 83, heightMm: 47 },
    sheet: { widthMm: 640, heightMm: 430 },
    webMm: 0,
    marginMm: 8,
    mayTurn: true,
  }),
);
report("tight search, one attempt, 31 rounds of 90 mm", () => {
  const search = searchTightDiscs({
    discs: [{ diameterMm: 90, ratio: 1 }],
    sheet,
    webMm: 0,
    marginMm: 8,
    seed: 1,
  });
  let turn = search.next();
  while (!turn.done && turn.value.attempts < 1) turn = search.next();
});
for (const [name, search] of [
  [
    "10 mm rounds on 2000 × 2000 mm",
    searchTightDiscs({
      discs: [{ diameterMm: 10, ratio: 1 }],
      sheet: { widthMm: 2000, heightMm: 2000 },
      webMm: 0,
      marginMm: 0,
      seed: 1,
    }),
  ],
  [
    "hearts of 20 mm on 1400 × 700 mm",
    searchTightOutlines({
      outlines: [{ outline: { kind: "heart", widthMm: 20, heightMm: 20 }, ratio: 1 }],
      sheet: { widthMm: 1400, heightMm: 700 },
      webMm: 0,
      marginMm: 0,
      mayTurn: true,
      seed: 1,
    }),
  ],
] as const) {
  const endMs = performance.now() + 3000;
  let [longestMs, firstMs] = [0, 0];
  for (let atMs = performance.now(); atMs < endMs;) {
    search.next();
    const nowMs = performance.now();
    if (firstMs === 0) firstMs = nowMs - atMs;
    else longestMs = Math.max(longestMs, nowMs - atMs);
    atMs = nowMs;
  }
  console.log(
    `tight search, ${name}: first turn ${firstMs.toFixed(0)} ms, longest of the others ${longestMs.toFixed(0)} ms`,
  );
}
const dough = {
  doughG: 3000,
  densityGPerMl: 1.2,
  webMm: 2,
  marginMm: 8,
  sheetLimit: sheet,
  rerollLimit: 2,
  rerollLossShare: 0.02,
  rerollShrinkShare: 0.01,
  mayTurn: true,
  handTimes: craftHandTimes,
};
report("how many will 3 kg make: 3 cutters, 7 thicknesses, menus known", () =>
  tabulateYield({
    dough,
    outlines: [disc, { kind: "disc", diameterMm: 60 }, { kind: "square", sideMm: 110 }],
    thicknessesMm: [2, 2.5, 3, 3.5, 4, 5, 6],
    chosen: { outline: 0, thickness: 2 },
    wanted: 48,
  }),
);
report("capacity of a half-moon", () =>
  computeFold({
    form: "halfMoon",
    cut: disc,
    thicknessMm: 3,
    springBackShare: 0.03,
    marginMm: 12,
    plumpness: 0.5,
  }),
);
report("schedule of 60 tasks in chains of 3", () => constructSchedule(chains(20)), 10);
report("schedule of 300 tasks in chains of 3", () => constructSchedule(chains(100)), 5);
report(
  "schedule of 60 tasks improved, 100 tries",
  () => improveSchedule(chains(20), { random: createRandom(1), isOver: (tries) => tries >= 100 }),
  3,
);
const gaps = [20, 25, 30, 35, 40, 45, 50, 55, 60, 60].map((count, i) => {
  const { problem, dayMin } = takeApart(count, 1000 + i);
  const endMs = performance.now() + 2000;
  const { schedule } = improveSchedule(problem, {
    random: createRandom(1),
    isOver: () => performance.now() >= endMs,
  });
  return (schedule.cost.latenessMin + schedule.cost.dayMin - dayMin) / dayMin;
});
reportShare("above the known best after 2 s, 10 days of 20 to 60 tasks", gaps);
const composition = { waterShare: 0.2, fatShare: 0.26, sugarShare: 0.02, starchShare: 0.38 };
const chilled = (body: Body) => () =>
  chill({
    body,
    composition,
    densityGPerMl: 1.2,
    startC: 20,
    wrapped: true,
    stays: [{ place: "fridge", airC: 4, minutes: 120, turnOver: false }],
  });
report("conduction, sheet 4 mm, 2 h in the fridge (1-D)", chilled({ kind: "slab", thicknessMm: 4 }));
report("conduction, ball 60 mm, 2 h in the fridge (1-D)", chilled({ kind: "ball", diameterMm: 60 }));
report(
  "conduction, disc 160 × 30 mm, 2 h in the fridge (2-D)",
  chilled({ kind: "disc", diameterMm: 160, heightMm: 30 }),
);
const paste = starterFormulas
  .flatMap(({ lines }) => lines.map(({ amountText, name }) => `${amountText} ${name}`))
  .join("\n");
report("reading a paste of 60 lines against the ingredient book", () =>
  parseFormulaText(paste, { system: "us", eggSize: "medium", ingredients: standardIngredients }),
);
report("day plan, demo Saturday, rests known", () => planDay(book));
/** One job in ten is late, by up to so much, min. */
const LATE_SHARE = 0.1;
const MOST_LATE_MIN = 12;
const market = toDayBook(records, "2026-12-05", null);
if (!market) throw new Error("The demo world has no great market.");
report("day plan, market of all twelve: ovens, fryer, moulds", () => planDay(market), 10);
report("two days together, every offer of the market's eve", () => answerAhead(market, null), 3);
const askedIfs = answerDay(market).ifs.length;
report(
  `what-ifs of the market, ${askedIfs} each planned whole, with the day itself`,
  () => answerDay(market),
  5,
);
const { problem, schedule } = planDay(market);
if (problem && schedule) {
  const endMs = performance.now() + 10_000;
  const found = improveSchedule(
    problem,
    { random: createRandom(1), isOver: () => performance.now() >= endMs },
    schedule,
  );
  console.log(
    `the market's working day: ${schedule.cost.dayMin} min constructed, ${found.schedule.cost.dayMin} after 10 s ` +
      `(${found.tries} tries), no day under ${found.bound.dayMin}`,
  );
}
if (isWanted("habits")) benchHabits();
if (isWanted("the market run through")) reportRun(market);
console.log(`the market's plan, by the checkers: ${checkDay(planDay(market)).length} findings`);
for (const date of ["2026-11-28", "2026-11-29", "2026-11-30", "2026-12-05"]) {
  const day = toDayBook(records, date, null);
  if (!day) throw new Error(`The demo world has no ${date}.`);
  const edited = day.orders[0]?.pieceId;
  report(`a piece's thickness edited, demo ${date}`, () =>
    planDay({
      ...day,
      pieces: day.pieces.map((piece) =>
        piece.id === edited ? { ...piece, thicknessMm: piece.thicknessMm + (turn++ % 1000) / 1e4 } : piece,
      ),
    }),
  );
  report(`a piece's plumpness edited, demo ${date}`, () =>
    planDay({
      ...day,
      pieces: day.pieces.map((piece) =>
        piece.id === edited ? { ...piece, plumpness: 0.3 + (turn++ % 1000) / 1e4 } : piece,
      ),
    }),
  );
}
report("day plan, demo Saturday, a new rest by conduction each time", () =>
  planDay({ ...book, kitchen: { ...book.kitchen, mixedC: 18 + (turn++ % 100) / 50 } }),
);
const eightKinds: DayBook = (() => {
  const pieces = Array.from({ length: 8 }, (_, i) => {
    const base = book.pieces[i % book.pieces.length];
    if (!base) throw new Error("The demo world has no pieces.");
    const grow = 1 + 0.05 * i;
    return { ...base, id: `kind-${i}`, name: `Kind ${i + 1}`, cut: scaleOutline(base.cut, grow) };
  });
  const orders = pieces.map(({ id }, i) => ({
    id: `e${i}`,
    dayId: book.day.id,
    pieceId: id,
    count: 75,
    dueMin: 720 + i * 30,
    customer: "",
  }));
  return { ...book, pieces, orders };
})();
/** The same book with its sheets drawn a hair differently each time: nothing that was cut before is remembered. */
const unknown = (known: DayBook): DayBook => ({
  ...known,
  bench: { ...known.bench, sheetMaxWidthMm: known.bench.sheetMaxWidthMm - (turn++ % 1000) / 1e4 },
});
report("day plan, 600 pieces of 8 kinds, nothing remembered", () => planDay(unknown(eightKinds)), 10);
report("day plan, market of all twelve, nothing remembered", () => planDay(unknown(market)), 10);
for (const [count, repeats] of [
  [1, 30],
  [10, 30],
  [100, 8],
  [300, 4],
  [1000, 3],
] as const)
  report(
    `day plan, ${count} orders of 10 pieces, nothing remembered`,
    () => planDay(unknown(withOrders(count))),
    repeats,
  );

function chains(count: number): ScheduleProblem {
  const plain = { capacity: 1, gapMin: 0, away: [] } as const;
  const free = { releaseMin: null, weight: 1, pinnedMin: null } as const;
  const on = (resourceId: string, durationMin: number, heatC: number | null): ScheduleTask["modes"] => [
    {
      durationMin,
      uses: [{ resourceId, fromMin: 0, toMin: durationMin, amount: 1 }],
      heat: heatC === null ? null : { startC: heatC, endC: heatC },
    },
  ];
  const after = (taskId: string, minWaitMin: number) => [{ taskId, minWaitMin, maxWaitMin: null }];
  const tasks = Array.from({ length: count }, (_, i): ScheduleTask[] => [
    { ...free, id: `work${i}`, modes: on("hands", 4, null), after: [], dueMin: null },
    {
      ...free,
      id: `bake${i}`,
      modes: on("oven", 12, 180 + (i % 3) * 10),
      after: after(`work${i}`, 20),
      dueMin: null,
    },
    { ...free, id: `finish${i}`, modes: on("hands", 2, null), after: after(`bake${i}`, 10), dueMin: 1400 },
  ]).flat();
  return {
    tasks,
    resources: [
      { ...plain, id: "hands", heater: null, isHands: true },
      {
        ...plain,
        id: "oven",
        heater: { restC: 20, heatUpCPerMin: 10, coolDownCPerMin: 4, toleranceC: 0 },
        isHands: false,
      },
    ],
    holds: [],
    openMin: 0,
  };
}

/** The day run through with seeded delays, one hand after the other as its turn comes: how long each re-time takes. */
function runThrough(sheet: RunSheet, seed: number) {
  const random = createRandom(seed);
  const events: RunEvent[] = [];
  const took: number[] = [];
  const follower = followRun(sheet);
  let laid: Retimed["laid"] = sheet.placed;
  let moved = 0;
  const told = { person: 0, deviceId: "bench" };
  const happen = (event: RunEvent) => {
    events.push(event);
    const startedMs = process.cpuUsage();
    const { retimed } = follower.follow(events, event.atMin).now;
    took.push(process.cpuUsage(startedMs).user / 1000);
    laid = retimed.laid;
    moved += retimed.moved.length;
  };
  const done = new Set<string>();
  while (done.size < sheet.jobs.length) {
    const next = [...laid]
      .filter(({ taskId }) => !done.has(taskId))
      .sort((a, b) => a.startMin - b.startMin)[0]!;
    const { plannedMin } = sheet.jobs.find(({ taskId }) => taskId === next.taskId)!;
    const lateMin = random() < LATE_SHARE ? random() * MOST_LATE_MIN : 0;
    const endMin = next.startMin + plannedMin + lateMin;
    happen({ ...told, id: `b ${next.taskId}`, kind: "begun", taskId: next.taskId, atMin: next.startMin });
    happen({ ...told, id: `d ${next.taskId}`, kind: "done", taskId: next.taskId, atMin: endMin });
    done.add(next.taskId);
  }
  return { took, moved };
}

function reportRun(day: DayBook): void {
  const sheet = freezeRun(planDay(day), day);
  if (!sheet) throw new Error("The demo world's great market has nothing to do.");
  // The face's worker times a day for nobody as it opens; the first day here is that one.
  const [cold, { took, moved }] = [runThrough(sheet, 2), runThrough(sheet, 1)];
  took.sort((a, b) => a - b);
  console.log(
    `the market run through, ${took.length} events, one job in ten late: re-time ${took[took.length >> 1]!.toFixed(1)} ms ` +
      `at the median, worst ${took.at(-1)!.toFixed(1)} (${Math.max(...cold.took).toFixed(1)} in a cold process), ${moved} moves`,
  );
}
