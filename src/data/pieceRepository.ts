import type Database from "better-sqlite3";
import type { PieceForm } from "@/core/forming";
import type { OutlineKind } from "@/core/shape";
import type { Piece } from "@/schemas/model";
import { fromOutlineColumns, toOutlineColumns } from "./outlineColumns";
import { createVersionedTable, type Repository } from "./versionedTable";

type PieceRow = {
  id: string;
  name: string;
  form: PieceForm["kind"];
  top_oversize_mm: number | null;
  hole_mm: number | null;
  slice_mm: number | null;
  slice_thickness_mm: number | null;
  overlap_share: number | null;
  cavity_mm: number | null;
  cut_kind: OutlineKind;
  cut_width_mm: number;
  cut_height_mm: number;
  cut_corners: number | null;
  cut_path: string | null;
  dough_id: string;
  filling_id: string;
  thickness_mm: number;
  margin_mm: number;
  plumpness: number;
  crimp: Piece["crimp"];
  web_mm: number;
  ragged_mm: number;
  cut_aim: Piece["cutAim"];
  pinned_shape: "rectangle" | "oval" | null;
  pinned_width_mm: number | null;
  pinned_height_mm: number | null;
  spares: number;
  chill_min: number;
  oven_c: number;
  bake_min: number;
  bake_loss_share: number;
  spacing_mm: number;
  cool_min: number;
};

/** All SQL about pieces. */
export function createPieceRepository(db: Database.Database): Repository<Piece> {
  return createVersionedTable<Piece, PieceRow>(db, {
    table: "piece",
    columns: [
      "id",
      "name",
      "form",
      "top_oversize_mm",
      "hole_mm",
      "slice_mm",
      "slice_thickness_mm",
      "overlap_share",
      "cavity_mm",
      "cut_kind",
      "cut_width_mm",
      "cut_height_mm",
      "cut_corners",
      "cut_path",
      "dough_id",
      "filling_id",
      "thickness_mm",
      "margin_mm",
      "plumpness",
      "crimp",
      "web_mm",
      "ragged_mm",
      "cut_aim",
      "pinned_shape",
      "pinned_width_mm",
      "pinned_height_mm",
      "spares",
      "chill_min",
      "oven_c",
      "bake_min",
      "bake_loss_share",
      "spacing_mm",
      "cool_min",
    ],
    toRow,
    fromRow,
  });
}

function toRow(piece: Piece): PieceRow {
  const cut = toOutlineColumns(piece.cut);
  return {
    id: piece.id,
    name: piece.name,
    ...toFormColumns(piece.form),
    cut_kind: cut.kind,
    cut_width_mm: cut.widthMm,
    cut_height_mm: cut.heightMm,
    cut_corners: cut.corners,
    cut_path: cut.path,
    dough_id: piece.doughId,
    filling_id: piece.fillingId,
    thickness_mm: piece.thicknessMm,
    margin_mm: piece.marginMm,
    plumpness: piece.plumpness,
    crimp: piece.crimp,
    web_mm: piece.webMm,
    ragged_mm: piece.raggedMm,
    cut_aim: piece.cutAim,
    pinned_shape: piece.pinnedSheet ? (piece.pinnedSheet.shape ?? "rectangle") : null,
    pinned_width_mm: piece.pinnedSheet?.widthMm ?? null,
    pinned_height_mm: piece.pinnedSheet?.heightMm ?? null,
    spares: piece.spares,
    chill_min: piece.chillMin,
    oven_c: piece.ovenC,
    bake_min: piece.bakeMin,
    bake_loss_share: piece.bakeLossShare,
    spacing_mm: piece.spacingMm,
    cool_min: piece.coolMin,
  };
}

function fromRow(row: PieceRow): Piece {
  const { pinned_width_mm: pinnedWidthMm, pinned_height_mm: pinnedHeightMm } = row;
  return {
    id: row.id,
    name: row.name,
    form: fromFormColumns(row),
    cut: fromOutlineColumns({
      kind: row.cut_kind,
      widthMm: row.cut_width_mm,
      heightMm: row.cut_height_mm,
      corners: row.cut_corners,
      path: row.cut_path,
    }),
    doughId: row.dough_id,
    fillingId: row.filling_id,
    thicknessMm: row.thickness_mm,
    marginMm: row.margin_mm,
    plumpness: row.plumpness,
    crimp: row.crimp,
    webMm: row.web_mm,
    raggedMm: row.ragged_mm,
    cutAim: row.cut_aim,
    pinnedSheet:
      pinnedWidthMm !== null && pinnedHeightMm !== null
        ? { shape: row.pinned_shape ?? "rectangle", widthMm: pinnedWidthMm, heightMm: pinnedHeightMm }
        : null,
    spares: row.spares,
    chillMin: row.chill_min,
    ovenC: row.oven_c,
    bakeMin: row.bake_min,
    bakeLossShare: row.bake_loss_share,
    spacingMm: row.spacing_mm,
    coolMin: row.cool_min,
  };
}

type FormColumns = Pick<
  PieceRow,
  "form" | "top_oversize_mm" | "hole_mm" | "slice_mm" | "slice_thickness_mm" | "overlap_share" | "cavity_mm"
>;

const noFormFigures: Omit<FormColumns, "form"> = {
  top_oversize_mm: null,
  hole_mm: null,
  slice_mm: null,
  slice_thickness_mm: null,
  overlap_share: null,
  cavity_mm: null,
};

function toFormColumns(form: PieceForm): FormColumns {
  const none = { ...noFormFigures, form: form.kind };
  switch (form.kind) {
    case "lidded":
      return { ...none, top_oversize_mm: form.topOversizeMm };
    case "case":
      return { ...none, hole_mm: form.holeMm };
    case "rosette":
      return {
        ...none,
        slice_mm: form.sliceMm,
        slice_thickness_mm: form.sliceThicknessMm,
        overlap_share: form.overlapShare,
        cavity_mm: form.cavityMm,
      };
    default:
      return none;
  }
}

function fromFormColumns(row: FormColumns): PieceForm {
  switch (row.form) {
    case "lidded":
      return { kind: "lidded", topOversizeMm: row.top_oversize_mm };
    case "case":
      return { kind: "case", holeMm: row.hole_mm ?? 0 };
    case "rosette":
      return {
        kind: "rosette",
        sliceMm: row.slice_mm ?? 0,
        sliceThicknessMm: row.slice_thickness_mm ?? 0,
        overlapShare: row.overlap_share ?? 0,
        cavityMm: row.cavity_mm ?? 0,
      };
    default:
      return { kind: row.form };
  }
}
