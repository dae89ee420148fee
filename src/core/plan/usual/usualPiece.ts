import { listReadyWays, settleWay } from "../../way";
import type { Piece } from "../book";

/** A hand's breadth of dough: a turnover of two bites, mm. */
const ROUND_MM = 110;
/** Holds a moist filling and bakes through, mm. */
const THICKNESS_MM = 3;
/** Room for a fork's tines and a little over, mm. */
const MARGIN_MM = 12;
/** Half as round as the dough would go: it closes without pulling. */
const PLUMPNESS = 0.5;
/** Pricks that let the steam of so much filling out. */
const PRICKS = 4;
/** Between two cuts, and the ragged edge of a sheet rolled by hand, mm. */
const WEB_MM = 1;
const RAGGED_MM = 8;
/** Water that leaves a small pastry in the oven, of its raw mass. */
const BAKE_LOSS_SHARE = 0.08;
/** On the tray, so that the sides brown, mm. */
const SPACING_MM = 20;
/** Looked at twice, two minutes apart: what an oven strays. */
const DONENESS = { sign: "golden", moreMin: 2, atMost: 1 } as const;

/** A half-moon of middling size to begin with. */
export function createPiece(id: string, doughId: string, fillingId: string): Piece {
  const form = { kind: "halfMoon" } as const;
  const figures = {
    vents: { kind: "pricks", count: PRICKS },
    wash: { kind: "egg", coats: 1, sugar: "none" },
    glaze: { kind: "none" },
    extras: [],
  } as const;
  return {
    ...{ id, name: "New piece", doughId, fillingId, form, ...figures },
    cut: { kind: "disc", diameterMm: ROUND_MM },
    thicknessMm: THICKNESS_MM,
    marginMm: MARGIN_MM,
    plumpness: PLUMPNESS,
    portionG: null,
    crimp: "forked",
    glue: "water",
    tin: "papered",
    vesselId: null,
    doneness: DONENESS,
    webMm: WEB_MM,
    raggedMm: RAGGED_MM,
    cutAim: "sensible",
    seenFirst: true,
    pinnedSheet: null,
    spares: 0,
    way: settleWay(listReadyWays(form)[0]?.way ?? [], figures),
    bakeLossShare: BAKE_LOSS_SHARE,
    spacingMm: SPACING_MM,
  };
}
