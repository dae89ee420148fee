import { nameForm, type FormDoubt, type FormFailure, type FormKind } from "../forming";
import type { SealDoubt } from "../sealing";
import { describeOutline, type Outline } from "../shape";
import { said, startWithArticle, withArticle, type WordsOf } from "./say";

const whole = (mm: number) => mm.toFixed(0);
const tenth = (mm: number) => mm.toFixed(1);
/** To a tenth, a whole number without it. */
const upToTenth = (mm: number) => String(Number(mm.toFixed(1)));
const across = (sizesMm: readonly number[]) => sizesMm.join(" × ");
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
      `The layers below are ${tenth(layersMm)} mm high and the filling stands at ${tenth(levelMm)} mm: nothing is left for it.`,
      `Make them ${tenth(layersMm - levelMm)} mm lower, or fill higher.`,
    ),
  foldMarginTooWide: ({ marginMm, depthMm, overMm, mostMm }) =>
    said(
      `A margin of ${marginMm} mm leaves nothing to fill: the folded blank is ${whole(depthMm)} mm deep, ` +
        `${Math.max(Math.ceil(overMm), 1)} mm too little.`,
      `Keep the margin below ${whole(mostMm)} mm or take a larger blank.`,
    ),
  noRoomInFold: ({ wallMm, depthMm, mostMm }) =>
    said(
      `Dough of ${tenth(wallMm)} mm leaves no room inside: the fold has ${whole(depthMm)} mm inside the margin.`,
      `Roll it below ${tenth(mostMm)} mm or take a larger blank.`,
    ),
  largeFoldTooSmall: ({ marginMm, depthMm }) =>
    said(
      `A margin of ${marginMm} mm leaves nothing to fill: folded, the round is ${whole(depthMm)} mm deep.`,
      "Take a larger round or a narrower margin.",
    ),
  spreadTooThick: ({ spreadMm, mostMm }) =>
    said(
      `Spread ${spreadMm} mm thick, the dough does not close over it: at most ${whole(mostMm)} mm, ` +
        `${whole(spreadMm - mostMm)} mm less.`,
      "Spread thinner or take a larger round.",
    ),
  heapMarginTooWide: ({ marginMm, baseMm, overMm }) =>
    said(
      `A margin of ${marginMm} mm leaves nothing to fill on a base that settles to ${whole(baseMm)} mm, ` +
        `${Math.max(Math.ceil(overMm), 1)} mm too little on each side.`,
      `Keep it below ${whole(baseMm / 2)} mm or take a larger base.`,
    ),
  topTooSmall: ({ underMm, oversizeMm }) =>
    said(
      `The top is smaller than the base by ${tenth(underMm)} mm: it does not even reach the rim.`,
      `Cut it ${tenth(oversizeMm)} mm larger than the base for this plumpness.`,
    ),
  stickTooShort: ({ lengthMm, insideMm, gripMm }) =>
    said(
      `The stick is ${lengthMm} mm; ${whole(insideMm)} mm lie in the piece and ${gripMm} mm are wanted to hold it by, ` +
        `${whole(gripMm - (lengthMm - insideMm))} mm more.`,
      `Take sticks of ${Math.ceil(insideMm + gripMm)} mm.`,
    ),
  stickShows: ({ coverMm, stickMm }) =>
    said(
      `At the stick’s tip the filling is ${tenth(coverMm)} mm deep and the stick ${stickMm} mm thick: it shows.`,
      "Fill plumper, or take a thinner stick.",
    ),
  footTooWide: ({ footMm, fruitMm }) =>
    said(`The flat below is ${footMm} mm across and the fruit only ${fruitMm} mm.`, "Trim less off."),
  coreTooWide: ({ coreMm, fruitMm, mostMm }) =>
    said(
      `A core of ${coreMm} mm leaves too little of a fruit ${fruitMm} mm across: it falls apart.`,
      `Core it at most ${Math.floor(mostMm)} mm wide, ${Math.ceil(coreMm - mostMm)} mm less.`,
    ),
  squareTooSmall: ({ sideMm, neededMm, fruitMm, fruitHeightMm }) =>
    said(
      `The square must be ${neededMm} mm for its corners to meet over this fruit, ${fruitMm} mm across and ` +
        `${fruitHeightMm} mm high; yours is ${sideMm} mm, ${upToTenth(neededMm - sideMm)} mm short.`,
      "Cut it larger or take smaller fruit.",
    ),
  roundTooSmall: ({ roundMm, neededMm, hasGuideRing }) =>
    said(
      `A round of ${roundMm} mm does not close over anything: margin${hasGuideRing ? ", dough and the guide ring" : " and dough"} ` +
        `alone take ${whole(neededMm)} mm, ${whole(neededMm - roundMm)} mm more.`,
      "Take a larger round.",
    ),
  rolledTooSmall: ({ gatheredMm, acrossMm }) =>
    said(
      `Gathered, it is ${whole(gatheredMm)} mm across before it is rolled; ${acrossMm} mm is ` +
        `${whole(gatheredMm - acrossMm)} mm less.`,
      "Roll it wider, or take a smaller round.",
    ),
  topTooThin: ({ acrossMm, topMm, leastMm, widestMm }) =>
    said(
      `After rolling to ${acrossMm} mm the top is ${tenth(topMm)} mm thick: below ${leastMm} mm it will burst.`,
      `Roll it to at most ${whole(widestMm)} mm, or roll the round thicker.`,
    ),
  flutesTooDeep: ({ fluteMm, baseMm }) =>
    said(
      `Flutes of ${fluteMm} mm leave nothing of a base ${baseMm} mm across.`,
      `They are at most ${Math.floor(baseMm / 2)} mm deep: measure them from crest to valley.`,
    ),
  liningTooSmall: ({ cutsMm, neededMm, wallMm, leastWallMm }) =>
    said(
      `The mould needs ${round(cutsMm)} of ${across(neededMm)} mm to be lined to its rim; yours is ${across(cutsMm)} mm, ` +
        `and pressed up to the rim it comes to ${tenth(wallMm)} mm, which tears below ${leastWallMm} mm.`,
      "Cut it larger or roll it thicker.",
    ),
  noRoomInMould: ({ wallMm, depthMm, baseMm }) =>
    said(
      `Lined ${tenth(wallMm)} mm thick nothing is left inside a mould ${depthMm} mm deep and ${whole(baseMm)} mm across its base.`,
      "Roll it thinner.",
    ),
  toppingTooWide: ({ overMm, mostMm }) =>
    said(`The cut-out is ${whole(overMm)} mm wider than the rim.`, `Take one of at most ${mostMm} mm.`),
  holeTooWide: ({ holeMm, roundMm, wallMm, leastWallMm }) => {
    const widestMm = roundMm - 2 * leastWallMm;
    return said(
      wallMm > 0
        ? `${startWithArticle(`${holeMm} mm centre`)} leaves a wall of ${tenth(wallMm)} mm in ${withArticle(`${roundMm} mm round`)}; below ${leastWallMm} mm it falls over.`
        : `${startWithArticle(`${holeMm} mm centre`)} leaves no wall in ${withArticle(`${roundMm} mm round`)}.`,
      widestMm > 0
        ? `Take a centre of at most ${widestMm} mm.`
        : `Take a round of at least ${holeMm + 2 * leastWallMm} mm.`,
    );
  },
  tooLargeForCavity: ({ stripMm, rolledMm, cavityMm, mostStripMm }) =>
    said(
      `Rolled up, a ${whole(stripMm)} mm strip is ${whole(rolledMm)} mm across; the cavity is ${cavityMm} mm, ` +
        `${whole(rolledMm - cavityMm)} mm too small.`,
      `Cut it at most ${whole(mostStripMm)} mm long, or roll it thinner.`,
    ),
  pressNotReached: ({ pressMm, settledMm, neededMm }) =>
    said(
      `The press is ${pressMm} mm across and the round settles to ${tenth(settledMm)} mm: its edge is not caught, ` +
        `${tenth(pressMm - settledMm)} mm short.`,
      `Cut it ${neededMm} mm or more.`,
    ),
};

export const doubtWords: WordsOf<FormDoubt | SealDoubt> = {
  pressedUp: ({ cutsMm, neededMm, shortMm, wallMm, rolledMm }) =>
    said(
      `its ${across(cutsMm)} mm round stops ${tenth(shortMm)} mm below the rim; pressed up by hand the wall comes to ` +
        `${tenth(wallMm)} mm instead of ${tenth(rolledMm)}.`,
      `It lines without pressing from ${across(neededMm)} mm.`,
    ),
  cornersShort: ({ overlapMm, askedMm, gapMm, sideMm, wantedMm }) =>
    said(
      `its corners meet with ${whole(overlapMm)} mm over each other instead of ${askedMm}` +
        `${gapMm >= 1 ? `, and between them the fruit shows up to ${whole(gapMm)} mm wide` : ""}.`,
      `Pinch well, or cut the square ${wantedMm} mm, ${upToTenth(wantedMm - sideMm)} mm larger.`,
    ),
  marginTooNarrow: ({ crimp, needsMm, marginMm, shortMm }) =>
    said(
      `${crimp} needs ${needsMm} mm of clean rim; the margin is ${marginMm} mm, ${upToTenth(shortMm)} mm short.`,
      "Widen the margin or choose another crimp.",
    ),
};
