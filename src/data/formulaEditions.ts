import type Database from "better-sqlite3";
import { toFilling } from "@/schemas/makingParts";
import type { Formula } from "@/schemas/model";
import type { Repository } from "./versionedTable";

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
  // By the index on formula and instant: one look a formula, however many editions it has.
  const selectAsOf = db.prepare<[string], EditionRow>(
    `SELECT edition, written_at, body FROM formula CROSS JOIN formula_edition ON formula_id = formula.id
     WHERE edition = coalesce(
       (SELECT edition FROM formula_edition WHERE formula_id = formula.id AND written_at <= ?
        ORDER BY written_at DESC, edition DESC LIMIT 1),
       (SELECT min(edition) FROM formula_edition WHERE formula_id = formula.id))`,
  );
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
     * Notes the new state of a formula. Within one sitting it takes the place of the edition before. A state that was
     * never noted (files older than editions) is noted first.
     * @param formulas - Where its state until now stands.
     */
    note(formulas: Repository<Formula>, formula: Formula, writtenAtIso: string): void {
      const before = formulas.find(formula.id)?.record ?? null;
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
    listAsOf: (untilIso: string): Formula[] => selectAsOf.all(untilIso).map((row) => read(row).formula),
  };
}

export type FormulaEditions = ReturnType<typeof createFormulaEditions>;

/** What doughs did not say before trim had an end, with the figures the data file gave them then. */
const addedToDoughs = { rerollShrinkShare: 0.01, trimEnd: "larder", decorationCutterId: null } as const;

/** What fillings did not say before their way in the heat was kept, likewise. */
const addedToFillings = {
  wetness: "moist",
  shrinkShare: 0,
  measure: "spoon",
  fruit: null,
} as const;

/** A snapshot of any age as a formula of today. */
function complete(formula: Formula): Formula {
  return formula.kind === "dough"
    ? { ...addedToDoughs, ...formula }
    : { ...addedToFillings, ...toFilling(formula) };
}
