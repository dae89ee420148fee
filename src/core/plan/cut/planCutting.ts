import { because } from "../../result";
import type { PieceDraft } from "../line";
import { Budget } from "../../budget";
import { createMemory } from "../../createMemory";
import {
  craftHandTimes,
  cutAims,
  noCuts,
  planCuts,
  type BlankDemand,
  type CutAnswers,
  type CutPlan,
  type CutRequest,
} from "../../cutting";
import { findTearShare, hasGrain, type Dough, type FormulaAnalysis } from "../../formula";
import { describeOutline } from "../../shape";
import { formatCount, formatLength, formatMass } from "../../units";
import type { DayBook, Piece } from "../book";
import type { CutPrice, CutRole, DayCut } from "../result";
import { type WhyStep, toProblem, type Problem } from "../problem";
import { findThicknessMm, toDemandId } from "../piece";

/** Cuts of this many groups are remembered: a piece that is edited is cut anew, the day's others are not. */
const MOST_CUTS = 64;
const remember = createMemory<{ answers: ReturnType<typeof planCuts>; cutShort: boolean }>(MOST_CUTS);
/**
 * Steps that the search for a group's sheets may take: about a second. Eight cutters by the dozen take a twelfth of
 * them. Counted, not timed: a tablet and the server find the same plan.
 */
const MOST_STEPS = 30_000;

/** The cuts of the day, and what stops a piece from being cut. */
export interface DayCutting {
  readonly cuts: readonly DayCut[];
  readonly problems: readonly Problem[];
}

/**
 * All blanks of the day, those of one dough at one thickness together: they share trim, and small sheets where that
 * saves dough. A piece with a sheet of its own shares with none.
 */
export function planCutting(
  book: DayBook,
  drafts: readonly PieceDraft[],
  analyses: Readonly<Record<string, FormulaAnalysis>>,
): DayCutting {
  const groups = new Map<string, PieceDraft[]>();
  for (const draft of drafts) {
    const { piece, dough } = draft;
    const key = `${dough.id}:${findThicknessMm(piece, dough)}:${piece.cutAim}${piece.cutAim === "pinned" ? `:${piece.id}` : ""}`;
    groups.set(key, [...(groups.get(key) ?? []), draft]);
  }
  const planned = [...groups].map(([id, group]) => planGroup(book, id, group, analyses));
  return {
    cuts: planned.flatMap(({ cuts }) => cuts),
    problems: planned.flatMap(({ problems }) => problems),
  };
}

/** One group's cut; none where nothing of the group can be cut. */
function planGroup(
  book: DayBook,
  id: string,
  group: readonly PieceDraft[],
  analyses: Readonly<Record<string, FormulaAnalysis>>,
): DayCutting {
  const [first] = group;
  if (!first) return { cuts: [], problems: [] };
  const request = toCutRequest(book, group, analyses);
  const { dough, piece } = first;
  const shared = {
    id,
    dough,
    thicknessMm: request.thicknessMm,
    aim: piece.cutAim,
    pieceIds: group.map((draft) => draft.piece.id),
    roles: group.flatMap(listRoles),
  };
  if (request.demands.length === 0) {
    return { cuts: [{ ...shared, plan: noCuts(), prices: [], why: [] }], problems: [] };
  }
  const { answers, cutShort } = remember(JSON.stringify(request), () => {
    const budget = Budget.ofSteps(MOST_STEPS);
    const found = planCuts(request, budget);
    return { answers: found, cutShort: budget.cutShort };
  });
  if (!answers.ok) {
    // The others can still be cut.
    const { demandId } = answers.failure.figures;
    const culprit = group.find((draft) =>
      draft.shaped.formed.blanks.some(({ role }) => toDemandId(draft.piece, role) === demandId),
    );
    if (!culprit) throw new RangeError(`planGroup: no piece has the demand ${demandId}`);
    const cannot = because("cannotCut", { piece: culprit.piece.name, why: answers.failure });
    const problem = toProblem(cannot, { station: "roll", pieceId: culprit.piece.id, stops: true });
    const others = planGroup(
      book,
      id,
      group.filter((draft) => draft !== culprit),
      analyses,
    );
    return { ...others, problems: [problem, ...others.problems] };
  }
  const plan = answers.value[piece.cutAim] ?? answers.value.sensible;
  const unfinished = because("cutUnfinished", { dough: dough.name });
  return {
    cuts: [
      { ...shared, plan, prices: listPrices(answers.value, dough), why: explainCut(request, group, plan) },
    ],
    problems: cutShort ? [toProblem(unfinished, { station: "roll", pieceId: piece.id })] : [],
  };
}

function toCutRequest(
  { bench, cutters }: DayBook,
  group: readonly PieceDraft[],
  analyses: Readonly<Record<string, FormulaAnalysis>>,
): CutRequest {
  const [first] = group;
  if (!first) throw new RangeError("toCutRequest: a group of no pieces");
  const { dough, piece } = first;
  const composition = analyses[dough.id]?.composition;
  const decoration = cutters.find(({ id }) => id === dough.decorationCutterId)?.outline ?? null;
  return {
    demands: group.flatMap(listDemands),
    thicknessMm: findThicknessMm(piece, dough),
    densityGPerMl: dough.densityGPerMl,
    sheetLimit: { widthMm: bench.sheetMaxWidthMm, heightMm: bench.sheetMaxDepthMm },
    rerollLimit: dough.rerollLimit,
    rerollLossShare: dough.rerollLossShare,
    rerollShrinkShare: dough.rerollShrinkShare,
    tearSharePer100Mm: composition ? findTearShare(dough, composition) : 0,
    mayTurn: !hasGrain(dough),
    handTimes: craftHandTimes,
    pinnedSheet: piece.cutAim === "pinned" ? piece.pinnedSheet : null,
    boughtSheet: dough.boughtSheet,
    decoration: dough.trimEnd === "decorations" ? decoration : null,
  };
}

/** As it is bought a sheet's edge is straight; rolled by hand, thinner ones too, it is ragged. */
const findRaggedMm = (piece: Piece, dough: Dough): number =>
  dough.boughtSheet && piece.thicknessMm >= dough.boughtSheet.thicknessMm ? 0 : piece.raggedMm;

function listDemands({ piece, dough, shaped, toCut }: PieceDraft): BlankDemand[] {
  if (toCut <= 0) return [];
  const { blanks } = shaped.formed;
  return blanks.map(({ role, cut, isVisible, keepsCentre }) => ({
    id: toDemandId(piece, role),
    outline: cut,
    count: toCut,
    webMm: piece.webMm,
    marginMm: findRaggedMm(piece, dough),
    isVisible: isVisible === piece.seenFirst,
    keepsCentre,
    // A base without its top is nothing: what has no partner stays dough.
    keepsSurplus: blanks.length === 1,
    ...(piece.form.kind === "puck" ? { logMm: piece.form.logMm } : {}),
  }));
}

function listRoles({ piece, shaped }: PieceDraft): CutRole[] {
  const { blanks } = shaped.formed;
  return blanks.map(({ role, cut, isVisible }) => ({
    demandId: toDemandId(piece, role),
    pieceId: piece.id,
    pieceName: piece.name,
    role,
    outline: cut,
    isVisible,
    hasPartner: blanks.length > 1,
  }));
}

function listPrices(answers: CutAnswers, dough: Dough): CutPrice[] {
  return cutAims.flatMap((aim) => {
    const plan = answers[aim];
    // Only a laminated log is sliced: its layers stay whole. A bought sheet comes rolled.
    if (!plan || (aim === "sliced" && !hasGrain(dough))) return [];
    if (dough.boughtSheet && (aim === "sliced" || aim === "portioned")) return [];
    const { doughG, handMin, rerolls, sheets } = plan;
    return [{ aim, doughG, handMin, rerolls: rerolls.length, sheets: sheets.length }];
  });
}

function explainCut(request: CutRequest, group: readonly PieceDraft[], plan: CutPlan): WhyStep[] {
  const countOf = (pass: number) =>
    plan.sheets
      .filter((sheet) => sheet.pass === pass && !sheet.isDecoration)
      .reduce((sum, { count }) => sum + count, 0);
  const first = plan.sheets.filter(({ pass, isDecoration }) => pass === 0 && !isDecoration);
  return [
    ...group.flatMap(({ piece, counts: { ordered, made, frozenTaken, blanksTaken, ahead } }) => [
      {
        text: `${piece.name}: ${ordered} ordered and ${made - ordered} spare`,
        figure: formatCount(made, "piece"),
      },
      ...(frozenTaken > 0 ? [{ text: "frozen pieces from the larder", figure: `− ${frozenTaken}` }] : []),
      ...(blanksTaken > 0 ? [{ text: "blanks from the larder", figure: `− ${blanksTaken}` }] : []),
      ...(ahead.frozenPieces + ahead.shells > 0
        ? [{ text: "made for another day", figure: `+ ${ahead.frozenPieces + ahead.shells}` }]
        : []),
    ]),
    ...request.demands.map(({ id, outline, count }) => ({
      text: `${count} of ${describeOutline(outline)} at ${formatLength(request.thicknessMm)}, ${request.densityGPerMl} g/ml, each`,
      figure: formatMass(plan.yields.find(({ demandId }) => demandId === id)?.eachG ?? 0),
    })),
    ...(plan.portioning
      ? []
      : [
          {
            text: `first rolling, ${formatCount(first.length, "sheet")}`,
            figure: formatCount(countOf(0), "blank"),
          },
        ]),
    ...plan.rerolls.map(({ pass, trimG, lossG }) => ({
      text: `re-roll ${pass}: ${formatMass(trimG)} of trim, ${formatMass(lossG)} lost to flour and pin`,
      figure: formatCount(countOf(pass), "blank"),
    })),
    ...(plan.decorations > 0
      ? [
          {
            text: "decorations from what is left",
            figure: `${plan.decorations}, ${formatMass(plan.decorationsG)}`,
          },
        ]
      : []),
    {
      text: "blanks + trim left + loss",
      figure: `${formatMass(plan.blanksG)} + ${formatMass(plan.trimLeftG)} + ${formatMass(plan.lossG)}`,
    },
    {
      text: "dough to mix; the blanks alone weigh",
      figure: `${formatMass(plan.doughG)}; ${formatMass(plan.leastDoughG)}`,
    },
  ];
}
