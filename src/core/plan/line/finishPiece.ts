import { findVessel } from "../kit";
import { countBaskets, type FryPlan, toDemandId, type ShapedPiece } from "../piece";
import { formatCount, formatMass, formatNumber, formatSides } from "../../units";
import type { WhyStep } from "../problem";
import type { Filling } from "../../formula";
import type { Piece } from "../book";
import type { PortionPart } from "../../filling";
import type { DayCut, PiecePlan, BlankYield, PieceFill } from "../result";
import type { PieceDraft } from "./draftPiece";

/** The piece with its part of what is cut. */
export function finishPiece(draft: PieceDraft, cut: DayCut): PiecePlan {
  const {
    piece,
    filling,
    shaped,
    loading,
    toCut,
    counts: { toFill, made },
  } = draft;
  const { plan } = cut;
  const { masses } = shaped;
  const fills = countFills(shaped, toFill);
  const fillingG = fills.reduce((sum, { totalG }) => sum + totalG, 0);
  // Two fillings over one order come in whole pieces: their mean is that of the pieces there are.
  const rawPieceG =
    toFill > 0
      ? masses.blankG - masses.trimG + masses.wholeG + masses.coatG + fillingG / toFill
      : masses.rawPieceG;
  const blanks = shaped.formed.blanks.map(({ role, cut: outline }): BlankYield => {
    const found = plan.yields.find(({ demandId }) => demandId === toDemandId(piece, role));
    return {
      role,
      outline,
      needed: toCut,
      cut: found?.count ?? 0,
      fromFirstRolling: found?.firstCount ?? 0,
      eachG: found?.eachG ?? 0,
    };
  });
  const blanksG = blanks.reduce((sum, each) => sum + each.cut * each.eachG, 0);
  return {
    piece,
    shaped: {
      ...shaped,
      masses: {
        ...masses,
        rawPieceG,
        bakedPieceG: rawPieceG * (1 - piece.bakeLossShare) + masses.dressG,
      },
    },
    orders: draft.orders,
    counts: draft.counts,
    cut,
    blanks,
    setsCut: Math.min(...blanks.map((each) => each.cut)),
    doughG: plan.blanksG > 0 ? (plan.doughG * blanksG) / plan.blanksG : 0,
    fills,
    fillingG,
    coats: {
      glueG: (shaped.seal?.glueG ?? 0) * toFill,
      glazeG: masses.glazeG * made,
      washG: shaped.washed.washG * toFill,
      sugarG: shaped.washed.sugarG * toFill,
      trimG: masses.trimG * toFill,
    },
    handsMin: {
      fill: (shaped.works.fill.seconds * toFill) / 60,
      close: (shaped.works.close.seconds * toFill) / 60,
      fillByCraft: (shaped.works.fill.craftS * toFill) / 60,
      closeByCraft: (shaped.works.close.craftS * toFill) / 60,
    },
    loading,
    fries: draft.fries,
    readyMin: {},
    readyMostMin: {},
    why: {
      portion: explainPortion(piece, shaped, filling),
      load: explainLoad(draft),
    },
  };
}

/** How many pieces get each filling: other fillings a whole number of pieces, the main one the rest. */
function countFills({ parts }: ShapedPiece, toFill: number): PieceFill[] {
  const others = parts.reduce(
    (sum, { role, ofPieces }) => sum + (role === "alternate" ? Math.round(ofPieces * toFill) : 0),
    0,
  );
  return parts.map((part): PieceFill => {
    const count =
      part.role === "main"
        ? Math.max(toFill - others, 0)
        : part.role === "alternate"
          ? Math.round(part.ofPieces * toFill)
          : toFill;
    const totalG = count * part.portion.massG;
    return { part, count, totalG, pans: dividePans(part, count) };
  });
}

/** As few pans as hold the pieces, the sauce divided evenly between them. */
function dividePans({ perPan, portion }: PortionPart, count: number): PieceFill["pans"] {
  if (perPan === null || count === 0) return null;
  const pans = Math.ceil(count / perPan);
  return { count: pans, eachG: (count * portion.massG) / pans, eachMl: (count * portion.volumeMl) / pans };
}

function explainPortion(
  { portionG }: Piece,
  { formed, portion, plumpness, overMl }: ShapedPiece,
  filling: Filling,
): WhyStep[] {
  return [
    ...formed.steps,
    {
      text:
        portionG === null
          ? `at plumpness ${formatNumber(plumpness * 100)} % it holds`
          : `its weight is set: that fills it to ${formatNumber(plumpness * 100)} %`,
      figure: `${formatNumber(portion.volumeMl, 1)} ml`,
    },
    ...(overMl > 0 ? [{ text: "of that it has no room for", figure: `${formatNumber(overMl, 1)} ml` }] : []),
    { text: `${filling.name} weighs ${filling.densityGPerMl} g/ml`, figure: formatMass(portion.massG) },
  ];
}

function explainLoad({ piece, loading, oven, kit, fries, counts: { made } }: PieceDraft): WhyStep[] {
  const [fry] = fries;
  if (fry) return explainFrying(made, countBaskets(loading, fry), fry);
  const vessel = findVessel(kit, piece);
  const trays = loading.loads.reduce((sum, load) => sum + load.trays.length, 0);
  return [
    {
      text: `on one ${formatSides([oven.trayWidthMm, oven.trayDepthMm], 2)} tray`,
      figure: formatCount(loading.perTray, "piece"),
    },
    { text: `${made} pieces`, figure: formatCount(trays, "tray") },
    {
      text: `${oven.name} bakes ${formatCount(oven.traysAtOnce, "tray")} at once`,
      figure: formatCount(loading.loads.length, "load"),
    },
    ...(vessel
      ? [
          {
            text: `${vessel.count} of ${vessel.name}, ${vessel.holds} in each`,
            figure: `${formatCount(vessel.count * vessel.holds, "piece")} at once`,
          },
        ]
      : []),
  ];
}

function explainFrying(
  made: number,
  baskets: number,
  { fryer, perBasket, most, recoveryMin, lowestC }: FryPlan,
): WhyStep[] {
  return [
    { text: `the oil of ${fryer.name} stays hot enough for`, figure: formatCount(most.oil, "piece") },
    { text: "lie in its basket side by side", figure: formatCount(most.basket, "piece") },
    { text: "keep the level under its mark", figure: formatCount(most.level, "piece") },
    { text: "in one basket, the least of them", figure: formatCount(perBasket, "piece") },
    { text: "the oil falls to", figure: `${formatNumber(lowestC)} °C` },
    { text: "and is back after", figure: `${formatNumber(recoveryMin, 1)} min` },
    { text: `${made} pieces`, figure: formatCount(baskets, "basket") },
  ];
}
