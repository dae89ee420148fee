import type { SpanSums } from "@/core/run";
import { formatDuration, formatMass, formatNumber } from "@/core/units";

/** What a span of days made, sold, lost and cost. */
export function SpanFigures({
  sums,
  money,
}: {
  readonly sums: SpanSums;
  readonly money: (amountMinor: number) => string;
}) {
  const { made, sold, madeOfSold, lost, leaked, ingredientsMinor, lostMinor, trimG, plannedMin, tookMin } =
    sums;
  const { heatKwh, madeOfHeat } = sums;
  const percent = (part: number, whole: number) =>
    whole > 0 ? `${formatNumber((100 * part) / whole, part / whole < 0.1 ? 1 : 0)} %` : "–";
  return (
    <dl className="flex flex-wrap gap-x-10 gap-y-3">
      <Sum value={String(made)} what="made" />
      <Sum value={percent(sold, madeOfSold)} what="of those made were sold" />
      <Sum value={percent(lost, made + lost)} what={`lost, ${leaked} leaked or burst`} />
      <Sum value={percent(tookMin, plannedMin)} what="of the planned minutes" />
      <Sum value={made > 0 ? money(ingredientsMinor / made) : "–"} what="ingredients a piece" />
      <Sum
        value={made > 0 ? formatDuration(Math.round((10 * tookMin) / made)) : "–"}
        what="hands and heat for ten"
      />
      {madeOfHeat > 0 && (
        <Sum value={`${formatNumber((10 * heatKwh) / madeOfHeat, 1)} kWh`} what="of oven heat for ten" />
      )}
      <Sum value={money(lostMinor)} what="in pieces lost or not sold" />
      {trimG > 0 && <Sum value={formatMass(trimG)} what="trim not used again" />}
    </dl>
  );
}

function Sum({ value, what }: { readonly value: string; readonly what: string }) {
  return (
    <div className="flex flex-col-reverse">
      <dt className="quiet text-sm">{what}</dt>
      <dd className="figure text-3xl">{value}</dd>
    </div>
  );
}
