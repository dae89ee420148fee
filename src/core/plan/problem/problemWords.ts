import {
  formatClock,
  formatCount,
  formatDuration,
  formatLength,
  formatMass,
  formatNumber,
  formatSides,
} from "../../units";
import { engineWords, said, sayBy, tellFailure, type Said, type WordsOf } from "../../words";
import { sayDate } from "../book";
import type { FryFailure, ProblemFailure, Waited } from "./problemFailure";

const fryWords: WordsOf<FryFailure> = {
  neverHot: engineWords.neverHot,
  notOilHeat: engineWords.notOilHeat,
  notOilLoss: engineWords.notOilLoss,
  noFryer: () => said("it is fried and there is no fryer.", "Add one in Kit, or bake it."),
  nothingToFryBy: () =>
    said("its dough has no composition to fry by.", "Choose its ingredients from the book in Formulas."),
  fryerTooCool: ({ fryer, oilC, maxC }) =>
    said(`${oilC} °C is ${oilC - maxC} °C above what ${fryer} reaches.`, "Fry cooler or in another."),
  oilTooCool: ({ oilC, leastC }) =>
    said(
      `oil of ${oilC} °C is ${leastC - oilC} °C too cool: below ${leastC} °C crust soaks it up.`,
      "Raise it.",
    ),
  oilOverMark: ({ fryer, overMm, overG }) =>
    said(
      `with one piece in it the oil of ${fryer} stands ${formatLength(overMm, 1)} above its mark.`,
      `Take ${formatMass(overG)} out.`,
    ),
  notInBasket: ({ fryer }) => said(`not one lies flat in the basket of ${fryer}.`, "Make it smaller."),
  oneCoolsOil: ({ fryer, leastC }) =>
    said(`even one cools the oil of ${fryer} below ${leastC} °C.`, "Use more oil or a stronger heater."),
};

/** What is said of something by name. */
const of = (name: string, { message, remedy }: Said): Said => said(`${name}: ${message}`, remedy);

/** What has waited too long, by how much, and what to do. */
const longWaits: Record<Waited, (over: string, before: string) => Said> = {
  sugared: (over) =>
    said(
      `the fruit lies sugared ${over} too long and draws juice.`,
      "Sugar it later, or fill in smaller lots.",
    ),
  heated: (over) =>
    said(
      `what was heated for it stands ${over} too long and is hot no more.`,
      "Heat it later, or make smaller lots.",
    ),
  keptHot: (over, before) =>
    said(
      `“${before}” has been kept hot ${over} too long.`,
      "Keep it hot longer, or warm it again for each lot.",
    ),
  rolled: (over, before) =>
    said(
      `the blanks of “${before}” wait ${over} longer than this dough may lie on the bench.`,
      "Chill them covered, or roll smaller sheets.",
    ),
  between: (over, before) =>
    said(
      `it waits ${over} longer after “${before}” than its way allows.`,
      "Allow it more in the way, make smaller lots, or move a promise.",
    ),
};

const problemWords: WordsOf<ProblemFailure> = {
  noDough: ({ piece }) => of(piece, said("no dough is chosen.", "Choose one in the piece.")),
  noFilling: ({ piece }) => of(piece, said("no filling is chosen.", "Choose one in the piece.")),
  emptyFormula: ({ piece, formula }) =>
    of(piece, said(`${formula} has no ingredients yet.`, "Add its lines in Formulas.")),
  noOven: ({ piece }) => of(piece, said("no oven is set up.", "Add one in Kit.")),
  ovenTooCold: ({ piece, oven, hottestC, overC }) =>
    of(
      piece,
      said(
        `${hottestC} °C is ${overC} °C above what ${oven} reaches.`,
        "Lower the heat or take another oven.",
      ),
    ),
  cannotFry: ({ piece, why }) => of(piece, sayBy(fryWords, why)),
  cannotLoad: ({ piece, why }) => of(piece, tellFailure(why)),
  cannotForm: ({ piece, why }) => of(piece, tellFailure(why)),
  cannotCut: ({ piece, why }) => of(piece, tellFailure(why)),
  formDoubt: ({ piece, why }) => of(piece, tellFailure(why)),
  narrowMargin: ({ piece, why }) => of(piece, tellFailure(why)),
  overfull: ({ piece, portionG, overMl, fitsG, isClosed }) =>
    of(
      piece,
      said(
        `${formatMass(portionG)} each is ${formatNumber(overMl, 1)} ml more than it holds: that ` +
          `${isClosed ? "bursts the seam" : "boils over"}.`,
        `Give ${formatMass(fitsG)}, or make it larger.`,
      ),
    ),
  thinSheet: ({ piece, dough, wantedMm, boughtMm }) =>
    of(
      piece,
      said(
        `${dough} is bought ${formatLength(boughtMm, 2)} thick and cannot be rolled to ${formatLength(wantedMm, 2)}, ` +
          `${formatLength(wantedMm - boughtMm, 1)} more.`,
        "Planned as bought; lower the thickness.",
      ),
    ),
  spareLoad: ({ piece, spares, ordered, loads, more }) =>
    of(
      piece,
      said(
        `${formatCount(spares, "spare piece")} need a load of their own: the ${ordered} ordered fit ` +
          `${formatCount(loads - 1, "load")}.`,
        `Make none, or fill that load with ${more} more.`,
      ),
    ),
  cutUnfinished: ({ dough }) =>
    of(
      dough,
      said(
        "so many so small cuts have more sheets than there was time to weigh; the best found is shown.",
        "Cut fewer at a time, or set a smaller largest sheet in Kit.",
      ),
    ),
  shortage: ({ formula, shortG, enoughForPieces, times }) =>
    said(
      `${formula} runs out at piece ${enoughForPieces + 1}: ${formatMass(shortG)} short.`,
      times === null
        ? `Mix ${formatMass(shortG)}.`
        : `Mix ${formatNumber(times, 2)} times as much, or make ${enoughForPieces}.`,
    ),
  smallParts: ({ formula, partG, largestG, most }) =>
    of(
      formula,
      said(
        `a part of ${formatMass(partG)} is ${formatMass(largestG - partG)} too little for its largest sheet.`,
        `Divide it into ${most === 1 ? "one" : `at most ${most}`}, or roll smaller sheets.`,
      ),
    ),
  endlessRest: ({ formula, highC, plannedMin }) =>
    of(
      formula,
      said(
        `in that cold its core never comes below ${highC} °C.`,
        `Planned with your ${formatDuration(plannedMin)} instead; make the place colder in Kit, or the pieces smaller.`,
      ),
    ),
  expired: ({ item, massG, count, useBy }) =>
    said(
      `${count > 0 ? `${count} of` : formatMass(massG)} ${item} in the larder was to be used by ${sayDate(useBy)}: ` +
        "it is not planned with.",
      "Throw it out in Larder, or correct its date.",
    ),
  oldOil: ({ fryer, usedLoads, baskets, overLoads, changeAfterLoads }) =>
    said(
      `The oil of ${fryer} has fried ${formatCount(usedLoads, "load")} and today adds ${baskets}: ` +
        `${overLoads} past its change after ${changeAfterLoads}.`,
      "Change it before today, cold.",
    ),
  noShelfRoom: ({ shelf, place, trayWidthMm, trayDepthMm }) =>
    said(
      `No tray of ${formatSides([trayWidthMm, trayDepthMm])} stands on ${shelf} in ${place}.`,
      "Planned as if it did; correct the shelf in Kit.",
    ),
  freezerFull: ({ trays, room }) =>
    said(
      `${formatCount(trays, "tray")} to freeze and room for ${room}: ${trays - room} too many.`,
      "Freeze in two goes and bag the first, or make fewer ahead.",
    ),
  kitFull: ({ held, fromMin, toMin, over }) =>
    said(
      `From ${formatClock(fromMin)} to ${formatClock(toMin)} ${over} too many want ${held}.`,
      "Add room in Kit, or make smaller lots.",
    ),
  pastPromise: ({ piece, count, dueMin, pastMin }) =>
    said(
      `${count} ${piece} for ${formatClock(dueMin)}: that was ${formatDuration(pastMin)} ago.`,
      "Move the promise or take the order off.",
    ),
  late: ({ job, dueMin, lateMin, openMin }) =>
    of(
      job,
      said(
        `ready ${formatClock(dueMin + lateMin)}, ${formatDuration(lateMin)} after the promise of ${formatClock(dueMin)}.`,
        `Open ${formatDuration(lateMin)} before ${formatClock(openMin)}, or move the promise.`,
      ),
    ),
  longWait: ({ job, before, waited, overMin }) => of(job, longWaits[waited](formatDuration(overMin), before)),
  pinOff: ({ job, pinnedMin, startMin }) =>
    said(
      `${job} is pinned to ${formatClock(pinnedMin)} and cannot start before ${formatClock(startMin)}, ` +
        `${formatDuration(Math.abs(startMin - pinnedMin))} off.`,
      "Unpin it, or pin it later.",
    ),
  beforeOpening: ({ job, isPinned, startMin, openMin }) =>
    said(
      `${job} ${isPinned ? "is pinned to" : "has to start at"} ${formatClock(startMin)}, ` +
        `${formatDuration(openMin - startMin)} before anybody is there.`,
      `${isPinned ? "Unpin it" : "Unpin what follows it"}, or open at ${formatClock(startMin)}.`,
    ),
};

/** The words of a day's problems: what has to be decided and by how much, and what to do. */
export const tellProblem = (failure: ProblemFailure): Said => sayBy(problemWords, failure);
