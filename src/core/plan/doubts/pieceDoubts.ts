import { because } from "../../result";
import type { PiecePlan, PieceWork } from "../result";
import { toProblem, type Problem, type ProblemFailure } from "../problem";

/** What can be made and may yet go wrong: a rim too narrow for its crimp, a bought sheet thinner than the piece. */
export function findPieceDoubts({ line, dough }: PieceWork): Problem[] {
  const {
    piece,
    cut,
    shaped: { seal },
  } = line;
  const doubt = (station: Problem["station"], failure: ProblemFailure) =>
    toProblem(failure, { station, pieceId: piece.id });
  const spareLoad = findSpareLoad(line);
  const { name } = piece;
  return [
    ...(spareLoad ? [doubt("bake", spareLoad)] : []),
    ...line.shaped.formed.doubts.map((why) => doubt("roll", because("formDoubt", { piece: name, why }))),
    ...(line.shaped.overMl > 0 ? [doubt("fill", findOverfull(line))] : []),
    ...(seal?.doubt ? [doubt("seal", because("narrowMargin", { piece: name, why: seal.doubt }))] : []),
    ...(cut.thicknessMm < piece.thicknessMm
      ? [
          doubt(
            "roll",
            because("thinSheet", {
              ...{ piece: name, dough: dough.name },
              ...{ wantedMm: piece.thicknessMm, boughtMm: cut.thicknessMm },
            }),
          ),
        ]
      : []),
  ];
}

/** More filling than it has room for. */
function findOverfull({ piece, shaped: { portion, overMl, seal } }: PiecePlan): ProblemFailure {
  const fitsG = Math.floor(((portion.volumeMl - overMl) / portion.volumeMl) * portion.massG);
  return because("overfull", {
    ...{ piece: piece.name, portionG: portion.massG, overMl, fitsG },
    isClosed: seal !== null,
  });
}

/** Spare pieces that need a load of their own; null where they go with the ordered ones, or fill it. */
function findSpareLoad({ piece, loading, counts: { made, ordered } }: PiecePlan): ProblemFailure | null {
  const perLoad = loading.loads[0]?.pieces ?? 0;
  const loads = loading.loads.length;
  if (made === ordered || perLoad === 0 || Math.ceil(ordered / perLoad) === loads) return null;
  const [spares, more] = [made - ordered, perLoad * loads - made];
  return more === 0 ? null : because("spareLoad", { piece: piece.name, spares, ordered, loads, more });
}
