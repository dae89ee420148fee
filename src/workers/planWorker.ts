import { expose } from "comlink";
import { planDay, type DayBook, type DayPlan } from "@/core/plan";

const api = {
  plan: (book: DayBook): DayPlan => planDay(book),
};

export type PlanWorkerApi = typeof api;

expose(api);
