import type { DayPlan, DayTask, PiecePlan } from "../plan";

/**
 * Minutes of hands by piece: its own jobs, and its part of those that are done for several. A dough's mixing, rolling
 * and cutting go by the dough it takes, a filling's making by the filling, all else by its pieces. What is done for another day alone is no piece's.
 */
export function shareHands({ lines, tasks }: Pick<DayPlan, "lines" | "tasks">): Map<string, number> {
  const shared = new Map(lines.map(({ piece }) => [piece.id, 0]));
  for (const task of tasks) {
    if (task.handsMin === 0) continue;
    const parts = lines.map((line) => ({ id: line.piece.id, part: findPart(task, line) }));
    const whole = parts.reduce((sum, { part }) => sum + part, 0);
    // What none of them takes, as a dough for another day, is carried by all.
    const by = whole > 0 ? parts : lines.map(({ piece, counts }) => ({ id: piece.id, part: counts.made }));
    const total = by.reduce((sum, { part }) => sum + part, 0);
    if (total === 0) continue;
    for (const { id, part } of by) shared.set(id, (shared.get(id) ?? 0) + (task.handsMin * part) / total);
  }
  return shared;
}

function findPart({ pieceId, cutId, formulaId }: DayTask, line: PiecePlan): number {
  if (pieceId !== null) return pieceId === line.piece.id ? 1 : 0;
  if (cutId !== null) return cutId === line.cut.id ? line.doughG : 0;
  if (formulaId === null) return line.counts.made;
  if (formulaId === line.piece.doughId) return line.doughG;
  return line.fills.reduce((sum, { part, totalG }) => sum + (part.fillingId === formulaId ? totalG : 0), 0);
}
