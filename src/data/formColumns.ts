import type { FormKind, Mould, MouldAxis, MouldKind, PieceForm, Topping } from "@/core/forming";
import type { OutlineKind } from "@/core/shape";
import { fromOutlineColumns, toOutlineColumns } from "./outlineColumns";

/** Columns that hold one figure of a form each; null in the forms that do not have it. */
export const figureColumns = [
  "top_oversize_mm",
  "stick_length_mm",
  "stick_thickness_mm",
  "hole_mm",
  "slice_mm",
  "slice_thickness_mm",
  "overlap_share",
  "cavity_mm",
  "spread_mm",
  "servings",
  "fruit_mm",
  "fruit_height_mm",
  "foot_mm",
  "core_mm",
  "overlap_mm",
  "finished_mm",
  "heap_mm",
  "log_mm",
  "stacked",
  "sheet_mm",
  "press_mm",
  "mould_depth_mm",
  "mould_flute_mm",
  "mould_base_mm",
  "mould_rim_mm",
  "mould_narrow_base_mm",
  "mould_narrow_rim_mm",
] as const;
type FigureColumn = (typeof figureColumns)[number];

/** A form as columns of its piece. */
export type FormColumns = Record<FigureColumn, number | null> & {
  form: FormKind;
  mould_kind: MouldKind | null;
  topping: Topping["kind"] | null;
  topping_kind: OutlineKind | null;
  topping_width_mm: number | null;
  topping_height_mm: number | null;
  topping_corners: number | null;
  topping_path: string | null;
};

const noFormFigures: Omit<FormColumns, "form"> = {
  ...(Object.fromEntries(figureColumns.map((column) => [column, null])) as Record<FigureColumn, null>),
  mould_kind: null,
  topping: null,
  topping_kind: null,
  topping_width_mm: null,
  topping_height_mm: null,
  topping_corners: null,
  topping_path: null,
};

export function toFormColumns(form: PieceForm): FormColumns {
  const none = { ...noFormFigures, form: form.kind };
  switch (form.kind) {
    case "lidded":
      return {
        ...none,
        top_oversize_mm: form.topOversizeMm,
        stick_length_mm: form.stick?.lengthMm ?? null,
        stick_thickness_mm: form.stick?.thicknessMm ?? null,
      };
    case "largeFold":
      return { ...none, spread_mm: form.spreadMm, servings: form.servings };
    case "wrapped":
      return {
        ...none,
        fruit_mm: form.fruitMm,
        fruit_height_mm: form.fruitHeightMm,
        foot_mm: form.footMm,
        core_mm: form.coreMm,
        overlap_mm: form.overlapMm,
      };
    case "gathered":
      return { ...none, finished_mm: form.finishedMm, heap_mm: form.heapMm };
    case "lined":
      return { ...none, ...toMouldColumns(form.mould), ...toToppingColumns(form.topping) };
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
    case "puck":
      return {
        ...none,
        ...toMouldColumns(form.mould),
        log_mm: form.logMm,
        stacked: form.stacked,
        sheet_mm: form.sheetMm,
      };
    case "pressed":
      return { ...none, press_mm: form.pressMm };
    default:
      return none;
  }
}

function toMouldColumns({ kind, axes, depthMm, fluteMm }: Mould) {
  const [long, narrow] = axes;
  return {
    mould_kind: kind,
    mould_depth_mm: depthMm,
    mould_flute_mm: fluteMm,
    mould_base_mm: long.baseMm,
    mould_rim_mm: long.rimMm,
    mould_narrow_base_mm: narrow?.baseMm ?? null,
    mould_narrow_rim_mm: narrow?.rimMm ?? null,
  };
}

function fromMouldColumns(row: FormColumns): Mould {
  const long: MouldAxis = { baseMm: row.mould_base_mm ?? 0, rimMm: row.mould_rim_mm ?? 0 };
  const { mould_narrow_base_mm: baseMm, mould_narrow_rim_mm: rimMm } = row;
  return {
    kind: row.mould_kind ?? "round",
    axes: baseMm !== null && rimMm !== null ? [long, { baseMm, rimMm }] : [long],
    depthMm: row.mould_depth_mm ?? 0,
    fluteMm: row.mould_flute_mm ?? 0,
  };
}

function toToppingColumns(topping: Topping): Partial<FormColumns> {
  if (topping.kind !== "cutOut") return { topping: topping.kind };
  const columns = toOutlineColumns(topping.outline);
  return {
    topping: topping.kind,
    topping_kind: columns.kind,
    topping_width_mm: columns.widthMm,
    topping_height_mm: columns.heightMm,
    topping_corners: columns.corners,
    topping_path: columns.path,
  };
}

function fromToppingColumns(row: FormColumns): Topping {
  if (row.topping !== "cutOut") return { kind: row.topping ?? "open" };
  return {
    kind: "cutOut",
    outline: fromOutlineColumns({
      kind: row.topping_kind ?? "disc",
      widthMm: row.topping_width_mm ?? 0,
      heightMm: row.topping_height_mm ?? 0,
      corners: row.topping_corners,
      path: row.topping_path,
    }),
  };
}

/** @throws {RangeError} If the form has lost a figure. */
export function fromFormColumns(row: FormColumns): PieceForm {
  const figure = (column: FigureColumn): number => {
    const value = row[column];
    if (value === null) throw new RangeError(`A ${row.form} has no ${column}`);
    return value;
  };
  switch (row.form) {
    case "lidded": {
      const { stick_length_mm: lengthMm, stick_thickness_mm: thicknessMm } = row;
      const stick = lengthMm !== null && thicknessMm !== null ? { lengthMm, thicknessMm } : null;
      return { kind: "lidded", topOversizeMm: row.top_oversize_mm, stick };
    }
    case "largeFold":
      return { kind: "largeFold", spreadMm: figure("spread_mm"), servings: figure("servings") };
    case "wrapped":
      return {
        kind: "wrapped",
        fruitMm: figure("fruit_mm"),
        fruitHeightMm: figure("fruit_height_mm"),
        footMm: figure("foot_mm"),
        coreMm: figure("core_mm"),
        overlapMm: figure("overlap_mm"),
      };
    case "gathered":
      return { kind: "gathered", finishedMm: figure("finished_mm"), heapMm: row.heap_mm };
    case "lined":
      return { kind: "lined", mould: fromMouldColumns(row), topping: fromToppingColumns(row) };
    case "case":
      return { kind: "case", holeMm: figure("hole_mm") };
    case "rosette":
      return {
        kind: "rosette",
        sliceMm: figure("slice_mm"),
        sliceThicknessMm: figure("slice_thickness_mm"),
        overlapShare: figure("overlap_share"),
        cavityMm: figure("cavity_mm"),
      };
    case "puck":
      return {
        kind: "puck",
        mould: fromMouldColumns(row),
        logMm: figure("log_mm"),
        stacked: figure("stacked"),
        sheetMm: figure("sheet_mm"),
      };
    case "pressed":
      return { kind: "pressed", pressMm: figure("press_mm") };
    default:
      return { kind: row.form };
  }
}
