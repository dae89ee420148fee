import type { DayBatch } from "@/core/plan";
import { formatDuration, formatMass } from "@/core/units";

/** What to weigh for each dough and filling, how it is made, and into what it is divided. */
export function BatchList({ batches }: { readonly batches: readonly DayBatch[] }) {
  if (batches.length === 0) return null;
  return (
    <section className="mt-1">
      <h2>To weigh and make</h2>
      <div className="sheet-columns">
        {batches.map(({ formula, batch, fromLarderG, divided, rest }) => (
          <section key={formula.id} className="mb-1 break-inside-avoid">
            <h3 className="flex justify-between border-b border-black">
              {formula.name} <span className="figure">{formatMass(batch?.weighedG ?? 0)}</span>
            </h3>
            <p>
              {fromLarderG > 0 && <span>☐ first {formatMass(fromLarderG)} from the larder · </span>}
              {batch?.lines.map(({ lineId, name, massG }, i) => (
                <span key={lineId}>
                  {i > 0 && " · "}☐ {name}{" "}
                  <strong className="figure whitespace-nowrap">{formatMass(massG)}</strong>
                </span>
              ))}
            </p>
            {formula.steps.length > 0 && (
              <p className="sheet-small">{formula.steps.map((step, i) => `${i + 1}. ${step}`).join(" ")}</p>
            )}
            {divided.length > 0 && (
              <p>
                Divide:{" "}
                {divided
                  .map(({ count, massG, shape }) => `${count} × ${formatMass(massG)} ${shape}`)
                  .join(", ")}
                {rest && `; rest ${formatDuration(rest.minutes)}`}
              </p>
            )}
          </section>
        ))}
      </div>
    </section>
  );
}
