"use client";

import type { Piece } from "@/core/plan";
import {
  factsOf,
  findHeatWay,
  hasStep,
  listShapeSteps,
  stepKinds,
  type StepFacts,
  type StepKind,
} from "@/core/way";

interface Props {
  readonly piece: Piece;
  readonly onAdd: (kind: StepKind) => void;
}

type Group = "To the dough" | "Shape, fill, close" | "Cold" | "In the heat" | "After the heat" | "For later";

const groupOf: Readonly<Record<StepFacts["pass"], Group>> = {
  dough: "To the dough",
  hands: "Shape, fill, close",
  side: "Shape, fill, close",
  stand: "Cold",
  heat: "In the heat",
  door: "In the heat",
  cool: "After the heat",
  told: "For later",
};
const groups: readonly Group[] = [
  "To the dough",
  "Shape, fill, close",
  "Cold",
  "In the heat",
  "After the heat",
  "For later",
];

/** Of one form each: what shapes a half-moon does nothing for a tart. */
const shapeKinds = new Set<StepKind>([
  "prepare",
  "line",
  "laySlices",
  "stick",
  "fold",
  "layTop",
  "layShape",
  "ring",
  "bringUp",
  "gather",
  "rollUp",
  "press",
  "close",
  "turnOver",
  "portion",
]);

const findGroup = (kind: StepKind): Group => {
  const { pass, station } = factsOf(kind);
  return pass === "hands" && station === "cool" ? "After the heat" : groupOf[pass];
};

/** The vocabulary of steps, to put one in; it goes where the craft does it, and can be moved from there. */
export function AddStep({ piece, onAdd }: Props) {
  const isOil = findHeatWay(piece.way) === "oil";
  const { before, over } = listShapeSteps(piece.form);
  const hasSauce = piece.extras.some(({ kind }) => kind === "sauce");
  const ofForm = new Set<StepKind>([...before, ...over]);
  const offered = stepKinds.filter((kind) => {
    // Without a sauce among what goes in there is nothing to boil or to pour.
    if (kind === "warm" || kind === "pourAround") return hasSauce && !hasStep(piece.way, kind);
    if (shapeKinds.has(kind)) return ofForm.has(kind) && !hasStep(piece.way, kind);
    if (kind === "setOut" || kind === "roll" || kind === "cut") return !hasStep(piece.way, kind);
    return isOil ? kind !== "bake" && factsOf(kind).pass !== "door" : kind !== "fry";
  });
  return (
    <div className="flex flex-col gap-2 rounded-xl border-2 border-base-300 bg-base-100 p-3">
      {groups.map((group) => (
        <div key={group} role="group" aria-label={group} className="grid gap-1.5 sm:grid-cols-[9rem_1fr]">
          <span className="quiet pt-2 text-sm">{group}</span>
          <div className="flex flex-wrap gap-1.5">
            {offered
              .filter((kind) => findGroup(kind) === group)
              .map((kind) => (
                <button key={kind} type="button" className="btn touch" onClick={() => onAdd(kind)}>
                  {factsOf(kind).name}
                </button>
              ))}
          </div>
        </div>
      ))}
    </div>
  );
}
