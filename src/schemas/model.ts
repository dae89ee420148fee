/** The records that are stored and planned with, under one roof. */
export type { Formula, Dough, Filling, IngredientLine } from "@/core/formula";
export type { Bench, Cutter, Day, DayBook, Order, Oven, Piece } from "@/core/plan";
