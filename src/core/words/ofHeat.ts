import type { BakeFailure, OilFailure } from "../heat";
import { said, type WordsOf } from "./say";
import { formatMass, G_PER_KG } from "../units";

/** By how much a figure is outside its bounds. */
const stray = (value: number, least: number, most: number, digits: number) =>
  value < least ? `${(least - value).toFixed(digits)} less` : `${(value - most).toFixed(digits)} more`;
const again = (heaterW: number) =>
  `Take both times again, and see that ${heaterW} W is what the heater draws.`;

export const bakeWords: WordsOf<BakeFailure> = {
  ovenBelowDone: ({ ovenC, doneC }) =>
    said(`An oven of ${ovenC} °C never brings a core to ${doneC} °C.`, "Heat it above that."),
  neverDone: ({ withinMin, doneC }) =>
    said(
      `Within ${withinMin / 60} hours its core does not come to ${doneC} °C.`,
      "Make it thinner, or the oven hotter.",
    ),
  knownTooQuick: ({ tookMin, doneC }) =>
    said(
      `Even at the fiercest heat its core takes longer than ${tookMin} min to ${doneC} °C.`,
      "Correct the minutes, the thickness or the temperature at which it was done.",
    ),
  knownTooSlow: ({ tookMin, doneC }) =>
    said(`At any heat its core is at ${doneC} °C long before ${tookMin} min.`, "Correct one of them."),
};

export const oilWords: WordsOf<OilFailure> = {
  neverHot: ({ heaterW, oilKg, steadyC, setC }) =>
    said(
      `A heater of ${heaterW} W holds ${formatMass(oilKg * G_PER_KG)} of oil at ${Math.round(steadyC)} °C at most, ` +
        `${Math.ceil(setC - steadyC)} below ${setC}.`,
      "Fry in less oil, or at a stronger fire.",
    ),
  notOilHeat: ({ jPerKgK, least, most, oilKg, heaterW }) =>
    said(
      `These two times make ${Math.round(jPerKgK)} J/kg K of ${formatMass(oilKg * G_PER_KG)} of oil, ` +
        `${stray(jPerKgK, least, most, 0)} than oil in a pan can have.`,
      again(heaterW),
    ),
  notOilLoss: ({ wPerKgK, least, most, heaterW }) =>
    said(
      `These two times make it lose ${wPerKgK.toFixed(2)} W/K for each kilogram of oil, ` +
        `${stray(wPerKgK, least, most, 2)} than a pan can.`,
      again(heaterW),
    ),
};
