import type { PiecePlan } from "../result/dayPlan";
import { formatNumber, formatMass, formatCount } from "../../units";
import { listNumbers, type Problem, type ProblemCode, type ProblemNumbers } from "../result/problem";
import type { PieceWork } from "../tasks/pieceWork";

/** What can be made and may yet go wrong: a rim too narrow for its crimp, a bought sheet thinner than the piece. */
export function findPieceDoubts({ line, dough }: PieceWork): Problem[] {
  const { piece, seal, cut } = line;
  const doubt = (
    code: ProblemCode,
    station: Problem["station"],
    numbers: ProblemNumbers,
    message: string,
    remedy = "",
  ): Problem => ({
    code,
    station,
    pieceId: piece.id,
    stops: false,
    numbers,
    message: `${piece.name}: ${message}`,
    remedy,
  });
  const spareLoad = findSpareLoad(line);
  return [
    ...(spareLoad ? [doubt("spareLoad", "bake", ...spareLoad)] : []),
    ...line.formed.doubts.map((each) => doubt("formDoubt", "roll", listNumbers(each), each.message)),
    ...(line.overMl > 0 ? [doubt("overfull", "fill", ...describeOverfull(line))] : []),
    ...(seal?.fault ? [doubt("narrowMargin", "seal", listNumbers(seal.fault), seal.fault.message)] : []),
    ...(cut.thicknessMm < piece.thicknessMm
      ? [
          doubt(
            "thinSheet",
            "roll",
            { wantedMm: piece.thicknessMm, boughtMm: cut.thicknessMm },
            `${dough.name} is bought ${cut.thicknessMm} mm thick and cannot be rolled to ${piece.thicknessMm} mm, ` +
              `${formatNumber(piece.thicknessMm - cut.thicknessMm, 1)} mm more.`,
            "Planned as bought; lower the thickness.",
          ),
        ]
      : []),
  ];
}

/** More filling than it has room for: over the rim of what is open, through the seam of what is closed. */
function describeOverfull({ portion, overMl, seal }: PiecePlan): Doubt {
  const fitsG = Math.floor(((portion.volumeMl - overMl) / portion.volumeMl) * portion.massG);
  return [
    { overMl, fitsG },
    `${formatMass(portion.massG)} each is ${formatNumber(overMl, 1)} ml more than it holds: that ` +
      `${seal ? "bursts the seam" : "boils over"}.`,
    `Give ${formatMass(fitsG)}, or make it larger.`,
  ];
}

/** Figures, what is wrong, what to do. */
type Doubt = readonly [numbers: ProblemNumbers, message: string, remedy: string];

/** Spare pieces that need a load of their own; null where they go with the ordered ones. */
function findSpareLoad({ loading, made, ordered }: PiecePlan): Doubt | null {
  const perLoad = loading.loads[0]?.pieces ?? 0;
  const loads = loading.loads.length;
  if (made === ordered || perLoad === 0 || Math.ceil(ordered / perLoad) === loads) return null;
  const more = perLoad * loads - made;
  return [
    { spares: made - ordered, loads, more },
    `${formatCount(made - ordered, "spare piece")} need a load of their own: the ${ordered} ordered fit ` +
      `${formatCount(loads - 1, "load")}.`,
    `Make none, or fill that load with ${more} more.`,
  ];
}
