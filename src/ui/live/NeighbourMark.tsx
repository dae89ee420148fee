"use client";

import { Users } from "lucide-react";
import { usePathname, useSearchParams } from "next/navigation";
import { useEffect } from "react";
import { useStore } from "zustand";
import { formatCount } from "@/core/units";
import { useBenchShell } from "../bench/BenchProvider";
import { findFields } from "./fieldName";
import { neighbours, readPlace } from "./neighbours";
import { useTellPlace } from "./useTellPlace";

/** Who else is looking at this day, and which field of this page another hand is in. */
export function NeighbourMark() {
  const { date } = useBenchShell((state) => state.book.day);
  const others = useStore(neighbours, (state) => state.others);
  const place = `${usePathname()}?${useSearchParams()}`;
  useTellPlace(place);
  const here = others.filter(({ at }) => at.startsWith(`/day/${date}/`));
  useMarkedFields(here, place);
  if (here.length === 0) return null;
  const inField = here.find(({ at, field }) => field !== null && at === readPlace());
  const told = inField
    ? `${inField.name} is in “${inField.field}”`
    : here.length === 1
      ? `${here[0]?.name} is looking too`
      : `${formatCount(here.length, "other")} are looking too`;
  return (
    <span className="quiet mr-1 flex min-w-0 items-center gap-1 text-sm whitespace-nowrap" role="status">
      <Users size={18} aria-hidden className="shrink-0" />
      <span className="sr-only max-w-64 truncate lg:not-sr-only">{told}</span>
      <span className="figure lg:hidden" aria-hidden>
        {here.length}
      </span>
    </span>
  );
}

/** A field that another is in says so where it stands. */
function useMarkedFields(others: ReturnType<typeof neighbours.getState>["others"], place: string): void {
  useEffect(() => {
    const marked = others.flatMap(({ name, at, field }) => {
      if (field === null || at !== readPlace()) return [];
      const fields = findFields(field);
      for (const element of fields) {
        element.dataset.neighbour = name;
        element.title = `${name} is in this field`;
      }
      return fields;
    });
    return () => {
      for (const element of marked) {
        delete element.dataset.neighbour;
        element.removeAttribute("title");
      }
    };
  }, [others, place]);
}
