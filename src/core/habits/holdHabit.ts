import { factorBandInPlace, solveFactoredInPlace } from "../bandSolver";
import { requireThat } from "../require";

/** What the craft reckoned for a lot: the share that leaks, and how far each cause moved its log-odds. */
export interface CraftHold {
  readonly craftLeakShare: number;
  /** Log-odds by cause, those that move nothing left out; empty where nobody wrote down what the share came from. */
  readonly craftCauses: Readonly<Record<string, number>>;
}

/** Leaks counted in all the lots of one piece of which the craft reckoned the same. */
export interface HoldSums extends CraftHold {
  readonly pieceId: string;
  readonly lots: number;
  readonly pieces: number;
  readonly leaked: number;
}

/** Leaks counted in lots of one piece of which only the share foretold is known. */
export interface LeakSums {
  readonly lots: number;
  readonly leaked: number;
  /** Foretold by the craft. */
  readonly expected: number;
}

/** One lot, as far as its leaks go. */
export interface LeakOutcome extends CraftHold {
  readonly pieceId: string;
  readonly pieces: number;
  /** Null where nobody counted. */
  readonly leaked: number | null;
}

/** All leaks that were counted. */
export interface HoldLog {
  /** By piece id: lots without causes. */
  readonly leaks: Readonly<Record<string, LeakSums>>;
  readonly holds: readonly HoldSums[];
}

/** What this baker's hands do to the craft's figures. */
export interface HoldHabit {
  /** By piece id: how much likelier it leaks than its causes tell. Not there: 1. */
  readonly oddsRatios: Readonly<Record<string, number>>;
  /** By cause: how much more it weighs than the craft says. Not there: 1. */
  readonly weights: Readonly<Record<string, number>>;
}

/** Worth of the craft's prior for a piece, in leaks: as if it had foretold three and seen three. */
const PRIOR_LEAKS = 3;
/** Spread of a weight about 1 before anything is logged: a rule of thumb is mostly right within half of what it says. */
const PRIOR_SPREAD = 0.5;
/** No log makes a cause weigh less than this: then it would be none, and below nothing it would be turned round. */
const LEAST_WEIGHT = 0.1;
/** Foretold shares are taken to be this far from none and from all: log-odds have an end nowhere. */
const LEAST_SHARE = 1e-6;
/** Steps of the search; it mostly ends after five. */
const MOST_STEPS = 60;
/** It ends where no figure moves by more than this, in log-odds. */
const STILL = 1e-9;

/** A lot added to the log, or (`times` -1) one taken out of it. Lots that nobody counted change nothing. */
export function addToHoldLog({ leaks, holds }: HoldLog, lot: LeakOutcome, times: 1 | -1): HoldLog {
  const { pieceId, pieces, leaked, craftLeakShare, craftCauses } = lot;
  if (leaked === null) return { leaks, holds };
  if (Object.keys(craftCauses).length === 0) {
    const sums = leaks[pieceId] ?? { lots: 0, leaked: 0, expected: 0 };
    const expected = sums.expected + times * pieces * craftLeakShare;
    return {
      leaks: {
        ...leaks,
        [pieceId]: { lots: sums.lots + times, leaked: sums.leaked + times * leaked, expected },
      },
      holds,
    };
  }
  const at = holds.findIndex((sums) => sums.pieceId === pieceId && isSameHold(sums, lot));
  const found = holds[at];
  if (!found) {
    // What is not in the log cannot be taken out of it.
    const added = { pieceId, craftLeakShare, craftCauses, lots: 1, pieces, leaked };
    return { leaks, holds: times > 0 ? [...holds, added] : holds };
  }
  const lots = found.lots + times;
  const sums = {
    ...found,
    lots,
    pieces: found.pieces + times * pieces,
    leaked: found.leaked + times * leaked,
  };
  return { leaks, holds: lots > 0 ? holds.with(at, sums) : holds.toSpliced(at, 1) };
}

function isSameHold(one: CraftHold, other: CraftHold): boolean {
  const causes = Object.keys(one.craftCauses);
  return (
    one.craftLeakShare === other.craftLeakShare &&
    causes.length === Object.keys(other.craftCauses).length &&
    causes.every((cause) => one.craftCauses[cause] === other.craftCauses[cause])
  );
}

/**
 * The likeliest ratio of each piece and weight of each cause, given every leak counted and the craft's prior: a
 * logistic regression on the craft's own log-odds. A weight has a normal prior about 1 and is never below
 * {@link LEAST_WEIGHT}; a piece's ratio has the prior of a gamma rate, worth {@link PRIOR_LEAKS}. Both are found
 * together: what several pieces share moves the weight, what one has alone moves its ratio. The posterior is concave,
 * so there is one answer, whatever the order of the log. Maximum a posteriori by Fisher scoring (McCullagh and Nelder,
 * Generalized Linear Models, 2nd ed., 2.5) on the figures that are free, each step halved until it does not lose.
 * O(steps · (situations · figures² + figures³)).
 * @throws {RangeError} If more leaked than were made.
 */
export function findHoldHabit(log: HoldLog): HoldHabit {
  const pieceIds = [
    ...new Set([...Object.keys(log.leaks), ...log.holds.map(({ pieceId }) => pieceId)]),
  ].sort();
  const causes = [...new Set(log.holds.flatMap(({ craftCauses }) => Object.keys(craftCauses)))].sort();
  if (pieceIds.length === 0) return { oddsRatios: {}, weights: {} };
  const model = createModel(log, pieceIds, causes);
  let figures = new Float64Array(pieceIds.length + causes.length).fill(1, pieceIds.length);
  let score = model.score(figures);
  for (let step = 0; step < MOST_STEPS; step++) {
    const move = model.findStep(figures);
    const after = (share: number) =>
      figures.map((figure, i) =>
        Math.max(figure + share * move[i]!, i < pieceIds.length ? -Infinity : LEAST_WEIGHT),
      );
    let share = 1;
    let next = after(share);
    let nextScore = model.score(next);
    while (nextScore < score && share > STILL) {
      next = after((share /= 2));
      nextScore = model.score(next);
    }
    const moved = next.reduce((most, figure, i) => Math.max(most, Math.abs(figure - figures[i]!)), 0);
    if (nextScore < score) break;
    [figures, score] = [next, nextScore];
    if (moved < STILL) break;
  }
  const named = (names: readonly string[], from: number, toFigure: (figure: number) => number) =>
    Object.fromEntries(names.map((name, i) => [name, toFigure(figures[from + i]!)]));
  return {
    oddsRatios: named(pieceIds, 0, Math.exp),
    weights: named(causes, pieceIds.length, (weight) => weight),
  };
}

/**
 * The posterior's logarithm: the logarithms of the pieces' ratios first, then the causes' weights. Log-odds are linear
 * in them; each situation's slopes are laid side by side, as they are walked at every step.
 */
function createModel({ leaks, holds }: HoldLog, pieceIds: readonly string[], causes: readonly string[]) {
  const size = pieceIds.length + causes.length;
  const situations = holds.map(({ pieceId, pieces, leaked, craftLeakShare, craftCauses }) => {
    requireThat("leaked", leaked, leaked <= pieces, "at most the pieces");
    const share = Math.min(Math.max(craftLeakShare, LEAST_SHARE), 1 - LEAST_SHARE);
    const moves = Object.entries(craftCauses);
    const places = [
      pieceIds.indexOf(pieceId),
      ...moves.map(([cause]) => pieceIds.length + causes.indexOf(cause)),
    ];
    const slopes = [1, ...moves.map(([, logOdds]) => logOdds)];
    // The craft's share is what all weights of 1 give.
    const bareOdds = moves.reduce((sum, [, logOdds]) => sum - logOdds, Math.log(share / (1 - share)));
    return { pieces, leaked, bareOdds, places: Int32Array.from(places), slopes: Float64Array.from(slopes) };
  });
  const rates = pieceIds.map((id) => ({
    leaked: (leaks[id]?.leaked ?? 0) + PRIOR_LEAKS,
    expected: (leaks[id]?.expected ?? 0) + PRIOR_LEAKS,
  }));
  function findLogOdds(
    figures: Float64Array,
    { bareOdds, places, slopes }: (typeof situations)[number],
  ): number {
    let sum = bareOdds;
    for (let i = 0; i < places.length; i++) sum += figures[places[i]!]! * slopes[i]!;
    return sum;
  }

  function score(figures: Float64Array): number {
    let sum = 0;
    rates.forEach(
      ({ leaked, expected }, i) => (sum += leaked * figures[i]! - expected * Math.exp(figures[i]!)),
    );
    for (let i = pieceIds.length; i < size; i++) sum -= (figures[i]! - 1) ** 2 / (2 * PRIOR_SPREAD ** 2);
    for (const situation of situations) {
      const logOdds = findLogOdds(figures, situation);
      const softplus = Math.max(logOdds, 0) + Math.log1p(Math.exp(-Math.abs(logOdds)));
      sum += situation.leaked * logOdds - situation.pieces * softplus;
    }
    return sum;
  }

  function findStep(figures: Float64Array): Float64Array {
    const gradient = new Float64Array(size);
    // Whole rows up to the diagonal: a band as wide as the matrix.
    const lower = new Float64Array(size * size);
    const cell = (row: number, column: number) =>
      Math.max(row, column) * size + size - 1 - Math.abs(row - column);
    rates.forEach(({ leaked, expected }, i) => {
      const rate = expected * Math.exp(figures[i]!);
      gradient[i] = leaked - rate;
      lower[cell(i, i)] = rate;
    });
    for (let i = pieceIds.length; i < size; i++) {
      gradient[i] = (1 - figures[i]!) / PRIOR_SPREAD ** 2;
      lower[cell(i, i)] = 1 / PRIOR_SPREAD ** 2;
    }
    for (const situation of situations) {
      const { pieces, leaked, places, slopes } = situation;
      const share = 1 / (1 + Math.exp(-findLogOdds(figures, situation)));
      const known = pieces * share * (1 - share);
      for (let i = 0; i < places.length; i++) {
        gradient[places[i]!]! += (leaked - pieces * share) * slopes[i]!;
        for (let k = 0; k <= i; k++) lower[cell(places[i]!, places[k]!)]! += known * slopes[i]! * slopes[k]!;
      }
    }
    for (let i = pieceIds.length; i < size; i++) {
      if (figures[i]! > LEAST_WEIGHT || gradient[i]! > 0) continue;
      // At its end and pushed further: it stays, and the others move as if it were given.
      gradient[i] = 0;
      for (let other = 0; other < size; other++) if (other !== i) lower[cell(i, other)] = 0;
    }
    factorBandInPlace(lower, size - 1);
    solveFactoredInPlace(lower, size - 1, gradient);
    return gradient;
  }

  return { score, findStep };
}

/** How many of a lot leak. */
export interface LeakForecast {
  readonly likelyCount: number;
  readonly lowCount: number;
  readonly highCount: number;
}

/** Standard deviations either way that a range covers: about nine in ten lots. */
const RANGE_DEVIATIONS = 1.6;

/** Leaks among so many pieces, by the binomial's mean and spread; whole and never beyond the pieces. */
export function forecastLeaks(pieces: number, leakShare: number): LeakForecast {
  const mean = pieces * leakShare;
  const reach = RANGE_DEVIATIONS * Math.sqrt(mean * (1 - leakShare));
  return {
    likelyCount: Math.round(mean),
    lowCount: Math.max(Math.floor(mean - reach), 0),
    highCount: Math.min(Math.ceil(mean + reach), pieces),
  };
}
