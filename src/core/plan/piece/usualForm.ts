import { findLining, LINING_TRIM_MM, PUCK_PROUD_MM, type FormKind, type Mould } from "../../forming";
import type { Dough } from "../../formula";
import { findCrimp } from "../../sealing";
import { computeBox, type Outline } from "../../shape";
import { listReadyWays } from "../../way";
import type { Piece } from "../book";
import { findCrimpId, listCrimps } from "./crimpOf";

/** A mould found in many kitchens, to be corrected. */
const firstMould: Mould = { kind: "round", axes: [{ baseMm: 60, rimMm: 75 }], depthMm: 25, fluteMm: 0 };

/** A strip thicker than this rolls up too wide for its cavity. */
const ROSETTE_MM = 2;

/** Hand presses are no larger. */
const LARGEST_PRESS_MM = 250;
/** A round reaches over its press all around by half of this: what comes off has held the rim flat. */
const PRESSED_OFF_MM = 6;

/**
 * Another form for a piece, with its craft's usual figures, made of the same cut as far as that goes. A seam that comes of
 * it gets the rim that its crimp needs.
 */
export function toForm(kind: FormKind, piece: Piece, dough: Dough | null): Partial<Piece> {
  const fields = { ...toFormFields(kind, piece, dough), ...findFigures(kind, piece) };
  const formed = { ...piece, ...fields };
  const way = listReadyWays(formed.form)[0]?.way ?? piece.way;
  // Slices make rounds: what is not a puck any more is rolled and cut again.
  const cutAim = kind !== "puck" && piece.cutAim === "sliced" ? "sensible" : formed.cutAim;
  const isSealed = kind === "pressed" || listCrimps(kind).length > 0;
  if (!isSealed) return { ...fields, way, cutAim };
  const { needsMarginMm } = findCrimp(findCrimpId(formed));
  return { ...fields, way, cutAim, marginMm: Math.max(formed.marginMm, needsMarginMm) };
}

/** Nothing is brushed or pricked on an open tart; what was closed keeps its wash and vents. */
function findFigures(kind: FormKind, { wash, vents }: Piece): Pick<Piece, "wash" | "vents"> {
  const isOpen = kind === "lined" || kind === "puck" || kind === "rosette";
  return {
    wash: isOpen ? { ...wash, kind: "none", coats: 1 } : wash,
    vents: isOpen || kind === "case" ? { kind: "none", count: 0 } : vents,
  };
}

function toFormFields(kind: FormKind, { cut, thicknessMm }: Piece, dough: Dough | null): Partial<Piece> {
  const { widthMm, heightMm } = computeBox(cut);
  const acrossMm = Math.max(widthMm, heightMm);
  const disc: Outline = { kind: "disc", diameterMm: acrossMm };
  const rolled = { thicknessMm, springBackShare: dough?.springBackShare ?? 0 };
  switch (kind) {
    case "lidded":
      return {
        form: { kind, topOversizeMm: null, stick: null },
        cut: cut.kind === "oval" || cut.kind === "square" || cut.kind === "rectangle" ? cut : disc,
      };
    case "largeFold":
      return {
        form: { kind, spreadMm: 15, servings: 6 },
        cut: { kind: "disc", diameterMm: Math.max(acrossMm, 280) },
      };
    case "wrapped":
      return {
        form: { kind, fruitMm: 60, fruitHeightMm: 60, footMm: 24, coreMm: 18, overlapMm: 14 },
        cut: { kind: "square", sideMm: Math.max(acrossMm, 170) },
      };
    case "gathered":
      return {
        form: { kind, finishedMm: Math.round(acrossMm * 0.55), heapMm: null },
        cut: disc,
        thicknessMm: Math.max(thicknessMm, 4.5),
        marginMm: 8,
        plumpness: 0.9,
        crimp: "pinched",
      };
    case "lined":
      return {
        form: { kind, mould: firstMould, topping: { kind: "open" } },
        cut: findLining(firstMould, rolled, LINING_TRIM_MM),
        marginMm: 3,
        plumpness: 0.9,
        crimp: "flush",
      };
    case "puck":
      return {
        form: { kind, mould: firstMould, logMm: 48, stacked: 2, sheetMm: 3 },
        cut: findLining(firstMould, rolled, PUCK_PROUD_MM),
        cutAim: "sliced",
        marginMm: 3,
        plumpness: 0.75,
      };
    case "case":
      return { form: { kind, holeMm: Math.round(acrossMm * 0.6) }, cut: disc };
    case "rosette":
      return {
        form: { kind, sliceMm: 40, sliceThicknessMm: 2, overlapShare: 0.5, cavityMm: 70 },
        cut: { kind: "rectangle", widthMm: 280, heightMm: 55 },
        thicknessMm: Math.min(thicknessMm, ROSETTE_MM),
        marginMm: 4,
      };
    case "pressed": {
      const relaxed = 1 - rolled.springBackShare;
      const cutMm = Math.min(acrossMm, (LARGEST_PRESS_MM + PRESSED_OFF_MM) / relaxed);
      return {
        form: { kind, pressMm: Math.floor(cutMm * relaxed - PRESSED_OFF_MM) },
        cut: { kind: "disc", diameterMm: cutMm },
        crimp: "press",
      };
    }
    case "halfMoon":
      return { form: { kind }, cut: disc };
    case "triangle":
      return { form: { kind }, cut: { kind: "square", sideMm: acrossMm } };
    default:
      return { form: { kind }, cut: { kind: "rectangle", widthMm, heightMm } };
  }
}
