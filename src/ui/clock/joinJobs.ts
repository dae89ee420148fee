import type { DayTask, Station, TaskKind } from "@/core/plan";

/** What is done, in a word or two. Bakes and fryings are told by their pieces. */
const verbs: Record<TaskKind, string> = {
  mix: "Mix",
  precook: "Cook",
  make: "Make",
  takeOut: "Take out",
  roll: "Roll, cut",
  sugar: "Sugar",
  line: "Line",
  fill: "Fill",
  warm: "Warm",
  pour: "Pour",
  seal: "Close",
  bake: "Bake",
  fry: "Fry",
  unmould: "Unmould",
  glaze: "Glaze",
  finish: "Set out",
  store: "Store",
};

/** Jobs that are drawn and told as one. */
export interface JoinedJobs {
  /** In the order in which they are begun; one at least. */
  readonly jobs: readonly [DayTask, ...DayTask[]];
  readonly startMin: number;
  readonly endMin: number;
}

/** A pause between two jobs of a lot that hands do not notice, min. */
const JOIN_GAP_MIN = 2;

/** Filling and closing are one sitting. */
const bench = ({ station }: DayTask): Station => (station === "seal" ? "fill" : station);
const thing = ({ pieceId, formulaId }: DayTask): string | null => pieceId ?? formulaId;

const alone = (job: DayTask): JoinedJobs => ({
  jobs: [job],
  startMin: job.placed.startMin,
  endMin: job.placed.endMin,
});
const join = (one: JoinedJobs, other: JoinedJobs): JoinedJobs => ({
  jobs: [...one.jobs, ...other.jobs],
  startMin: Math.min(one.startMin, other.startMin),
  endMin: Math.max(one.endMin, other.endMin),
});

/** What one person does in a row at one station to one thing, as one. @param jobs - Of one person. */
export function joinLots(jobs: readonly DayTask[]): JoinedJobs[] {
  const joined: JoinedJobs[] = [];
  for (const job of jobs.toSorted((a, b) => a.placed.startMin - b.placed.startMin)) {
    const before = joined.at(-1);
    const last = before?.jobs.at(-1);
    const goesOn =
      before &&
      last &&
      bench(last) === bench(job) &&
      thing(last) === thing(job) &&
      job.placed.startMin - before.endMin <= JOIN_GAP_MIN;
    if (goesOn) joined[joined.length - 1] = join(before, alone(job));
    else joined.push(alone(job));
  }
  return joined;
}

/** As it is drawn: from its start to its end, or wider where that is too narrow to read and to touch. */
export interface DrawnJobs extends JoinedJobs {
  readonly fromMin: number;
  readonly toMin: number;
}

/**
 * Bars that a finger hits, none over another. A short one takes room after it, else before it; where there is none, it
 * is joined with its neighbour until somebody looks closer.
 * @param leastMin - So many minutes are as wide as a finger needs.
 */
export function layBars(joined: readonly JoinedJobs[], leastMin: number): DrawnJobs[] {
  const bars: DrawnJobs[] = [];
  for (const each of joined.toSorted((a, b) => a.startMin - b.startMin)) {
    let bar = widen(each, leastMin);
    for (let before = bars.at(-1); before && before.toMin > bar.fromMin; before = bars.at(-1)) {
      bars.pop();
      const floor = bars.at(-1)?.toMin ?? -Infinity;
      const isFree = before.endMin <= bar.startMin && bar.fromMin - leastMin >= floor;
      if (isFree && before.endMin - before.startMin < leastMin) {
        bars.push({ ...before, fromMin: bar.fromMin - leastMin, toMin: bar.fromMin });
        break;
      }
      bar = widen(join(before, bar), leastMin);
    }
    bars.push(bar);
  }
  return bars;
}

const widen = (joined: JoinedJobs, leastMin: number): DrawnJobs => ({
  ...joined,
  fromMin: joined.startMin,
  toMin: Math.max(joined.endMin, joined.startMin + leastMin),
});

/** What jobs are called. */
export interface JobWords {
  /** On a bar: `Fill, close`. */
  readonly title: string;
  /** Where a bar is as narrow as a finger: `Fill`. */
  readonly short: string;
  /** Under it: `24 Leek triangle`. */
  readonly note: string;
  /** On a line of a list: `Fill, close Leek triangle`. */
  readonly line: string;
  /** Under that: `24`; empty where there is nothing to count. */
  readonly count: string;
}

/** @param nameOf - The name of a piece or a formula. */
export function sayJobs(
  { jobs }: Pick<JoinedJobs, "jobs">,
  nameOf: (pieceOrFormulaId: string) => string,
): JobWords {
  const things = [...new Set(jobs.map(thing))];
  const done = [...new Set(jobs.map(({ kind }) => verbs[kind]))];
  const title = done.map((verb, i) => (i === 0 ? verb : verb.toLowerCase())).join(", ");
  const short = verbs[jobs[0].kind].replace(/,.*/, "");
  const [only] = things;
  const count = things.length > 1 || !only ? `${jobs.length} jobs` : sayHowMuch(jobs);
  const named = things.length > 1 || !only ? "" : nameOf(only);
  const isSheets = jobs.every(({ kind }) => kind === "roll");
  return {
    ...{ title, short, count },
    note: isSheets ? [named, count].filter(Boolean).join(", ") : [count, named].filter(Boolean).join(" "),
    line: [title, named].filter(Boolean).join(" "),
  };
}

/** `4 sheets`, or the pieces that went through; nothing where pieces are not counted. */
function sayHowMuch(jobs: readonly DayTask[]): string {
  if (jobs.every(({ kind }) => kind === "roll")) return jobs.length > 1 ? `${jobs.length} sheets` : "";
  const byKind = new Map<TaskKind, number>();
  for (const { kind, pieces } of jobs) byKind.set(kind, (byKind.get(kind) ?? 0) + pieces);
  const most = Math.max(...byKind.values());
  return most > 0 ? String(most) : "";
}
