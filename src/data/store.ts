import type Database from "better-sqlite3";
import type { Formula } from "@/schemas/model";
import { fail, ok, type Result } from "@/core/result";
import {
  recordKinds,
  type RecordChange,
  type RecordKind,
  type RecordTypes,
  type StoredRecord,
} from "@/schemas/recordKinds";
import { createCutRecordRepository } from "./cutRecordRepository";
import { createDayRepository, createOrderRepository } from "./dayRepositories";
import { createFormulaEditions, type FormulaEdition } from "./formulaEditions";
import { createFormulaRepository } from "./formulaRepository";
import {
  createBenchRepository,
  createCutterRepository,
  createFryerRepository,
  createOvenRepository,
  createShelfRepository,
  createVesselRepository,
} from "./kitRepositories";
import { createMakeAheadRepository } from "./makeAheadRepository";
import {
  createIngredientRepository,
  createKitchenRepository,
  createLarderRepository,
  createWeighingRepository,
} from "./larderRepositories";
import { createLotRecordRepository } from "./lotRecordRepository";
import { createPieceRepository } from "./pieceRepository";
import type { Repository } from "./versionedTable";

/** Why a list of changes was refused as a whole. */
export type ChangeFault =
  | {
      readonly kind: "stale";
      readonly changed: RecordKind;
      readonly id: string;
      readonly current: StoredRecord | null;
    }
  | { readonly kind: "inUse"; readonly changed: RecordKind; readonly id: string }
  | { readonly kind: "dateTaken"; readonly changed: RecordKind; readonly id: string };

export interface Store {
  /** Every record of every kind. */
  listRecords(): StoredRecord[];
  /**
   * Makes all the changes or none, and gives the new versions in the same order (0 for a removal).
   * @param writtenAtIso - Now, UTC, ISO 8601: formulas keep their editions by it.
   */
  applyChanges(changes: readonly RecordChange[], writtenAtIso: string): Result<number[], ChangeFault>;
  /** Every edition of a formula, oldest first. */
  listEditions(formulaId: string): FormulaEdition[];
  /** Every formula as it stood at an instant, UTC, ISO 8601. */
  listFormulasAsOf(untilIso: string): Formula[];
  close(): void;
}

/** Carries a refusal out of the transaction so that it rolls back. */
class Refusal extends Error {
  constructor(readonly fault: ChangeFault) {
    super(fault.kind);
  }
}

/** The one way to what is stored. @param db - Opened and migrated. */
export function createStore(db: Database.Database): Store {
  const repositories: { [K in RecordKind]: Repository<RecordTypes[K]> } = {
    formula: createFormulaRepository(db),
    piece: createPieceRepository(db),
    bench: createBenchRepository(db),
    oven: createOvenRepository(db),
    cutter: createCutterRepository(db),
    vessel: createVesselRepository(db),
    shelf: createShelfRepository(db),
    fryer: createFryerRepository(db),
    day: createDayRepository(db),
    order: createOrderRepository(db),
    kitchen: createKitchenRepository(db),
    ingredient: createIngredientRepository(db),
    larder: createLarderRepository(db),
    ahead: createMakeAheadRepository(db),
    weighing: createWeighingRepository(db),
    cutRecord: createCutRecordRepository(db),
    lotRecord: createLotRecordRepository(db),
  };
  const editions = createFormulaEditions(db);
  const apply = <K extends RecordKind>(
    kind: K,
    id: string,
    record: RecordTypes[K] | null,
    expectedVersion: number,
  ): number => {
    const repository: Repository<RecordTypes[K]> = repositories[kind];
    const done = record ? repository.put(record, expectedVersion) : repository.remove(id, expectedVersion);
    if (done.ok) return done.value ?? 0;
    if (done.failure.kind === "inUse") throw new Refusal({ kind: "inUse", changed: kind, id });
    const current = done.failure.current ? ({ kind, ...done.failure.current } as StoredRecord) : null;
    throw new Refusal({ kind: "stale", changed: kind, id, current });
  };
  const applyAll = db.transaction((changes: readonly RecordChange[], writtenAtIso: string) =>
    changes.map((change) => {
      const { kind, id, record, expectedVersion } = change;
      if (change.kind === "formula" && change.record) {
        const before = repositories.formula.find(id);
        editions.note(change.record, writtenAtIso, before?.record ?? null);
      }
      try {
        return apply(kind, id, record, expectedVersion);
      } catch (error) {
        if (isUniqueFault(error)) throw new Refusal({ kind: "dateTaken", changed: kind, id });
        throw error;
      }
    }),
  );
  return {
    listRecords: () =>
      recordKinds.flatMap((kind) =>
        repositories[kind].list().map((stored) => ({ kind, ...stored }) as StoredRecord),
      ),
    listEditions: (formulaId) => editions.list(formulaId),
    listFormulasAsOf: (untilIso) => editions.listAsOf(untilIso),
    applyChanges(changes, writtenAtIso) {
      try {
        return ok(applyAll.immediate(changes, writtenAtIso));
      } catch (error) {
        if (error instanceof Refusal) return fail(error.fault);
        throw error;
      }
    },
    close: () => db.close(),
  };
}

function isUniqueFault(error: unknown): boolean {
  return error instanceof Error && "code" in error && error.code === "SQLITE_CONSTRAINT_UNIQUE";
}
