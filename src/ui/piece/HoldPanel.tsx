"use client";

import { forecastLeaks } from "@/core/habits";
import type { PiecePlan } from "@/core/plan";
import type { HoldRisk } from "@/core/sealing";
import { formatNumber } from "@/core/units";
import { usePieceEdit } from "../bench/usePieceEdit";

/** Mends that are offered at once. */
const MENDS_SHOWN = 3;

/** A weight that the log moved by less is as the craft says. */
const TOLD_WEIGHT = 0.01;

/** Will it hold? How many may leak, why, and what would lower it most, each one tap. */
export function HoldPanel({ line, hold }: { readonly line: PiecePlan; readonly hold: HoldRisk }) {
  const { editPiece } = usePieceEdit(line.piece);
  const { likelyCount, lowCount, highCount } = forecastLeaks(line.counts.toFill, hold.leakShare);
  return (
    <section aria-labelledby="hold" className="flex flex-col gap-1.5">
      <h2 id="hold" className="quiet">
        Will it hold?
      </h2>
      <p>
        <span className="figure text-4xl">{formatNumber(hold.leakShare * 100, 1)} %</span> may leak: of{" "}
        {line.counts.toFill}, {lowCount} to {highCount}, likely {likelyCount}
      </p>
      {hold.mends.length > 0 && (
        <div role="group" aria-label="What would lower it most" className="flex flex-wrap gap-1.5">
          {hold.mends.slice(0, MENDS_SHOWN).map(({ text, change, leakShare }) => (
            <button
              key={text}
              type="button"
              className="btn touch h-auto py-1"
              onClick={() => editPiece(change)}
            >
              {text} → <span className="figure">{formatNumber(leakShare * 100, 1)} %</span>
            </button>
          ))}
        </div>
      )}
      <details className="text-sm">
        <summary className="why-link inline-flex min-h-11 items-center">why?</summary>
        <ol className="flex flex-col gap-1">
          {hold.causes.map(({ text, oddsFactor, weight }) => (
            <li key={text} className="flex justify-between gap-3 border-b border-dotted border-base-300">
              <span className="quiet">
                {text}
                {Math.abs(weight - 1) >= TOLD_WEIGHT &&
                  `; by your log ${formatNumber(weight * 100)} % of the craft’s weight`}
              </span>
              <span className="figure">
                {oddsFactor > 1
                  ? `${formatNumber(oddsFactor, 2)} × likelier`
                  : `${formatNumber(1 / oddsFactor, 2)} × rarer`}
              </span>
            </li>
          ))}
          {Math.abs(hold.leakShare - hold.craftShare) > 1e-6 && (
            <li className="flex justify-between gap-3">
              <span className="quiet">by the craft alone, without your log</span>
              <span className="figure">{formatNumber(hold.craftShare * 100, 1)} %</span>
            </li>
          )}
        </ol>
      </details>
    </section>
  );
}
