import type Database from "better-sqlite3";
import type { Piece } from "@/schemas/model";
import { fromOutlineColumns, toOutlineColumns, type OutlineKind } from "./outlineColumns";
import { createVersionedTable, type Repository } from "./versionedTable";

type PieceRow = {
  id: string;
  name: string;
  form: Piece["form"];
  cut_kind: OutlineKind;
  cut_width_mm: number;
  cut_height_mm: number;
  dough_id: string;
  filling_id: string;
  thickness_mm: number;
  margin_mm: number;
  plumpness: number;
  crimp: Piece["crimp"];
  web_mm: number;
  ragged_mm: number;
  cut_aim: Piece["cutAim"];
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
      "cut_kind",
      "cut_width_mm",
      "cut_height_mm",
      "dough_id",
      "filling_id",
      "thickness_mm",
      "margin_mm",
      "plumpness",
      "crimp",
      "web_mm",
      "ragged_mm",
      "cut_aim",
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
    form: piece.form,
    cut_kind: cut.kind,
    cut_width_mm: cut.widthMm,
    cut_height_mm: cut.heightMm,
    dough_id: piece.doughId,
    filling_id: piece.fillingId,
    thickness_mm: piece.thicknessMm,
    margin_mm: piece.marginMm,
    plumpness: piece.plumpness,
    crimp: piece.crimp,
    web_mm: piece.webMm,
    ragged_mm: piece.raggedMm,
    cut_aim: piece.cutAim,
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
    form: row.form,
    cut: fromOutlineColumns(row.cut_kind, row.cut_width_mm, row.cut_height_mm),
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
        ? { widthMm: pinnedWidthMm, heightMm: pinnedHeightMm }
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
