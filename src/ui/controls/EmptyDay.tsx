"use client";

import { useBench } from "../bench/BenchProvider";
import { Link } from "./Link";
import { PieceTabs } from "./PieceTabs";
import { ProblemList } from "./ProblemList";
import type { Station } from "@/core/plan";

/** A station before there is anything to plan: says what is missing and leads there. */
export function EmptyDay({ station }: { readonly station: Station }) {
  const date = useBench((state) => state.date);
  const ordered = useBench((state) => state.plan.tally.ordered);
  return (
    <div className="mx-auto flex max-w-2xl flex-col gap-4 p-6">
      <PieceTabs />
      <ProblemList station={station} />
      {ordered > 0 && station === "mix" && (
        <p className="text-xl">Nothing to mix: what is ordered lies in the larder, ready to bake.</p>
      )}
      {ordered === 0 && (
        <>
          <h2 className="text-2xl">Nothing on the bench yet</h2>
          <p>This station fills itself from the orders: say what is wanted and by when.</p>
          <Link href={`/day/${date}/orders`} className="btn btn-primary touch self-start">
            Take an order
          </Link>
        </>
      )}
    </div>
  );
}
