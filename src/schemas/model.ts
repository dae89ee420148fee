/** The records that are stored and planned with, under one roof. */
export type { Dough, Filling, Formula, Ingredient, IngredientLine } from "@/core/formula";
export type {
  Bench,
  Cutter,
  CutRecord,
  Day,
  DayBook,
  Kitchen,
  LarderItem,
  LotRecord,
  Order,
  Oven,
  Piece,
  Weighing,
} from "@/core/plan";
