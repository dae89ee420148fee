"use client";

import { formatCount, formatMass, formatNumber } from "@/core/units";
import { usePicked } from "../bench/BenchProvider";
import { LeaveLink } from "../bench/LeaveLink";
import { CautionList } from "../controls/CautionList";
import { Link } from "../controls/Link";

/** What the day needs besides: eggs, larder, shopping. */
export function MixBalances() {
  const { plan, date } = usePicked("plan", "date");
  const { eggs, glues, washes, glazes, sugarG, materials, expired, larderUses, leftovers } = plan;
  const things = materials.filter(({ count }) => count !== null);
  const left = [
    [eggs.wholeLeftG, "egg"],
    [eggs.yolksLeftG, "yolk"],
    [eggs.whitesLeftG, "white"],
  ] as const;
  const coats = [
    ...glues.map(({ name, massG }) => `${formatMass(massG)} ${name} as glue`),
    ...washes.map(({ name, massG }) => `${formatMass(massG)} ${name} as wash`),
    ...glazes.map(({ name, massG }) => `${formatMass(massG)} ${name} as glaze`),
    ...(sugarG >= 0.5 ? [`${formatMass(sugarG)} sugar on top`] : []),
  ];
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
        {coats.length > 0 && (
          <p className="text-sm">Brushed and strewn on, egg counted in: {coats.join(", ")}.</p>
        )}
        <div className="mt-2">
          <CautionList station="mix" pieceId={null} />
        </div>
      </section>
      {things.length > 0 && (
        <section aria-labelledby="set-out" className="border-t border-base-300 pt-2.5">
          <h2 id="set-out" className="text-lg">
            Goes in and on whole
          </h2>
          <ul>
            {things.map(({ name, use, massG, count }) => (
              <li key={`${use}-${name}`} className="flex items-baseline gap-2">
                <span className="figure text-xl whitespace-nowrap">
                  {massG > 0 ? formatMass(massG) : formatNumber(count ?? 0)}
                </span>
                <span>{name}</span>
                {massG > 0 && (
                  <span className="quiet ml-auto text-sm">{formatNumber(count ?? 0)} of them</span>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
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
        <LeaveLink className="btn touch" href={`/day/${date}/shopping`}>
          To buy
        </LeaveLink>
        <LeaveLink className="btn touch" href={`/print/${date}/weigh`}>
          Weigh-out list to print
        </LeaveLink>
      </section>
    </>
  );
}
