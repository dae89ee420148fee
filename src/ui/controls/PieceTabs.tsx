"use client";

import { usePathname, useRouter, useSearchParams } from "next/navigation";
import type { PiecePlan } from "@/core/plan";
import { useBench } from "../bench/BenchProvider";

/** The piece the stations are looking at: named in the address, so that a reload keeps it. */
export function useSelectedLine(): PiecePlan | null {
  const lines = useBench((state) => state.plan.lines);
  const wanted = useSearchParams().get("piece");
  return lines.find(({ piece }) => piece.id === wanted) ?? lines[0] ?? null;
}

/** Which of the day's pieces to look at. */
export function PieceTabs() {
  const lines = useBench((state) => state.plan.lines);
  const selected = useSelectedLine();
  const router = useRouter();
  const pathname = usePathname();
  if (lines.length < 2) return null;
  return (
    <div role="group" aria-label="Piece" className="flex flex-wrap gap-1.5">
      {lines.map(({ piece }) => (
        <button
          key={piece.id}
          type="button"
          aria-pressed={piece.id === selected?.piece.id}
          className="touch cursor-pointer rounded-lg border-2 border-transparent px-3 aria-pressed:border-primary aria-pressed:bg-base-100 aria-pressed:font-bold"
          onClick={() => router.replace(`${pathname}?piece=${piece.id}`, { scroll: false })}
        >
          {piece.name}
        </button>
      ))}
    </div>
  );
}
