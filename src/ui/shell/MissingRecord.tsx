"use client";

import Link from "next/link";
import { useBenchShell } from "../bench/BenchProvider";

/** In the day's own frame, where an address names nothing that is in the book. */
export function MissingRecord() {
  const date = useBenchShell((state) => state.date);
  return (
    <div className="flex flex-col items-start gap-4 p-8">
      <h2 className="text-3xl">There is nothing here</h2>
      <p>No piece, formula or page has this address. Was it made here a moment ago? Load the page again.</p>
      <Link href={`/day/${date}/book`} className="btn btn-primary touch">
        To the book
      </Link>
    </div>
  );
}
