import type { Wetness } from "../formula";
import { crimps, findCrimp, type CrimpId } from "./crimps";
import { glues, type GlueId } from "./glue";
import { adviseVentKind, computeVentShare, describeVents, type Vents } from "./vents";
import { formatLength, formatSide } from "../units";

/** What decides whether a seam holds in the heat. */
export interface HoldFacts {
  readonly crimp: CrimpId;
  readonly glue: GlueId;
  readonly marginMm: number;
  /** 0 flat to 1 as round as the dough goes. */
  readonly plumpness: number;
  readonly wetness: Wetness;
  readonly vents: Vents;
  readonly topMm2: number;
  readonly chillMin: number;
  /** The seam as a share of the edge it closes; less than 1 where the edge is drawn to a point. */
  readonly seamShare: number;
  /** Crimps that the form can have: no other is named as a mend. */
  readonly crimpsOnOffer: readonly CrimpId[];
  /** Of the dough as the piece is closed: above its window the fat is soft. */
  readonly doughC: number;
  /** Above this the dough smears. */
  readonly smearsC: number;
}

/** What a baker's log says of the craft's odds. */
export interface SealingHands {
  /** How much likelier this piece leaks than its causes tell. */
  readonly oddsRatio: number;
  /** How much more than the craft says each cause weighs, by its key; above 0. Not there: as the craft says. */
  readonly weights: Readonly<Record<string, number>>;
}

/** Hands of which nothing is logged. */
export const CRAFT_HANDS: SealingHands = { oddsRatio: 1, weights: {} };

/** One reason and how far it moves the odds, as a factor of them. */
export interface HoldCause {
  readonly text: string;
  readonly oddsFactor: number;
  /** How much more it weighs than the craft says, by the log. */
  readonly weight: number;
}

export interface HoldMend {
  readonly text: string;
  readonly change: Partial<
    Pick<HoldFacts, "crimp" | "glue" | "marginMm" | "plumpness" | "vents" | "chillMin">
  >;
  readonly leakShare: number;
}

export interface HoldRisk {
  /** Of a hundred such pieces, so many hundredths leak. */
  readonly leakShare: number;
  /** The same before the log corrected it. */
  readonly craftShare: number;
  /** What moves the craft's odds, log-odds by key: what a log needs to tell one cause from another. */
  readonly craftCauses: Readonly<Record<string, number>>;
  /** What moves the odds, most first. */
  readonly causes: readonly HoldCause[];
  /** Single changes that lower it, the one that lowers it most first. */
  readonly mends: readonly HoldMend[];
}

/**
 * Log-odds that a piece leaks whose margin is what its pinched crimp needs, half plump, moist, glued with water, vented
 * and chilled hard. This and the weights below are not measured: they are the craft's rules of thumb put into figures,
 * each with its rule beside it, and what is logged moves each. Here: of a tray of thirty one leaks.
 */
const BASE_LOG_ODDS = -3.4;
/** For a margin so much wider than needed, as a share of the need; narrower is worse by the same. A third more halves the leaks. */
const MARGIN_WEIGHT = 1.6;
/** Beyond this a wider margin helps no more. */
const MARGIN_REACH = 0.6;
/** A crimp made on this share of the margin it needs is no stronger than a pinch: there is nothing to fold. */
const NO_CRIMP_SHARE = 0.5;
/** From half full to brim the leaks go up four and a half times. */
const PLUMP_WEIGHT = 3;
/** What boils leaks two and a half times as often as what only softens; what is dry, half as often. */
const WETNESS_WEIGHT: Readonly<Record<Wetness, number>> = { dry: -0.6, moist: 0, wet: 0.9 };
/** A top without any vent, against one that has all it wants: two and a half times. */
const VENT_WEIGHT = 0.9;
/** A piece that goes into the heat without a chill, fat soft: as bad as no vent. */
const SOFT_WEIGHT = 0.9;
/** Minutes after which two thirds of that are gone. */
const CHILL_TIME_MIN = 15;
/** Each degree that the dough is above its window while it is closed: nine degrees double the leaks. */
const WARM_WEIGHT_PER_C = 0.08;
/** Figures of a log are kept to so many log-odds: lots that are alike are then one line of it. */
const LOGGED_STEP = 0.01;
/** Causes that move the odds by less than this are not worth a line. */
const LEAST_LOG_ODDS = 0.04;
/** Steps of the mends that are tried. */
const WIDER_MM = 2;
const LEANER = 0.1;
const LONGER_CHILL_MIN = 15;
const LEAST_PLUMPNESS = 0.05;

/** How likely a piece leaks, why, and what would lower it most: a logistic score with one weight a cause. */
export function scoreHold(facts: HoldFacts, hands: SealingHands): HoldRisk {
  const craft = listCauses(facts);
  const weigh = ({ key, logOdds }: CraftCause, { weights }: SealingHands) =>
    logOdds * (key === null ? 1 : (weights[key] ?? 1));
  const share = (each: HoldFacts, by: SealingHands) =>
    toShare(
      listCauses(each).reduce((sum, cause) => sum + weigh(cause, by), BASE_LOG_ODDS) + Math.log(by.oddsRatio),
    );
  const leakShare = share(facts, hands);
  const mends = listMends(facts)
    .map((mend) => ({ ...mend, leakShare: share({ ...facts, ...mend.change }, hands) }))
    .filter((mend) => mend.leakShare < leakShare)
    .sort((a, b) => a.leakShare - b.leakShare);
  return {
    leakShare,
    craftShare: share(facts, CRAFT_HANDS),
    craftCauses: Object.fromEntries(
      craft.flatMap(({ key, logOdds }) => {
        const steps = Math.round(logOdds / LOGGED_STEP);
        return key === null || steps === 0 ? [] : [[key, Number((steps * LOGGED_STEP).toFixed(2))]];
      }),
    ),
    causes: craft
      .map((cause) => ({
        ...cause,
        logOdds: weigh(cause, hands),
        weight: (cause.key && hands.weights[cause.key]) || 1,
      }))
      .filter(({ logOdds }) => Math.abs(logOdds) >= LEAST_LOG_ODDS)
      .sort((a, b) => Math.abs(b.logOdds) - Math.abs(a.logOdds))
      .map(({ text, logOdds, weight }) => ({ text, oddsFactor: Math.exp(logOdds), weight })),
    mends,
  };
}

const toShare = (logOdds: number) => 1 / (1 + Math.exp(-logOdds));

interface CraftCause {
  readonly text: string;
  /** Which of the craft's weights it goes by; null where it is no rule of thumb but a share of the seam. */
  readonly key: string | null;
  readonly logOdds: number;
}

function listCauses(facts: HoldFacts): CraftCause[] {
  const { marginMm, plumpness, wetness, vents, topMm2, chillMin, doughC, smearsC, seamShare } = facts;
  const crimp = findCrimp(facts.crimp);
  const glue = glues.find(({ id }) => id === facts.glue);
  const slack = (marginMm - crimp.needsMarginMm) / crimp.needsMarginMm;
  const ventShare = computeVentShare(vents, topMm2, wetness);
  const made = Math.min(Math.max((1 + slack - NO_CRIMP_SHARE) / (1 - NO_CRIMP_SHARE), 0), 1);
  return [
    {
      text: `a margin of ${formatLength(marginMm, 2)} where ${crimp.name.toLowerCase()} needs ${formatSide(crimp.needsMarginMm, 2)}`,
      key: "margin",
      logOdds: -MARGIN_WEIGHT * Math.min(Math.max(slack, -MARGIN_REACH), MARGIN_REACH),
    },
    // Half the seam has half the places to open at.
    {
      text: `${Math.round(seamShare * 100)} % of the edge is left to open`,
      key: null,
      logOdds: Math.log(seamShare),
    },
    {
      text: `${crimp.name.toLowerCase()}, against pinched`,
      key: `crimp:${crimp.id}`,
      logOdds: -crimp.strength * made,
    },
    {
      text: `filled to ${Math.round(plumpness * 100)} % of round`,
      key: "plumpness",
      logOdds: PLUMP_WEIGHT * (plumpness - 0.5),
    },
    { text: `a ${wetness} filling`, key: `wetness:${wetness}`, logOdds: WETNESS_WEIGHT[wetness] },
    {
      text: `glued with ${(glue?.name ?? "").toLowerCase()}`,
      key: `glue:${facts.glue}`,
      logOdds: -(glue?.strength ?? 0),
    },
    {
      text: `vents give ${Math.round(ventShare * 100)} % of the opening wanted`,
      key: "vents",
      logOdds: VENT_WEIGHT * (1 - ventShare),
    },
    {
      text: `chilled ${chillMin} min before the heat`,
      key: "chill",
      logOdds: SOFT_WEIGHT * Math.exp(-chillMin / CHILL_TIME_MIN),
    },
    {
      text: `closed at ${Math.round(doughC)} °C, ${Math.round(Math.max(doughC - smearsC, 0))} above its window`,
      key: "warmth",
      logOdds: WARM_WEIGHT_PER_C * Math.max(doughC - smearsC, 0),
    },
  ];
}

function listMends(facts: HoldFacts): Omit<HoldMend, "leakShare">[] {
  const { crimp, crimpsOnOffer, glue, marginMm, plumpness, vents, topMm2, wetness, chillMin } = facts;
  const strength = findCrimp(crimp).strength;
  const stronger = crimps.filter((each) => crimpsOnOffer.includes(each.id) && each.strength > strength);
  const advised = adviseVentKind(topMm2, wetness);
  const hasVents = computeVentShare(vents, topMm2, wetness) >= 1;
  return [
    { text: `margin ${formatLength(marginMm + WIDER_MM, 2)}`, change: { marginMm: marginMm + WIDER_MM } },
    ...stronger.map((each) => ({ text: each.name.toLowerCase(), change: { crimp: each.id } })),
    ...(glue === "egg" || glue === "white"
      ? []
      : [{ text: "egg white for glue", change: { glue: "white" as const } }]),
    ...(plumpness - LEANER >= LEAST_PLUMPNESS
      ? [
          {
            text: `plumpness ${Math.round((plumpness - LEANER) * 100)} %`,
            change: { plumpness: Number((plumpness - LEANER).toFixed(4)) },
          },
        ]
      : []),
    ...(hasVents ? [] : [{ text: describeVents(advised), change: { vents: advised } }]),
    { text: `chill ${chillMin + LONGER_CHILL_MIN} min`, change: { chillMin: chillMin + LONGER_CHILL_MIN } },
  ];
}
