import type Database from "better-sqlite3";
import type { Formula } from "@/schemas/model";

/** A formula as it stood from `writtenAt` (UTC, ISO 8601) until its next edition. */
export interface FormulaEdition {
  readonly edition: number;
  readonly writtenAt: string;
  readonly formula: Formula;
}

/** Changes closer together than this belong to one sitting and make one edition, ms. */
const ONE_SITTING_MS = 10 * 60_000;

/** The instant given to a state whose own is not known. */
const BEFORE_EDITIONS = "1970-01-01T00:00:00.000Z";

type EditionRow = { edition: number; written_at: string; body: string };

/** All SQL about the editions of formulas. */
export function createFormulaEditions(db: Database.Database) {
  const selectAll = db.prepare<[string], EditionRow>(
    "SELECT edition, written_at, body FROM formula_edition WHERE formula_id = ? ORDER BY edition",
  );
  const selectIds = db.prepare<[], { formula_id: string }>("SELECT DISTINCT formula_id FROM formula_edition");
  const selectLast = db.prepare<[string], EditionRow>(
    "SELECT edition, written_at, body FROM formula_edition WHERE formula_id = ? ORDER BY edition DESC LIMIT 1",
  );
  const insert = db.prepare<[string, number, string, string]>(
    "INSERT INTO formula_edition (formula_id, edition, written_at, body) VALUES (?, ?, ?, ?)",
  );
  const replace = db.prepare<[string, string, number]>(
    "UPDATE formula_edition SET body = ? WHERE formula_id = ? AND edition = ?",
  );
  const read = ({ edition, written_at, body }: EditionRow): FormulaEdition => ({
    edition,
    writtenAt: written_at,
    formula: complete(JSON.parse(body) as Formula),
  });

  return {
    /** Every edition of one formula, oldest first; empty if it was never written. */
    list: (formulaId: string): FormulaEdition[] => selectAll.all(formulaId).map(read),
    /**
     * Notes the new state of a formula. Within one sitting it takes the place of the edition before.
     * @param before - Its state until now: noted first if that was never done (files older than editions).
     */
    note(formula: Formula, writtenAtIso: string, before: Formula | null): void {
      if (before && !selectLast.get(formula.id))
        insert.run(formula.id, 1, BEFORE_EDITIONS, JSON.stringify(before));
      const last = selectLast.get(formula.id);
      const body = JSON.stringify(formula);
      const sameSitting = last && Date.parse(writtenAtIso) - Date.parse(last.written_at) < ONE_SITTING_MS;
      if (sameSitting) replace.run(body, formula.id, last.edition);
      else insert.run(formula.id, (last?.edition ?? 0) + 1, writtenAtIso, body);
    },
    /**
     * Every formula as it stood at an instant: its last edition not written after it, or its first one.
     * @param untilIso - UTC, ISO 8601.
     */
    listAsOf(untilIso: string): Formula[] {
      return selectIds.all().flatMap(({ formula_id }) => {
        const editions = selectAll.all(formula_id);
        const row = editions.findLast(({ written_at }) => written_at <= untilIso) ?? editions[0];
        return row ? [read(row).formula] : [];
      });
    },
  };
}

/** What doughs did not say before trim had an end, with the figures the data file gave them then. */
const addedToDoughs = { rerollShrinkShare: 0.01, trimEnd: "larder", decorationCutterId: null } as const;

/** What fillings did not say before their way in the heat was kept, likewise. */
const addedToFillings = {
  wetness: "moist",
  shrinkShare: 0,
  measure: "spoon",
  fruit: null,
  precooked: [],
} as const;

/** A snapshot of any age as a formula of today. */
function complete(formula: Formula): Formula {
  return formula.kind === "dough" ? { ...addedToDoughs, ...formula } : { ...addedToFillings, ...formula };
}
