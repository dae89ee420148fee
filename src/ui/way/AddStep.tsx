"use client";

import type { Piece } from "@/core/plan";
import { factsOf, findHeatWay, stepKinds, type StepFacts, type StepKind } from "@/core/way";

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

const findGroup = (kind: StepKind): Group => {
  const { pass, station } = factsOf(kind);
  return pass === "hands" && station === "cool" ? "After the heat" : groupOf[pass];
};

/** The vocabulary of steps, to put one in; it goes where the craft does it, and can be moved from there. */
export function AddStep({ piece, onAdd }: Props) {
  const isOil = findHeatWay(piece.way) === "oil";
  const offered = stepKinds.filter((kind) =>
    isOil ? kind !== "bake" && factsOf(kind).pass !== "door" : kind !== "fry",
  );
  return (
    <div className="flex flex-col gap-2 rounded-xl border-2 border-base-300 bg-base-100 p-3">
      {groups.map((group) => (
        <div key={group} role="group" aria-label={group} className="flex flex-wrap items-center gap-1.5">
          <span className="quiet w-36 shrink-0 text-sm">{group}</span>
          {offered
            .filter((kind) => findGroup(kind) === group)
            .map((kind) => (
              <button key={kind} type="button" className="btn touch" onClick={() => onAdd(kind)}>
                {factsOf(kind).name}
              </button>
            ))}
        </div>
      ))}
    </div>
  );
}
