"use client";

import { useMemo } from "react";
import { mergeIngredients, standardIngredients, type KitchenRule } from "@/core/formula";
import { useBench } from "./BenchProvider";

/** How this kitchen reads amounts: its cups, its eggs and its ingredient book. */
export function useKitchenRule(): KitchenRule {
  const own = useBench((state) => state.book.ingredients);
  const { system, eggSize } = useBench((state) => state.book.kitchen);
  return useMemo(
    () => ({ system, eggSize, ingredients: mergeIngredients(standardIngredients, own) }),
    [own, system, eggSize],
  );
}
