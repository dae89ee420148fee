import { nameForm, type FormDoubt, type FormFailure, type FormKind } from "../forming";
import type { SealDoubt } from "../sealing";
import { describeOutline, type Outline } from "../shape";
import { said, startWithArticle, withArticle, type WordsOf } from "./say";
import { formatLength, formatSide, formatSides } from "../units";

const whole = (lengthMm: number) => formatLength(lengthMm, 0);
const tenth = (lengthMm: number) => formatLength(lengthMm, 1);
const across = (sizesMm: readonly number[]) => formatSides(sizesMm, 2);
const round = (sizesMm: readonly number[]) => (sizesMm.length === 2 ? "an oval" : "a round");

/** What a form is made of instead. */
function sayWrongOutline(form: FormKind, cut: Outline, isOval: boolean): string {
  const outline = withArticle(describeOutline(cut));
  switch (form) {
    case "lidded":
      return `A lidded piece has a round, oval, square or rectangular base, not ${outline}.`;
    case "wrapped":
      return `A fruit is wrapped in a square, not ${outline}.`;
    case "gathered":
      return `A gathered piece is drawn up from a round, not ${outline}.`;
    case "lined":
    case "puck":
      return `${isOval ? "An oval" : "A round"} mould is lined with ${isOval ? "an oval" : "a round"}, not ${outline}.`;
    case "case":
      return `A case is cut round, not ${outline}.`;
    case "rosette":
      return `A rosette is rolled from a strip, not ${outline}.`;
    case "largeFold":
      return `A large fold is made of one round, not ${outline}.`;
    case "pressed":
      return `A press closes a round, not ${outline}.`;
    default:
      return `${startWithArticle(describeOutline(cut))} blank cannot be folded to a ${nameForm(form)}.`;
  }
}

export const formWords: WordsOf<FormFailure> = {
  wrongOutline: ({ form, cut, isOval }) =>
    said(sayWrongOutline(form, cut, isOval), "Choose another cut, or another form."),
  layersNotLevel: ({ form }) =>
    said(
      `Layers lie level only in a mould; a ${nameForm(form)} holds them beside each other.`,
      "Give a share of the room instead.",
    ),
  layersTooHigh: ({ layersMm, levelMm }) =>
    said(
      `The layers below are ${tenth(layersMm)} high and the filling stands at ${tenth(levelMm)}: nothing is left for it.`,
      `Make them ${tenth(layersMm - levelMm)} lower, or fill higher.`,
    ),
  foldMarginTooWide: ({ marginMm, depthMm, overMm, mostMm }) =>
    said(
      `A margin of ${formatLength(marginMm, 2)} leaves nothing to fill: the folded blank is ${whole(depthMm)} deep, ` +
        `${formatLength(Math.max(Math.ceil(overMm), 1), 0)} too little.`,
      `Keep the margin below ${whole(mostMm)} or take a larger blank.`,
    ),
  noRoomInFold: ({ wallMm, depthMm, mostMm }) =>
    said(
      `Dough of ${tenth(wallMm)} leaves no room inside: the fold has ${whole(depthMm)} inside the margin.`,
      `Roll it below ${tenth(mostMm)} or take a larger blank.`,
    ),
  largeFoldTooSmall: ({ marginMm, depthMm }) =>
    said(
      `A margin of ${formatLength(marginMm, 2)} leaves nothing to fill: folded, the round is ${whole(depthMm)} deep.`,
      "Take a larger round or a narrower margin.",
    ),
  spreadTooThick: ({ spreadMm, mostMm }) =>
    said(
      `Spread ${formatLength(spreadMm, 2)} thick, the dough does not close over it: at most ${whole(mostMm)}, ` +
        `${whole(spreadMm - mostMm)} less.`,
      "Spread thinner or take a larger round.",
    ),
  heapMarginTooWide: ({ marginMm, baseMm, overMm }) =>
    said(
      `A margin of ${formatLength(marginMm, 2)} leaves nothing to fill on a base that settles to ${whole(baseMm)}, ` +
        `${formatLength(Math.max(Math.ceil(overMm), 1), 0)} too little on each side.`,
      `Keep it below ${whole(baseMm / 2)} or take a larger base.`,
    ),
  topTooSmall: ({ underMm, oversizeMm }) =>
    said(
      `The top is smaller than the base by ${tenth(underMm)}: it does not even reach the rim.`,
      `Cut it ${tenth(oversizeMm)} larger than the base for this plumpness.`,
    ),
  stickTooShort: ({ lengthMm, insideMm, gripMm }) =>
    said(
      `The stick is ${formatLength(lengthMm, 2)}; ${whole(insideMm)} lie in the piece and ${formatLength(gripMm, 2)} are wanted to hold it by, ` +
        `${whole(gripMm - (lengthMm - insideMm))} more.`,
      `Take sticks of ${formatLength(Math.ceil(insideMm + gripMm), 0)}.`,
    ),
  stickShows: ({ coverMm, stickMm }) =>
    said(
      `At the stick’s tip the filling is ${tenth(coverMm)} deep and the stick ${formatLength(stickMm, 2)} thick: it shows.`,
      "Fill plumper, or take a thinner stick.",
    ),
  footTooWide: ({ footMm, fruitMm }) =>
    said(
      `The flat below is ${formatLength(footMm, 2)} across and the fruit only ${formatLength(fruitMm, 2)}.`,
      "Trim less off.",
    ),
  coreTooWide: ({ coreMm, fruitMm, mostMm }) =>
    said(
      `A core of ${formatLength(coreMm, 2)} leaves too little of a fruit ${formatLength(fruitMm, 2)} across: it falls apart.`,
      `Core it at most ${formatLength(Math.floor(mostMm), 0)} wide, ${formatLength(Math.ceil(coreMm - mostMm), 0)} less.`,
    ),
  squareTooSmall: ({ sideMm, neededMm, fruitMm, fruitHeightMm }) =>
    said(
      `The square must be ${formatLength(neededMm, 2)} for its corners to meet over this fruit, ${formatLength(fruitMm, 2)} across and ` +
        `${formatLength(fruitHeightMm, 2)} high; yours is ${formatLength(sideMm, 2)}, ${tenth(neededMm - sideMm)} short.`,
      "Cut it larger or take smaller fruit.",
    ),
  roundTooSmall: ({ roundMm, neededMm, hasGuideRing }) =>
    said(
      `A round of ${formatLength(roundMm, 2)} does not close over anything: margin${hasGuideRing ? ", dough and the guide ring" : " and dough"} ` +
        `alone take ${whole(neededMm)}, ${whole(neededMm - roundMm)} more.`,
      "Take a larger round.",
    ),
  rolledTooSmall: ({ gatheredMm, acrossMm }) =>
    said(
      `Gathered, it is ${whole(gatheredMm)} across before it is rolled; ${formatLength(acrossMm, 2)} is ` +
        `${whole(gatheredMm - acrossMm)} less.`,
      "Roll it wider, or take a smaller round.",
    ),
  topTooThin: ({ acrossMm, topMm, leastMm, widestMm }) =>
    said(
      `After rolling to ${formatLength(acrossMm, 2)} the top is ${tenth(topMm)} thick: below ${formatLength(leastMm, 2)} it will burst.`,
      `Roll it to at most ${whole(widestMm)}, or roll the round thicker.`,
    ),
  flutesTooDeep: ({ fluteMm, baseMm }) =>
    said(
      `Flutes of ${formatLength(fluteMm, 2)} leave nothing of a base ${formatLength(baseMm, 2)} across.`,
      `They are at most ${formatLength(Math.floor(baseMm / 2), 0)} deep: measure them from crest to valley.`,
    ),
  liningTooSmall: ({ cutsMm, neededMm, wallMm, leastWallMm }) =>
    said(
      `The mould needs ${round(cutsMm)} of ${across(neededMm)} to be lined to its rim; yours is ${across(cutsMm)}, ` +
        `and pressed up to the rim it comes to ${tenth(wallMm)}, which tears below ${formatLength(leastWallMm, 2)}.`,
      "Cut it larger or roll it thicker.",
    ),
  noRoomInMould: ({ wallMm, depthMm, baseMm }) =>
    said(
      `Lined ${tenth(wallMm)} thick nothing is left inside a mould ${formatLength(depthMm, 2)} deep and ${whole(baseMm)} across its base.`,
      "Roll it thinner.",
    ),
  toppingTooWide: ({ overMm, mostMm }) =>
    said(
      `The cut-out is ${whole(overMm)} wider than the rim.`,
      `Take one of at most ${formatLength(mostMm, 2)}.`,
    ),
  holeTooWide: ({ holeMm, roundMm, wallMm, leastWallMm }) => {
    const widestMm = roundMm - 2 * leastWallMm;
    return said(
      wallMm > 0
        ? `${startWithArticle(`${formatLength(holeMm, 2)} centre`)} leaves a wall of ${tenth(wallMm)} in ${withArticle(`${formatLength(roundMm, 2)} round`)}; below ${formatLength(leastWallMm, 2)} it falls over.`
        : `${startWithArticle(`${formatLength(holeMm, 2)} centre`)} leaves no wall in ${withArticle(`${formatLength(roundMm, 2)} round`)}.`,
      widestMm > 0
        ? `Take a centre of at most ${formatLength(widestMm, 2)}.`
        : `Take a round of at least ${formatLength(holeMm + 2 * leastWallMm, 2)}.`,
    );
  },
  tooLargeForCavity: ({ stripMm, rolledMm, cavityMm, mostStripMm }) =>
    said(
      `Rolled up, a ${whole(stripMm)} strip is ${whole(rolledMm)} across; the cavity is ${formatLength(cavityMm, 2)}, ` +
        `${whole(rolledMm - cavityMm)} too small.`,
      `Cut it at most ${whole(mostStripMm)} long, or roll it thinner.`,
    ),
  pressNotReached: ({ pressMm, settledMm, neededMm }) =>
    said(
      `The press is ${formatLength(pressMm, 2)} across and the round settles to ${tenth(settledMm)}: its edge is not caught, ` +
        `${tenth(pressMm - settledMm)} short.`,
      `Cut it ${formatLength(neededMm, 2)} or more.`,
    ),
};

export const doubtWords: WordsOf<FormDoubt | SealDoubt> = {
  pressedUp: ({ cutsMm, neededMm, shortMm, wallMm, rolledMm }) =>
    said(
      `its ${across(cutsMm)} round stops ${tenth(shortMm)} below the rim; pressed up by hand the wall comes to ` +
        `${tenth(wallMm)} instead of ${formatSide(rolledMm, 1)}.`,
      `It lines without pressing from ${across(neededMm)}.`,
    ),
  cornersShort: ({ overlapMm, askedMm, gapMm, sideMm, wantedMm }) =>
    said(
      `its corners meet with ${whole(overlapMm)} over each other instead of ${formatSide(askedMm, 2)}` +
        `${gapMm >= 1 ? `, and between them the fruit shows up to ${whole(gapMm)} wide` : ""}.`,
      `Pinch well, or cut the square ${formatLength(wantedMm, 2)}, ${tenth(wantedMm - sideMm)} larger.`,
    ),
  marginTooNarrow: ({ crimp, needsMm, marginMm, shortMm }) =>
    said(
      `${crimp} needs ${formatLength(needsMm, 2)} of clean rim; the margin is ${formatLength(marginMm, 2)}, ${tenth(shortMm)} short.`,
      "Widen the margin or choose another crimp.",
    ),
};
