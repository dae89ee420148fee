import type Database from "better-sqlite3";
import type { RecordKind, RecordTypes } from "@/schemas/recordKinds";
import { createCustomerRepository, createStandingRepository } from "./customerRepositories";
import { createCutRecordRepository } from "./cutRecordRepository";
import { createDayRepository, createOrderRepository } from "./dayRepositories";
import { createFormulaRepository } from "./formulaRepository";
import {
  createBenchRepository,
  createCutterRepository,
  createDeviceRepository,
  createFryerRepository,
  createOvenRepository,
  createShelfRepository,
  createVesselRepository,
} from "./kitRepositories";
import {
  createIngredientRepository,
  createKitchenRepository,
  createLarderRepository,
  createWeighingRepository,
} from "./larderRepositories";
import { createLotRecordRepository } from "./lotRecordRepository";
import { createMakeAheadRepository } from "./makeAheadRepository";
import { createPieceRepository } from "./pieceRepository";
import { createPriceRepository, createTillRepository } from "./tillRepositories";
import type { Repository } from "./versionedTable";

/** One repository a kind of record. */
export type Repositories = { readonly [K in RecordKind]: Repository<RecordTypes[K]> };

export const createRepositories = (db: Database.Database): Repositories => ({
  formula: createFormulaRepository(db),
  piece: createPieceRepository(db),
  bench: createBenchRepository(db),
  oven: createOvenRepository(db),
  cutter: createCutterRepository(db),
  vessel: createVesselRepository(db),
  shelf: createShelfRepository(db),
  fryer: createFryerRepository(db),
  device: createDeviceRepository(db),
  customer: createCustomerRepository(db),
  standing: createStandingRepository(db),
  day: createDayRepository(db),
  order: createOrderRepository(db),
  kitchen: createKitchenRepository(db),
  till: createTillRepository(db),
  price: createPriceRepository(db),
  ingredient: createIngredientRepository(db),
  larder: createLarderRepository(db),
  ahead: createMakeAheadRepository(db),
  weighing: createWeighingRepository(db),
  cutRecord: createCutRecordRepository(db),
  lotRecord: createLotRecordRepository(db),
});
