"use client";

import { usePicked } from "../bench/BenchProvider";
import { Link } from "../controls/Link";

interface Props {
  readonly label: string;
  /** What the run says so far; null while it says nothing. */
  readonly value: string | null;
}

/** Of a day that is run: what happened is told at its run, and shown here. */
export function ByTheRun({ label, value }: Props) {
  const { date } = usePicked("date");
  return (
    <p className="flex flex-wrap items-baseline gap-x-3">
      <span className="quiet">{label}</span>
      <strong className="figure text-2xl">{value ?? "–"}</strong>
      <Link className="touch inline-flex items-center underline" href={`/run/${date}/record`}>
        {value === null ? "told at the run" : "correct in the record"}
      </Link>
    </p>
  );
}
