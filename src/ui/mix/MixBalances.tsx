"use client";

import Link from "next/link";
import { formatCount, formatMass, formatNumber } from "@/core/units";
import { useBench } from "../bench/BenchProvider";

/** What the day needs besides: eggs, larder, shopping. */
export function MixBalances() {
  const { plan, date } = useBench((state) => state);
  const { eggs, glueG: seamG, expired, larderUses, leftovers } = plan;
  const left = [
    [eggs.wholeLeftG, "egg"],
    [eggs.yolksLeftG, "yolk"],
    [eggs.whitesLeftG, "white"],
  ] as const;
  const spareG = eggs.wholeLeftG + eggs.whitesLeftG;
  return (
    <>
      <section aria-labelledby="eggs">
        <h2 id="eggs" className="text-lg">
          Eggs
        </h2>
        <p className="flex items-baseline gap-2">
          <span className="figure text-4xl">{eggs.toCrack}</span> to crack
        </p>
        <p className="quiet text-sm">
          {left
            .filter(([massG]) => massG >= 0.5)
            .map(([massG, name]) => `${formatMass(massG)} of ${name} left`)
            .join(", ") || "nothing left over"}
        </p>
        {spareG >= 0.5 && seamG > 0 && (
          <p className="text-sm">
            {spareG >= seamG
              ? `That is enough to glue the day's seams (${formatMass(seamG)}).`
              : `The day's seams take ${formatMass(seamG)} of glue: ${formatMass(seamG - spareG)} more than is left.`}
          </p>
        )}
        <p className="quiet text-sm">Raw egg and raw flour: do not taste.</p>
      </section>
      <section aria-labelledby="larder-today" className="border-t border-base-300 pt-2.5">
        <h2 id="larder-today" className="text-lg">
          Larder
        </h2>
        <p>
          {larderUses.length > 0
            ? `${formatCount(larderUses.length, "portion")} used today`
            : "nothing of it used today"}
          {expired.length > 0 && <strong className="text-error">, {expired.length} past their date</strong>}
        </p>
        <p className="quiet text-sm">
          {leftovers.length > 0
            ? `the day leaves ${leftovers.map(({ label, massG, count }) => `${massG > 0 ? formatMass(massG) : formatNumber(count)} ${label}`).join(", ")}`
            : "the day leaves nothing worth keeping"}
        </p>
        <Link className="btn touch mt-1.5 w-full" href={`/day/${date}/larder`}>
          Open the larder
        </Link>
      </section>
      <section aria-labelledby="to-buy" className="flex flex-col gap-1.5 border-t border-base-300 pt-2.5">
        <h2 id="to-buy" className="text-lg">
          On paper
        </h2>
        <Link className="btn touch" href={`/day/${date}/shopping`}>
          Shopping list
        </Link>
        <Link className="btn touch" href={`/print/${date}/weigh`}>
          Weigh-out list to print
        </Link>
      </section>
    </>
  );
}
