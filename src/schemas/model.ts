import type { TakenOrder } from "@/core/orders";
import type { DayBook as BookOfPlan } from "@/core/plan";

/** The records that are stored and planned with, under one roof. */
export type { Device } from "@/core/readings";
export type { Dough, Filling, Formula, Ingredient, IngredientLine } from "@/core/formula";
export type { Price, Till } from "@/core/costs";
export type { Customer, StandingOrder, TakenOrder as Order } from "@/core/orders";
/** A day as it is planned from, with its orders as they were taken. */
export interface DayBook extends BookOfPlan {
  readonly orders: readonly TakenOrder[];
}
export type {
  Bench,
  Cutter,
  CutRecord,
  Day,
  Fryer,
  Kitchen,
  LarderItem,
  LotRecord,
  MakeAhead,
  Oven,
  Piece,
  Shelf,
  Vessel,
  Weighing,
} from "@/core/plan";
