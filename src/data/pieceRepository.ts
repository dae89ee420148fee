import type Database from "better-sqlite3";
import type { PieceExtra } from "@/core/filling";
import type { OutlineKind } from "@/core/shape";
import type { StepKind, Way, WayStep } from "@/core/way";
import type { Piece } from "@/schemas/model";
import { figureColumns, fromFormColumns, toFormColumns, type FormColumns } from "./formColumns";
import { fromOutlineColumns, toOutlineColumns } from "./outlineColumns";
import { createChildTable } from "./childTable";
import { createVersionedTable, type Repository } from "./versionedTable";

type PieceRow = FormColumns & {
  id: string;
  name: string;
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
  portion_g: number | null;
  crimp: Piece["crimp"];
  glue: Piece["glue"];
  vent_kind: Piece["vents"]["kind"];
  vent_count: number;
  wash_kind: Piece["wash"]["kind"];
  wash_coats: number;
  wash_sugar: Piece["wash"]["sugar"];
  tin: Piece["tin"];
  vessel_id: string | null;
  done_sign: Piece["doneness"]["sign"];
  done_more_min: number;
  done_at_most: number;
  glaze: Piece["glaze"]["kind"];
  web_mm: number;
  ragged_mm: number;
  cut_aim: Piece["cutAim"];
  seen_first: number;
  pinned_shape: "rectangle" | "oval" | null;
  pinned_width_mm: number | null;
  pinned_height_mm: number | null;
  spares: number;
  bake_loss_share: number;
  spacing_mm: number;
};

type StepRow = {
  step_key: string;
  kind: StepKind;
  filling_id: string | null;
  thing: string | null;
  thing_count: number | null;
  thing_each_g: number | null;
  heat_c: number | null;
  minutes: number;
  hands_s: number | null;
  most_wait_min: number | null;
  note: string;
};
type ExtraRow = {
  kind: PieceExtra["kind"];
  filling_id: string | null;
  height_mm: number | null;
  share: number | null;
  each_g: number | null;
  per_pan: number | null;
  name: string | null;
  count: number | null;
  g_per_ml: number | null;
};

/** All SQL about pieces. */
export function createPieceRepository(db: Database.Database): Repository<Piece> {
  const steps = createChildTable<StepRow>(db, "piece_step", "piece_id", [
    "step_key",
    "kind",
    "filling_id",
    "thing",
    "thing_count",
    "thing_each_g",
    "heat_c",
    "minutes",
    "hands_s",
    "most_wait_min",
    "note",
  ]);
  const extras = createChildTable<ExtraRow>(db, "piece_extra", "piece_id", [
    "kind",
    "filling_id",
    "height_mm",
    "share",
    "each_g",
    "per_pan",
    "name",
    "count",
    "g_per_ml",
  ]);
  return createVersionedTable<Piece, PieceRow>(db, {
    table: "piece",
    isArchiving: true,
    columns: [
      "id",
      "name",
      "form",
      ...figureColumns,
      "mould_kind",
      "topping",
      "topping_kind",
      "topping_width_mm",
      "topping_height_mm",
      "topping_corners",
      "topping_path",
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
      "portion_g",
      "crimp",
      "glue",
      "vent_kind",
      "vent_count",
      "wash_kind",
      "wash_coats",
      "wash_sugar",
      "tin",
      "vessel_id",
      "done_sign",
      "done_more_min",
      "done_at_most",
      "glaze",
      "web_mm",
      "ragged_mm",
      "cut_aim",
      "seen_first",
      "pinned_shape",
      "pinned_width_mm",
      "pinned_height_mm",
      "spares",
      "bake_loss_share",
      "spacing_mm",
    ],
    toRow,
    fromRows(rows) {
      const ids = rows.map(({ id }) => id);
      const [stepsOf, extrasOf] = [steps.readFor(ids), extras.readFor(ids)];
      return rows.map((row) =>
        fromRow(
          row,
          (stepsOf.get(row.id) ?? []).map(fromStepRow),
          (extrasOf.get(row.id) ?? []).map(fromExtraRow),
        ),
      );
    },
    afterPut(piece) {
      steps.replace(piece.id, piece.way.map(toStepRow));
      extras.replace(piece.id, piece.extras.map(toExtraRow));
    },
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
    portion_g: piece.portionG,
    crimp: piece.crimp,
    glue: piece.glue,
    vent_kind: piece.vents.kind,
    vent_count: piece.vents.count,
    wash_kind: piece.wash.kind,
    wash_coats: piece.wash.coats,
    wash_sugar: piece.wash.sugar,
    tin: piece.tin,
    vessel_id: piece.vesselId,
    done_sign: piece.doneness.sign,
    done_more_min: piece.doneness.moreMin,
    done_at_most: piece.doneness.atMost,
    glaze: piece.glaze.kind,
    web_mm: piece.webMm,
    ragged_mm: piece.raggedMm,
    cut_aim: piece.cutAim,
    seen_first: piece.seenFirst ? 1 : 0,
    pinned_shape: piece.pinnedSheet ? (piece.pinnedSheet.shape ?? "rectangle") : null,
    pinned_width_mm: piece.pinnedSheet?.widthMm ?? null,
    pinned_height_mm: piece.pinnedSheet?.heightMm ?? null,
    spares: piece.spares,
    bake_loss_share: piece.bakeLossShare,
    spacing_mm: piece.spacingMm,
  };
}

function fromRow(row: PieceRow, way: Way, extras: readonly PieceExtra[]): Piece {
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
    portionG: row.portion_g,
    extras,
    crimp: row.crimp,
    glue: row.glue,
    vents: { kind: row.vent_kind, count: row.vent_count },
    wash: { kind: row.wash_kind, coats: row.wash_coats, sugar: row.wash_sugar },
    tin: row.tin,
    vesselId: row.vessel_id,
    doneness: { sign: row.done_sign, moreMin: row.done_more_min, atMost: row.done_at_most },
    glaze: { kind: row.glaze },
    webMm: row.web_mm,
    raggedMm: row.ragged_mm,
    cutAim: row.cut_aim,
    seenFirst: row.seen_first === 1,
    pinnedSheet:
      pinnedWidthMm !== null && pinnedHeightMm !== null
        ? { shape: row.pinned_shape ?? "rectangle", widthMm: pinnedWidthMm, heightMm: pinnedHeightMm }
        : null,
    spares: row.spares,
    way,
    bakeLossShare: row.bake_loss_share,
    spacingMm: row.spacing_mm,
  };
}

const toStepRow = (step: WayStep): StepRow => ({
  step_key: step.id,
  kind: step.kind,
  filling_id: step.fillingId,
  thing: step.thing?.name ?? null,
  thing_count: step.thing?.count ?? null,
  thing_each_g: step.thing?.eachG ?? null,
  heat_c: step.heatC,
  minutes: step.minutes,
  hands_s: step.handsS,
  most_wait_min: step.mostWaitMin,
  note: step.note,
});

const fromStepRow = (row: StepRow): WayStep => ({
  id: row.step_key,
  kind: row.kind,
  fillingId: row.filling_id,
  thing:
    row.thing === null
      ? null
      : { name: row.thing, count: row.thing_count ?? 1, eachG: row.thing_each_g ?? 0 },
  heatC: row.heat_c,
  minutes: row.minutes,
  handsS: row.hands_s,
  mostWaitMin: row.most_wait_min,
  note: row.note,
});

const noExtra: Omit<ExtraRow, "kind"> = {
  filling_id: null,
  height_mm: null,
  share: null,
  each_g: null,
  per_pan: null,
  name: null,
  count: null,
  g_per_ml: null,
};

function toExtraRow(extra: PieceExtra): ExtraRow {
  const none = { ...noExtra, kind: extra.kind };
  switch (extra.kind) {
    case "layer":
      return { ...none, filling_id: extra.fillingId, height_mm: extra.heightMm };
    case "sauce":
      return { ...none, filling_id: extra.fillingId, each_g: extra.eachG, per_pan: extra.perPan };
    case "inclusion":
      return { ...none, name: extra.name, count: extra.count, each_g: extra.eachG, g_per_ml: extra.gPerMl };
    default:
      return { ...none, filling_id: extra.fillingId, share: extra.share };
  }
}

function fromExtraRow(row: ExtraRow): PieceExtra {
  const fillingId = row.filling_id ?? "";
  switch (row.kind) {
    case "layer":
      return { kind: "layer", fillingId, heightMm: row.height_mm ?? 0 };
    case "sauce":
      return { kind: "sauce", fillingId, eachG: row.each_g ?? 0, perPan: row.per_pan ?? 1 };
    case "inclusion":
      return {
        kind: "inclusion",
        name: row.name ?? "",
        count: row.count ?? 0,
        eachG: row.each_g ?? 0,
        gPerMl: row.g_per_ml ?? 1,
      };
    default:
      return { kind: row.kind, fillingId, share: row.share ?? 0 };
  }
}
