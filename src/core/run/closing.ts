import { addDays, LEAST_KEPT_G, type LarderItem, type LarderKind, type LarderUse } from "../plan";
import { countPieces } from "./countPieces";
import type { RunEvent } from "./event";
import type { RunState } from "./foldRun";
import type { StaleItem } from "./runLarder";
import type { RunSheet } from "./runSheet";
import { toLeftKey } from "./toLeftKey";

/** What is over of one thing. */
export interface LeftOver {
  readonly kind: LarderKind;
  readonly refId: string;
  readonly label: string;
  readonly massG: number;
  readonly count: number;
  readonly useBy: string;
  /** Whether somebody said so; else it is reckoned from the plan and from what happened. */
  readonly isSaid: boolean;
}

/** How a day's pieces ended. */
export interface Sale {
  readonly pieceId: string;
  readonly name: string;
  /** Made for today, less what was lost. */
  readonly made: number;
  /** Promised by orders. */
  readonly promised: number;
  /** null while nobody said. */
  readonly sold: number | null;
}

/** What is left to say of a day, and what was said. */
export interface Closing {
  readonly isClosed: boolean;
  readonly sales: readonly Sale[];
  readonly left: readonly LeftOver[];
  /** What is past its date, and whether it was thrown out. */
  readonly stale: readonly (StaleItem & { readonly isThrown: boolean })[];
  /** Jobs that were to be done and are not done on record. */
  readonly undone: readonly { readonly taskId: string; readonly title: string }[];
}

/** The state of a day's closing at any moment. */
export function readClosing(sheet: RunSheet, state: RunState): Closing {
  const { made, pieces, blanksOver, overG } = countPieces(sheet, state);
  return {
    isClosed: state.isClosed,
    sales: sheet.pieces.flatMap(({ id, name, promises, lots }): Sale[] => {
      const promised = promises.reduce((sum, { count }) => sum + count, 0);
      const ahead = lots.reduce((sum, { isAhead, pieces: many }) => sum + (isAhead ? many : 0), 0);
      const forToday = Math.max((made[id] ?? 0) - ahead, 0);
      return forToday + promised === 0
        ? []
        : [{ pieceId: id, name, made: forToday, promised, sold: state.sold[id] ?? null }];
    }),
    left: sheet.larder.left.map(({ kind, refId, label, massG, count, keepsDays }) => {
      const said = state.left[toLeftKey(kind, refId)];
      const usual = { massG, count, useBy: addDays(sheet.date, keepsDays) };
      // Of a filling it is known how much the pieces took, of blanks how many were cut.
      if (kind === "filling") usual.massG = overG[refId] ?? massG;
      if (usual.massG < LEAST_KEPT_G) usual.massG = 0;
      if (kind === "blanks") usual.count += blanksOver[refId] ?? 0;
      return { kind, refId, label, ...usual, ...said, isSaid: said !== undefined };
    }),
    stale: (sheet.larder.stale ?? []).map((each) => ({
      ...each,
      isThrown: state.thrown.includes(each.item.id),
    })),
    undone: sheet.jobs.flatMap(({ taskId, title }) =>
      (state.tasks[taskId]?.doneMin ?? null) === null && pieces[taskId] !== 0 ? [{ taskId, title }] : [],
    ),
  };
}

/** What a closed day changes in the larder; of one that is not closed nothing. */
export interface LarderLog {
  readonly uses: readonly LarderUse[];
  readonly put: readonly LarderItem[];
}

/** Ids of what is left are those of a day closed without a run, so that there is one of each, whoever put it in. */
export function toLarderLog(sheet: RunSheet, state: RunState): LarderLog {
  if (!state.isClosed) return { uses: [], put: [] };
  const { dayId, date, larder } = sheet;
  const left = readClosing(sheet, state).left.filter(({ massG, count }) => count > 0 || massG > 0);
  return {
    uses: [
      ...larder.uses,
      ...(larder.stale ?? []).flatMap(({ item }) =>
        state.thrown.includes(item.id) ? [{ item, massG: item.massG, count: item.count }] : [],
      ),
    ],
    put: [
      ...left.map(({ kind, refId, massG, count, useBy }): LarderItem => ({
        id: `left-${date}-${kind}-${refId}`,
        kind,
        refId,
        massG,
        count,
        madeOn: date,
        useBy,
        fromDayId: dayId,
        takenByDayId: null,
      })),
      ...larder.made,
    ],
  };
}

/** What somebody says at the end of a day. */
export interface ClosingAnswers {
  /** By piece id. */
  readonly sold: Readonly<Record<string, number>>;
  /** By `toLeftKey`: so much is kept, until then. */
  readonly left: Readonly<
    Record<string, { readonly massG: number; readonly count: number; readonly useBy: string }>
  >;
  /** Ids of what is past its date and was thrown out. */
  readonly thrown: readonly string[];
  /** Whether the jobs that are not done on record were done; nobody timed them. */
  readonly areDone: boolean;
}

interface Stamp {
  readonly createId: () => string;
  readonly atMin: number;
  readonly deviceId: string;
}

/** The events of a closing: only what was not known before, and the end of the day itself. */
export function listClosingEvents(
  { isClosed, sales, left, stale, undone }: Closing,
  answers: ClosingAnswers,
  { createId, atMin, deviceId }: Stamp,
): RunEvent[] {
  const stamp = () => ({ id: createId(), atMin, deviceId, person: 0 });
  return [
    ...(answers.areDone ? undone : []).map(({ taskId }): RunEvent => ({ ...stamp(), kind: "done", taskId })),
    ...sales.flatMap(({ pieceId, sold }): RunEvent[] => {
      const count = answers.sold[pieceId] ?? sold;
      return count === null || count === sold ? [] : [{ ...stamp(), kind: "sold", pieceId, count }];
    }),
    ...left.flatMap(({ kind: larderKind, refId, massG, count, useBy }): RunEvent[] => {
      const said = answers.left[toLeftKey(larderKind, refId)];
      const isNew = said && (said.massG !== massG || said.count !== count || said.useBy !== useBy);
      return isNew ? [{ ...stamp(), kind: "left", larderKind, refId, ...said }] : [];
    }),
    ...stale.flatMap(({ item, isThrown }): RunEvent[] =>
      isThrown || !answers.thrown.includes(item.id) ? [] : [{ ...stamp(), kind: "thrown", itemId: item.id }],
    ),
    ...(isClosed ? [] : [{ ...stamp(), kind: "closed" } as const]),
  ];
}
