/** The records that are stored and planned with, under one roof. */
export type { Device } from "@/core/readings";
export type { Dough, Filling, Formula, Ingredient, IngredientLine } from "@/core/formula";
export type {
  Bench,
  Cutter,
  CutRecord,
  Day,
  DayBook,
  Fryer,
  Kitchen,
  LarderItem,
  LotRecord,
  MakeAhead,
  Order,
  Oven,
  Piece,
  Shelf,
  Vessel,
  Weighing,
} from "@/core/plan";
