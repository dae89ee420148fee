import { findFormulas } from "../piece";
import { formatClock, formatLength, formatMass } from "../../units";
import { isHeat } from "../../way";
import { FRESH_OIL, type DayBook, type Piece } from "../book";
import { setFor } from "../kit";
import type { Problem, ProblemCode } from "../problem";
import type { DayChange } from "./dayChange";
import { listLinings } from "./pieceMend";

/** One change that takes a problem away. */
export interface ProblemMend {
  readonly title: string;
  readonly change: DayChange;
}

interface Trouble {
  readonly problem: Problem;
  readonly book: DayBook;
  /** The piece that it is about; null where it is about none. */
  readonly piece: Piece | null;
}

/**
 * What takes a problem away at one tap, from its own figures: a margin as wide as the crimp asks for, a portion that fits,
 * a pin taken off. Nothing where it has to be thought about; what takes a search is asked for elsewhere.
 */
export function listProblemMends(problem: Problem, book: DayBook): ProblemMend[] {
  const piece = book.pieces.find(({ id }) => id === problem.pieceId) ?? null;
  return menders[problem.code]?.({ problem, book, piece }) ?? [];
}

const menders: Partial<Record<ProblemCode, (trouble: Trouble) => ProblemMend[]>> = {
  narrowMargin: (trouble) =>
    changePiece(trouble, "needsMm", (marginMm) => [
      `Widen the margin to ${formatLength(marginMm)}`,
      { marginMm },
    ]),
  overfull: (trouble) =>
    changePiece(trouble, "fitsG", (portionG) => [`Give ${formatMass(portionG)}`, { portionG }]),
  thinSheet: (trouble) =>
    changePiece(trouble, "boughtMm", (thicknessMm) => [
      `Take it ${formatLength(thicknessMm)} thick, as bought`,
      { thicknessMm },
    ]),
  spareLoad: (trouble) => [
    ...changePiece(trouble, "spares", () => ["Make no spares", { spares: 0 }]),
    ...changePiece(trouble, "more", (more) => {
      const spares = (trouble.problem.numbers["spares"] ?? 0) + more;
      return [`Fill the load: ${spares} spares`, { spares }];
    }),
  ],
  formDoubt: ({ problem, book, piece }) => {
    if (!piece) return [];
    const wantedMm = problem.numbers["wantedMm"];
    if (wantedMm !== undefined)
      return [
        {
          title: `Cut the square ${formatLength(wantedMm)}`,
          change: { pieces: [{ ...piece, cut: { kind: "square", sideMm: wantedMm } }] },
        },
      ];
    const { dough } = findFormulas(piece, book.formulas);
    return listLinings(piece, dough?.springBackShare ?? 0).map(({ title, change }) => ({
      title,
      change: { pieces: [{ ...piece, ...change }] },
    }));
  },
  ovenTooCold: ({ book, piece }) => {
    const [oven] = book.ovens;
    if (!piece || !oven) return [];
    const way = piece.way.map((step) => {
      if (!isHeat(step) || step.heatC === null) return step;
      const overC = setFor({ ovenC: step.heatC, minutes: step.minutes }, oven).ovenC - oven.maxC;
      return overC > 0 ? { ...step, heatC: step.heatC - overC } : step;
    });
    return [
      {
        title: `Bake it at what ${oven.name} reaches`,
        change: { pieces: [{ ...piece, way }] },
      },
    ];
  },
  smallParts: ({ problem, book }) => {
    const most = problem.numbers["most"] ?? 1;
    return book.formulas.flatMap((formula) =>
      formula.kind === "dough" && formula.id === problem.aboutId
        ? [
            {
              title: most > 1 ? `Divide it into ${most}` : "Do not divide it",
              change: { doughs: [{ ...formula, dividedCount: most > 1 ? most : null }] },
            },
          ]
        : [],
    );
  },
  shortage: ({ problem, book }) =>
    book.weighings.flatMap((weighing) =>
      weighing.dayId === book.day.id && weighing.formulaId === problem.aboutId && weighing.mixG !== null
        ? [{ title: "Mix what the day asks for", change: { weighings: [{ ...weighing, mixG: null }] } }]
        : [],
    ),
  expired: ({ problem: { aboutId } }) =>
    aboutId === null ? [] : [{ title: "Throw it out", change: { goneLarder: [aboutId] } }],
  oldOil: ({ problem, book }) =>
    book.fryers.flatMap((fryer) =>
      fryer.id === problem.aboutId
        ? [{ title: "Its oil is changed", change: { fryers: [{ ...fryer, ...FRESH_OIL }] } }]
        : [],
    ),
  pastPromise: ({ problem: { aboutId } }) =>
    aboutId === null ? [] : [{ title: "Take the order off", change: { goneOrders: [aboutId] } }],
  pinOff: unpin,
  beforeOpening: (trouble) => {
    const { day } = trouble.book;
    const openMin = trouble.problem.numbers["startMin"] ?? day.openMin;
    return [
      ...unpin(trouble),
      ...(openMin >= 0
        ? [{ title: `Open at ${formatClock(openMin)}`, change: { day: { ...day, openMin } } }]
        : []),
    ];
  },
};

/** The piece with a figure of the problem. */
function changePiece(
  { problem, piece }: Trouble,
  name: string,
  change: (figure: number) => readonly [title: string, fields: Partial<Piece>],
): ProblemMend[] {
  const figure = problem.numbers[name];
  if (!piece || figure === undefined || figure <= 0) return [];
  const [title, fields] = change(figure);
  return [{ title, change: { pieces: [{ ...piece, ...fields }] } }];
}

function unpin({ problem: { aboutId }, book: { day } }: Trouble): ProblemMend[] {
  const pinned = day.pinned.filter(({ taskId }) => taskId !== aboutId);
  return pinned.length < day.pinned.length
    ? [{ title: "Unpin it", change: { day: { ...day, pinned } } }]
    : [];
}
