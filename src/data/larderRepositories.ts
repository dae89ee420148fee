import type Database from "better-sqlite3";
import type { Ingredient, Kitchen, LarderItem, Weighing } from "@/schemas/model";
import { createVersionedTable, eachRow, type Repository } from "./versionedTable";

type KitchenRow = {
  id: string;
  measure_system: Kitchen["system"];
  egg_size: Kitchen["eggSize"];
  oven_scale: Kitchen["ovenScale"];
  length_unit: Kitchen["lengthUnit"];
  mass_unit: Kitchen["massUnit"];
  room_c: number;
  fridge_c: number;
  freezer_c: number;
  mixed_c: number;
  time_zone: string | null;
  currency: string | null;
};

/** All SQL about how the kitchen measures and how warm it is. */
export function createKitchenRepository(db: Database.Database): Repository<Kitchen> {
  return createVersionedTable<Kitchen, KitchenRow>(db, {
    table: "kitchen",
    columns: [
      "id",
      "measure_system",
      "egg_size",
      "oven_scale",
      "length_unit",
      "mass_unit",
      "room_c",
      "fridge_c",
      "freezer_c",
      "mixed_c",
      "time_zone",
      "currency",
    ],
    toRow: (kitchen) => ({
      id: kitchen.id,
      measure_system: kitchen.system,
      egg_size: kitchen.eggSize,
      oven_scale: kitchen.ovenScale,
      length_unit: kitchen.lengthUnit,
      mass_unit: kitchen.massUnit,
      room_c: kitchen.roomC,
      fridge_c: kitchen.fridgeC,
      freezer_c: kitchen.freezerC,
      mixed_c: kitchen.mixedC,
      time_zone: kitchen.timeZone,
      currency: kitchen.currency,
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      system: row.measure_system,
      eggSize: row.egg_size,
      ovenScale: row.oven_scale,
      lengthUnit: row.length_unit,
      massUnit: row.mass_unit,
      roomC: row.room_c,
      fridgeC: row.fridge_c,
      freezerC: row.freezer_c,
      mixedC: row.mixed_c,
      timeZone: row.time_zone,
      currency: row.currency,
    })),
  });
}

type IngredientRow = {
  id: string;
  name: string;
  other_names: string;
  food_group: Ingredient["group"];
  densities: string;
  piece_g: number | null;
  water_share: number;
  fat_share: number;
  sugar_share: number;
  starch_share: number;
  allergens: string;
  pack_g: number | null;
  pack_price_minor: number | null;
  source: string;
};

/** All SQL about the baker's own entries in the ingredient book. */
export function createIngredientRepository(db: Database.Database): Repository<Ingredient> {
  return createVersionedTable<Ingredient, IngredientRow>(db, {
    table: "ingredient",
    columns: [
      "id",
      "name",
      "other_names",
      "food_group",
      "densities",
      "piece_g",
      "water_share",
      "fat_share",
      "sugar_share",
      "starch_share",
      "allergens",
      "pack_g",
      "pack_price_minor",
      "source",
    ],
    toRow: (ingredient) => ({
      id: ingredient.id,
      name: ingredient.name,
      other_names: JSON.stringify(ingredient.otherNames),
      food_group: ingredient.group,
      densities: JSON.stringify(ingredient.densities),
      piece_g: ingredient.pieceG,
      water_share: ingredient.waterShare,
      fat_share: ingredient.fatShare,
      sugar_share: ingredient.sugarShare,
      starch_share: ingredient.starchShare,
      allergens: JSON.stringify(ingredient.allergens),
      pack_g: ingredient.pack?.massG ?? null,
      pack_price_minor: ingredient.pack?.priceMinor ?? null,
      source: ingredient.source,
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      name: row.name,
      otherNames: JSON.parse(row.other_names) as string[],
      group: row.food_group,
      densities: JSON.parse(row.densities) as Ingredient["densities"],
      pieceG: row.piece_g,
      waterShare: row.water_share,
      fatShare: row.fat_share,
      sugarShare: row.sugar_share,
      starchShare: row.starch_share,
      allergens: JSON.parse(row.allergens) as Ingredient["allergens"],
      pack:
        row.pack_g !== null && row.pack_price_minor !== null
          ? { massG: row.pack_g, priceMinor: row.pack_price_minor }
          : null,
      source: row.source,
    })),
  });
}

type LarderRow = {
  id: string;
  kind: LarderItem["kind"];
  ref_id: string;
  mass_g: number;
  count: number;
  made_on: string;
  use_by: string;
  from_day_id: string | null;
  taken_by_day_id: string | null;
};

/** All SQL about what is in the larder, or was. */
export function createLarderRepository(db: Database.Database): Repository<LarderItem> {
  return createVersionedTable<LarderItem, LarderRow>(db, {
    table: "larder_item",
    columns: [
      "id",
      "kind",
      "ref_id",
      "mass_g",
      "count",
      "made_on",
      "use_by",
      "from_day_id",
      "taken_by_day_id",
    ],
    toRow: (item) => ({
      id: item.id,
      kind: item.kind,
      ref_id: item.refId,
      mass_g: item.massG,
      count: item.count,
      made_on: item.madeOn,
      use_by: item.useBy,
      from_day_id: item.fromDayId,
      taken_by_day_id: item.takenByDayId,
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      kind: row.kind,
      refId: row.ref_id,
      massG: row.mass_g,
      count: row.count,
      madeOn: row.made_on,
      useBy: row.use_by,
      fromDayId: row.from_day_id,
      takenByDayId: row.taken_by_day_id,
    })),
  });
}

type WeighingRow = {
  id: string;
  day_id: string;
  date: string;
  formula_id: string;
  ticked_line_ids: string;
  took_g: number | null;
  took_scale: number | null;
  mix_g: number | null;
};

/** All SQL about what was weighed. */
export function createWeighingRepository(db: Database.Database): Repository<Weighing> {
  return createVersionedTable<Weighing, WeighingRow>(db, {
    table: "weighing",
    columns: ["id", "day_id", "date", "formula_id", "ticked_line_ids", "took_g", "took_scale", "mix_g"],
    toRow: (weighing) => ({
      id: weighing.id,
      day_id: weighing.dayId,
      date: weighing.date,
      formula_id: weighing.formulaId,
      ticked_line_ids: JSON.stringify(weighing.tickedLineIds),
      took_g: weighing.took?.massG ?? null,
      took_scale: weighing.took?.scale ?? null,
      mix_g: weighing.mixG,
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      dayId: row.day_id,
      date: row.date,
      formulaId: row.formula_id,
      tickedLineIds: JSON.parse(row.ticked_line_ids) as string[],
      took:
        row.took_g !== null && row.took_scale !== null ? { massG: row.took_g, scale: row.took_scale } : null,
      mixG: row.mix_g,
    })),
  });
}
