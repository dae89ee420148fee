import type { Cutter, Dough, Filling, Formula, Piece } from "@/schemas/model";
import { createId } from "../bench/createId";

/** An empty dough or filling with the craft's usual figures, to be corrected. */
export function newFormula(kind: Formula["kind"]): Formula {
  return kind === "dough" ? newDough() : newFilling();
}

function newDough(): Dough {
  return {
    kind: "dough",
    id: createId("dough"),
    name: "New dough",
    lines: [],
    steps: [],
    method: "rubbed",
    fatParticle: "pea",
    liquidSchool: "justHolds",
    window: { lowC: 10, highC: 16 },
    restWay: "minutes",
    dividedInto: "disc",
    boughtSheet: null,
    keepsDays: 3,
    densityGPerMl: 1.2,
    mixMin: 12,
    springBackShare: 0.03,
    rerollLimit: 2,
    rerollLossShare: 0.02,
    restMin: 30,
    rerollRestMin: 15,
    benchLimitMin: 60,
  };
}

function newFilling(): Filling {
  return {
    kind: "filling",
    id: createId("filling"),
    name: "New filling",
    lines: [],
    steps: [],
    family: "filling",
    keepsDays: 2,
    densityGPerMl: 1.05,
    mixMin: 15,
    makingLossShare: 0,
    coolMin: 30,
  };
}

/** A half-moon of middling size to begin with. */
export function newPiece(doughId: string, fillingId: string): Piece {
  return {
    id: createId("piece"),
    name: "New piece",
    form: "halfMoon",
    cut: { kind: "disc", diameterMm: 110 },
    doughId,
    fillingId,
    thicknessMm: 3,
    marginMm: 12,
    plumpness: 0.5,
    crimp: "forked",
    webMm: 1,
    raggedMm: 8,
    cutAim: "leastDough",
    pinnedSheet: null,
    spares: 0,
    chillMin: 20,
    ovenC: 200,
    bakeMin: 22,
    bakeLossShare: 0.08,
    spacingMm: 20,
    coolMin: 15,
  };
}

/** A round cutter for the drawer. */
export function newCutter(diameterMm: number): Cutter {
  return { id: createId("cutter"), name: `Round ${diameterMm}`, outline: { kind: "disc", diameterMm } };
}
