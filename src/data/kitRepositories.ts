import type Database from "better-sqlite3";
import type { Bench, Cutter, Oven } from "@/schemas/model";
import type { OutlineKind } from "@/core/shape";
import { fromOutlineColumns, toOutlineColumns } from "./outlineColumns";
import { createVersionedTable, type Repository } from "./versionedTable";

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
    fromRow: (row) => ({
      id: row.id,
      widthMm: row.width_mm,
      depthMm: row.depth_mm,
      sheetMaxWidthMm: row.sheet_max_width_mm,
      sheetMaxDepthMm: row.sheet_max_depth_mm,
    }),
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
  kind: Oven["kind"];
  offset_c: number;
};

/** All SQL about ovens. */
export function createOvenRepository(db: Database.Database): Repository<Oven> {
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
      "kind",
      "offset_c",
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
      kind: oven.kind,
      offset_c: oven.offsetC,
    }),
    fromRow: (row) => ({
      id: row.id,
      name: row.name,
      traysAtOnce: row.trays_at_once,
      trayWidthMm: row.tray_width_mm,
      trayDepthMm: row.tray_depth_mm,
      heatUpCPerMin: row.heat_up_c_per_min,
      coolDownCPerMin: row.cool_down_c_per_min,
      maxC: row.max_c,
      kind: row.kind,
      offsetC: row.offset_c,
    }),
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
    fromRow: ({
      id,
      name,
      outline_kind: kind,
      width_mm: widthMm,
      height_mm: heightMm,
      corners,
      path,
      count,
    }) => ({
      id,
      name,
      outline: fromOutlineColumns({ kind, widthMm, heightMm, corners, path }),
      count,
    }),
  });
}
