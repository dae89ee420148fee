import { addToHoldLog, type HoldLog, type LeakOutcome } from "./holdHabit";
import { addPaces, NO_PACES, sumPaces, type LotOutcome, type PaceSums } from "./lotHabit";
import { addYields, NO_YIELDS, sumYields, type CutOutcome, type YieldSums } from "./yieldHabit";

/** What hands are timed at. */
export const timedWorks = ["fill", "close"] as const;
export type TimedKind = (typeof timedWorks)[number];

/** The whole log before what is given record by record: sums, so that ten years weigh no more than a week. */
export interface PastLog extends HoldLog {
  /** By dough id. */
  readonly yields: Readonly<Record<string, YieldSums>>;
  /** By kind of work and style, as `toPaceKey` writes them. */
  readonly paces: Readonly<Record<string, PaceSums>>;
  /** Grams of liquid that each formula as written took last time, by formula id. */
  readonly tookLastG: Readonly<Record<string, number>>;
}

export const NO_PAST: PastLog = { yields: {}, paces: {}, leaks: {}, holds: [], tookLastG: {} };

export const toPaceKey = (kind: TimedKind, style: string): string => `${kind}:${style}`;

/** The log of one dough: what is past, and rollings beside it. */
export const gatherYields = (past: PastLog, doughId: string, rollings: readonly CutOutcome[]): YieldSums =>
  addYields(past.yields[doughId] ?? NO_YIELDS, sumYields(rollings));

/** The log of one style of work. */
export function gatherPaces(
  past: PastLog,
  kind: TimedKind,
  style: string,
  lots: readonly LotOutcome[],
): PaceSums {
  const works = lots.flatMap((lot) => lot[kind] ?? []);
  return addPaces(past.paces[toPaceKey(kind, style)] ?? NO_PACES, sumPaces(works, style));
}

/** All leaks that were counted. */
export const gatherHolds = ({ leaks, holds }: HoldLog, lots: readonly LeakOutcome[]): HoldLog =>
  lots.reduce<HoldLog>((log, lot) => addToHoldLog(log, lot, 1), { leaks, holds });

/**
 * The log without records that stand beside it and would count twice.
 * @param rollings - Each is in the sums. @param lots - Likewise.
 */
export function takeOutOfLog(
  past: PastLog,
  rollings: readonly (CutOutcome & { readonly doughId: string })[],
  lots: readonly (LotOutcome & { readonly pieceId: string })[],
): PastLog {
  const yields = { ...past.yields };
  for (const rolling of rollings) {
    const { share, shareSquares } = sumYields([rolling]);
    yields[rolling.doughId] = addYields(yields[rolling.doughId] ?? NO_YIELDS, {
      rollings: -1,
      share: -share,
      shareSquares: -shareSquares,
    });
  }
  const paces = { ...past.paces };
  let leaked: HoldLog = past;
  for (const lot of lots) {
    for (const kind of timedWorks) {
      const work = lot[kind];
      if (!work) continue;
      const key = toPaceKey(kind, work.style);
      const { log, logSquares } = sumPaces([work], work.style);
      paces[key] = addPaces(paces[key] ?? NO_PACES, { lots: -1, log: -log, logSquares: -logSquares });
    }
    leaked = addToHoldLog(leaked, lot, -1);
  }
  return { ...past, ...leaked, yields, paces };
}
