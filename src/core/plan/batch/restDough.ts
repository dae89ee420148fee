import { shapeDoughPiece, type Dough } from "../../formula";
import { findRestMin, type Body, type Composition, type ReadinessRequest } from "../../heat";
import { formatDuration, formatLength, formatMass, formatNumber } from "../../units";
import type { PastLog } from "../../habits";
import type { Kitchen } from "../book";
import { findFilmFactors } from "../learned";
import type { DoughRest } from "../result";

/** What one piece of a dough asks of the conduction model. */
export function toReadinessRequest(
  dough: Dough,
  body: Body,
  composition: Composition,
  kitchen: Kitchen,
  sheetThicknessMm: number,
  past: PastLog,
): ReadinessRequest {
  return {
    body,
    composition,
    densityGPerMl: dough.densityGPerMl,
    window: dough.window,
    mixedC: kitchen.mixedC,
    wrapped: true,
    turned: true,
    fridgeC: kitchen.fridgeC,
    freezerC: kitchen.freezerC,
    roomC: kitchen.roomC,
    sheetThicknessMm,
    filmFactors: findFilmFactors(past),
  };
}

/** However cold: rolled sooner, the gluten has not relaxed and the blanks shrink. Craft's least, min. */
const LEAST_RELAXING_MIN = 20;

/** Pieces are reckoned with to so much: a few grams more do not show in a minute of rest. */
const MASS_STEP_G = 10;

/** Rests already worked out: the day is planned anew at every turn of a dial, mostly with the same dough. */
const known = new Map<string, number | null>();
const MOST_KNOWN = 200;

/**
 * How long a dough rests: the baker's minutes, or until the core of its largest piece can be rolled.
 * @param largestG - Largest piece it is divided into, > 0. @param sheetThicknessMm - What it is rolled to.
 */
export function restDough(
  dough: Dough,
  largestG: number,
  composition: Composition,
  kitchen: Kitchen,
  sheetThicknessMm: number,
  past: PastLog,
): DoughRest {
  if (dough.restWay === "minutes" || dough.boughtSheet) {
    return {
      modelMin: null,
      model: null,
      minutes: dough.restMin,
      why: [
        {
          text: dough.boughtSheet ? "opened, until it gives: your own figure" : "your own figure",
          figure: formatDuration(dough.restMin),
        },
      ],
    };
  }
  const rolled = dough.restWay === "rolledInFridge";
  const body: Body = rolled
    ? { kind: "slab", thicknessMm: sheetThicknessMm }
    : shapeDoughPiece(
        dough.dividedInto,
        Math.max(Math.ceil(largestG / MASS_STEP_G) * MASS_STEP_G, MASS_STEP_G),
        dough.densityGPerMl,
      );
  const place = dough.restWay === "freezer" ? "freezer" : "fridge";
  const request = toReadinessRequest(dough, body, composition, kitchen, sheetThicknessMm, past);
  const key = JSON.stringify([place, request]);
  const modelMin = known.has(key) ? (known.get(key) ?? null) : findRestMin(request, place);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, modelMin);
  const minutes = modelMin === null ? dough.restMin : Math.max(Math.ceil(modelMin), LEAST_RELAXING_MIN);
  const filmFactor = request.filmFactors?.[place] ?? 1;
  return {
    modelMin,
    model: { place, request },
    minutes,
    why: [
      {
        text: rolled ? "rested rolled, between papers" : `largest piece, as a ${dough.dividedInto}`,
        figure: rolled ? formatLength(sheetThicknessMm) : formatMass(largestG),
      },
      { text: "comes from mixing at", figure: `${kitchen.mixedC} °C` },
      { text: place, figure: `${place === "fridge" ? kitchen.fridgeC : kitchen.freezerC} °C` },
      ...(filmFactor === 1
        ? []
        : [
            {
              text: `chills there, by cores that were read,`,
              figure: `${formatNumber(filmFactor, 2)} times`,
            },
          ]),
      {
        text: `core below ${dough.window.highC} °C after`,
        figure: modelMin === null ? "never" : formatDuration(modelMin),
      },
      { text: "and never less than relaxing takes", figure: formatDuration(LEAST_RELAXING_MIN) },
    ],
  };
}
