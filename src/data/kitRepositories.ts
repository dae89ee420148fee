import type Database from "better-sqlite3";
import type { Bench, Cutter, Device, Fryer, Oven, Shelf, Vessel } from "@/schemas/model";
import type { OutlineKind } from "@/core/shape";
import { fromOutlineColumns, toOutlineColumns } from "./outlineColumns";
import { createChildTable } from "./childTable";
import { createVersionedTable, eachRow, type Repository } from "./versionedTable";

type BenchRow = {
  id: string;
  width_mm: number;
  depth_mm: number;
  sheet_max_width_mm: number;
  sheet_max_depth_mm: number;
};

/** All SQL about the bench. */
export function createBenchRepository(db: Database.Database): Repository<Bench> {
  return createVersionedTable<Bench, BenchRow>(db, {
    table: "bench",
    columns: ["id", "width_mm", "depth_mm", "sheet_max_width_mm", "sheet_max_depth_mm"],
    toRow: ({ id, widthMm, depthMm, sheetMaxWidthMm, sheetMaxDepthMm }) => ({
      id,
      width_mm: widthMm,
      depth_mm: depthMm,
      sheet_max_width_mm: sheetMaxWidthMm,
      sheet_max_depth_mm: sheetMaxDepthMm,
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      widthMm: row.width_mm,
      depthMm: row.depth_mm,
      sheetMaxWidthMm: row.sheet_max_width_mm,
      sheetMaxDepthMm: row.sheet_max_depth_mm,
    })),
  });
}

type OvenRow = {
  id: string;
  name: string;
  trays_at_once: number;
  tray_width_mm: number;
  tray_depth_mm: number;
  heat_up_c_per_min: number;
  cool_down_c_per_min: number;
  max_c: number;
  power_kw: number;
  kind: Oven["kind"];
};

/** All SQL about ovens. */
export function createOvenRepository(db: Database.Database): Repository<Oven> {
  const decks = createChildTable<{ offset_c: number }>(db, "oven_deck", "oven_id", ["offset_c"]);
  return createVersionedTable<Oven, OvenRow>(db, {
    table: "oven",
    columns: [
      "id",
      "name",
      "trays_at_once",
      "tray_width_mm",
      "tray_depth_mm",
      "heat_up_c_per_min",
      "cool_down_c_per_min",
      "max_c",
      "power_kw",
      "kind",
    ],
    toRow: (oven) => ({
      id: oven.id,
      name: oven.name,
      trays_at_once: oven.traysAtOnce,
      tray_width_mm: oven.trayWidthMm,
      tray_depth_mm: oven.trayDepthMm,
      heat_up_c_per_min: oven.heatUpCPerMin,
      cool_down_c_per_min: oven.coolDownCPerMin,
      max_c: oven.maxC,
      power_kw: oven.powerKw,
      kind: oven.kind,
    }),
    afterPut: ({ id, deckOffsetsC }) =>
      decks.replace(
        id,
        deckOffsetsC.map((offset_c) => ({ offset_c })),
      ),
    fromRows(rows) {
      const decksOf = decks.readFor(rows.map(({ id }) => id));
      return rows.map((row) => ({
        id: row.id,
        name: row.name,
        traysAtOnce: row.trays_at_once,
        trayWidthMm: row.tray_width_mm,
        trayDepthMm: row.tray_depth_mm,
        heatUpCPerMin: row.heat_up_c_per_min,
        coolDownCPerMin: row.cool_down_c_per_min,
        maxC: row.max_c,
        powerKw: row.power_kw,
        kind: row.kind,
        deckOffsetsC: (decksOf.get(row.id) ?? []).map(({ offset_c: offsetC }) => offsetC),
      }));
    },
  });
}

type CutterRow = {
  id: string;
  name: string;
  outline_kind: OutlineKind;
  width_mm: number;
  height_mm: number;
  corners: number | null;
  path: string | null;
  count: number;
};

/** All SQL about the cutter drawer. */
export function createCutterRepository(db: Database.Database): Repository<Cutter> {
  return createVersionedTable<Cutter, CutterRow>(db, {
    table: "cutter",
    columns: ["id", "name", "outline_kind", "width_mm", "height_mm", "corners", "path", "count"],
    toRow: ({ id, name, outline, count }) => {
      const { kind, widthMm, heightMm, corners, path } = toOutlineColumns(outline);
      return { id, name, outline_kind: kind, width_mm: widthMm, height_mm: heightMm, corners, path, count };
    },
    fromRows: eachRow(
      ({ id, name, outline_kind: kind, width_mm: widthMm, height_mm: heightMm, corners, path, count }) => ({
        id,
        name,
        outline: fromOutlineColumns({ kind, widthMm, heightMm, corners, path }),
        count,
      }),
    ),
  });
}

type VesselRow = { id: string; name: string; kind: Vessel["kind"]; count: number; holds: number };

/** All SQL about moulds, pans and trays. */
export function createVesselRepository(db: Database.Database): Repository<Vessel> {
  return createVersionedTable<Vessel, VesselRow>(db, {
    table: "vessel",
    isArchiving: true,
    columns: ["id", "name", "kind", "count", "holds"],
    toRow: ({ id, name, kind, count, holds }) => ({ id, name, kind, count, holds }),
    fromRows: eachRow(({ id, name, kind, count, holds }) => ({ id, name, kind, count, holds })),
  });
}

type ShelfRow = {
  id: string;
  name: string;
  place: Shelf["place"];
  count: number;
  width_mm: number;
  depth_mm: number;
};

/** All SQL about shelves and racks. */
export function createShelfRepository(db: Database.Database): Repository<Shelf> {
  return createVersionedTable<Shelf, ShelfRow>(db, {
    table: "shelf",
    columns: ["id", "name", "place", "count", "width_mm", "depth_mm"],
    toRow: ({ id, name, place, count, widthMm, depthMm }) => ({
      id,
      name,
      place,
      count,
      width_mm: widthMm,
      depth_mm: depthMm,
    }),
    fromRows: eachRow(({ id, name, place, count, width_mm: widthMm, depth_mm: depthMm }) => ({
      id,
      name,
      place,
      count,
      widthMm,
      depthMm,
    })),
  });
}

type DeviceRow = {
  id: string;
  source: string;
  used_as: Device["use"];
  machine_id: string | null;
  deck: number | null;
};

/** All SQL about devices and their places. */
export function createDeviceRepository(db: Database.Database): Repository<Device> {
  return createVersionedTable<Device, DeviceRow>(db, {
    table: "device",
    columns: ["id", "source", "used_as", "machine_id", "deck"],
    toRow: ({ id, source, use, machineId, deck }) => ({
      id,
      source,
      used_as: use,
      machine_id: machineId,
      deck,
    }),
    fromRows: eachRow(({ id, source, used_as: use, machine_id: machineId, deck }) => ({
      id,
      source,
      use,
      machineId,
      deck,
    })),
  });
}

type FryerRow = {
  id: string;
  name: string;
  oil_kg: number;
  oil_j_per_kg_k: number;
  loss_w_per_k: number;
  heater_w: number;
  max_c: number;
  basket_width_mm: number;
  basket_depth_mm: number;
  pot_depth_mm: number;
  fill_share: number;
  used_loads: number;
  fried: string;
  change_after_loads: number;
};

/** All SQL about fryers. */
export function createFryerRepository(db: Database.Database): Repository<Fryer> {
  return createVersionedTable<Fryer, FryerRow>(db, {
    table: "fryer",
    columns: [
      "id",
      "name",
      "oil_kg",
      "oil_j_per_kg_k",
      "loss_w_per_k",
      "heater_w",
      "max_c",
      "basket_width_mm",
      "basket_depth_mm",
      "pot_depth_mm",
      "fill_share",
      "used_loads",
      "fried",
      "change_after_loads",
    ],
    toRow: (fryer) => ({
      id: fryer.id,
      name: fryer.name,
      oil_kg: fryer.oilKg,
      oil_j_per_kg_k: fryer.oilJPerKgK,
      loss_w_per_k: fryer.lossWPerK,
      heater_w: fryer.heaterW,
      max_c: fryer.maxC,
      basket_width_mm: fryer.basketWidthMm,
      basket_depth_mm: fryer.basketDepthMm,
      pot_depth_mm: fryer.potDepthMm,
      fill_share: fryer.fillShare,
      used_loads: fryer.usedLoads,
      fried: JSON.stringify(fryer.fried),
      change_after_loads: fryer.changeAfterLoads,
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      name: row.name,
      oilKg: row.oil_kg,
      oilJPerKgK: row.oil_j_per_kg_k,
      lossWPerK: row.loss_w_per_k,
      heaterW: row.heater_w,
      maxC: row.max_c,
      basketWidthMm: row.basket_width_mm,
      basketDepthMm: row.basket_depth_mm,
      potDepthMm: row.pot_depth_mm,
      fillShare: row.fill_share,
      usedLoads: row.used_loads,
      fried: JSON.parse(row.fried) as Fryer["fried"],
      changeAfterLoads: row.change_after_loads,
    })),
  });
}
