import { causesOf, type CauseFacts, type Trouble } from "./causes";
import { figureFacts, figureIds, type FigureId, type LotFigures, type Spread } from "./figures";

/** A figure on record and how much it says: how many times likelier it is with this cause than without any fault of it. */
export interface Speaking {
  readonly figure: FigureId;
  readonly value: number;
  readonly factor: number;
}

export interface RankedCause extends Pick<CauseFacts, "id" | "text" | "change"> {
  /** 0 to 1; together with “none of these” they are 1. */
  readonly probability: number;
  /** What is on record about it, what says most first. */
  readonly speaking: readonly Speaking[];
}

/** What to read or note next time, and how much it would tell. */
export interface Telling {
  readonly figure: FigureId;
  /** Bits that it is expected to take off the doubt. */
  readonly bits: number;
  /** The two that it would tell apart best. */
  readonly apart: readonly string[];
}

export interface Ranking {
  readonly causes: readonly RankedCause[];
  /** That it was none of these. */
  readonly otherwise: number;
}

/** How often a trouble comes of something that is not on the list, against all that is on it: one time in ten. */
const OTHERWISE_SHARE = 0.1;
/** No single figure is believed further than this: a reading may be wrong, or of another tray. One in fifty. */
const MISREAD_SHARE = 0.02;
/** A misread figure may be anywhere this many times as far from the usual as a usual one. */
const MISREAD_SPREAD = 6;
/** What tells less than this is not worth the asking, bits. */
const LEAST_BITS = 0.05;
/** Points at which a figure not known is tried, from four spreads below to four above: fine enough for a hundredth of a bit. */
const GRID = 81;
const GRID_SPREADS = 4;

/**
 * What caused a trouble, by Bayes' rule with one fault assumed: each cause's prior times how likely the figures on record
 * are with it. A figure that a cause does not speak of is as usual; a figure may be misread; what is not on record says
 * nothing, so that with nothing on record the order is the prior's.
 * See Russell & Norvig, Artificial Intelligence, “Naive Bayes models”.
 */
export function rankCauses(trouble: Trouble, figures: LotFigures): Ranking {
  const causes = causesOf[trouble];
  const known = figureIds.filter((id) => Number.isFinite(figures[id]));
  const weights = causes.map(({ where, prior }) =>
    known.reduce((sum, id) => {
      const spread = where[id];
      return spread ? sum + Math.log(compare(id, spread, figures[id]!)) : sum;
    }, Math.log(prior)),
  );
  const priors = causes.reduce((sum, { prior }) => sum + prior, 0);
  const other = Math.log((priors * OTHERWISE_SHARE) / (1 - OTHERWISE_SHARE));
  const most = Math.max(...weights, other);
  const total = [...weights, other].reduce((sum, each) => sum + Math.exp(each - most), 0);
  const share = (logWeight: number) => Math.exp(logWeight - most) / total;
  const ranked = causes
    .map(({ id, text, change, where }, i) => ({
      id,
      text,
      change,
      probability: share(weights[i]!),
      speaking: known
        .flatMap((figure): Speaking[] => {
          const spread = where[figure];
          const value = figures[figure]!;
          return spread ? [{ figure, value, factor: compare(figure, spread, value) }] : [];
        })
        .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor))),
    }))
    .sort((a, b) => b.probability - a.probability);
  return { causes: ranked, otherwise: share(other) };
}

/** How likely a value is, allowing that it was misread. */
const density = (id: FigureId, { mean, sd }: Spread, value: number): number => {
  const { usual } = figureFacts[id];
  return (
    (1 - MISREAD_SHARE) * normal(value, mean, sd) +
    MISREAD_SHARE * normal(value, usual.mean, usual.sd * MISREAD_SPREAD)
  );
};
const normal = (x: number, mean: number, sd: number): number =>
  Math.exp(-(((x - mean) / sd) ** 2) / 2) / (sd * Math.sqrt(2 * Math.PI));

/**
 * How many times likelier a value is with the fault than as usual. What lies on the other side of the usual is no less
 * than that against the fault: a piece that was chilled for twice its time did not go soft into the heat.
 */
const compare = (id: FigureId, faulty: Spread, value: number): number => {
  const { usual } = figureFacts[id];
  const isAway = (faulty.mean - usual.mean) * (value - usual.mean) < 0;
  const at = isAway ? usual.mean : value;
  // Far out both are as good as nothing: a figure out there was misread, and says nothing.
  const least = Number.MIN_VALUE;
  return Math.max(density(id, faulty, at), least) / Math.max(density(id, usual, at), least);
};

/**
 * Of the figures that are not on record the one that would tell most about a trouble: the largest expected loss of doubt,
 * over where it may stand. Null where none would tell enough to be worth the asking.
 */
export function findTelling(trouble: Trouble, figures: LotFigures): Telling | null {
  const { causes: ranked, otherwise } = rankCauses(trouble, figures);
  const facts = new Map(causesOf[trouble].map((each) => [each.id, each]));
  const chances = [...ranked.map(({ probability }) => probability), otherwise];
  const before = doubtOf(chances);
  let best: Telling | null = null;
  for (const id of figureIds) {
    const { usual } = figureFacts[id];
    const spreads = ranked.map((each) => facts.get(each.id)?.where[id] ?? usual);
    if (Number.isFinite(figures[id]) || spreads.every((spread) => spread === usual)) continue;
    const bits = before - expectDoubt(id, chances, [...spreads, usual]);
    if (bits < LEAST_BITS || (best && bits <= best.bits)) continue;
    const spoken = ranked.find((_, i) => spreads[i] !== usual);
    const silent = ranked.find((_, i) => spreads[i] === usual);
    best = { figure: id, bits, apart: [spoken, silent].flatMap((each) => (each ? [each.text] : [])) };
  }
  return best;
}

const doubtOf = (chances: readonly number[]): number =>
  chances.reduce((sum, each) => (each > 0 ? sum - each * Math.log2(each) : sum), 0);

/** The doubt that is left on average once a figure is known, bits; integrated over where it may stand. */
function expectDoubt(id: FigureId, chances: readonly number[], spreads: readonly Spread[]): number {
  const low = Math.min(...spreads.map(({ mean, sd }) => mean - GRID_SPREADS * sd));
  const high = Math.max(...spreads.map(({ mean, sd }) => mean + GRID_SPREADS * sd));
  let [doubt, mass] = [0, 0];
  for (let i = 0; i < GRID; i++) {
    const value = low + ((high - low) * i) / (GRID - 1);
    const joint = spreads.map((spread, at) => chances[at]! * density(id, spread, value));
    const sum = joint.reduce((total, each) => total + each, 0);
    if (sum <= 0) continue;
    doubt += sum * doubtOf(joint.map((each) => each / sum));
    mass += sum;
  }
  return mass > 0 ? doubt / mass : 0;
}
