import { formatNumber } from "@/core/units";

/** How often kept forecasts of one kind held until now. */
export interface KindScore {
  readonly what: string;
  readonly held: number;
  readonly of: number;
  /** By how much ranges of this kind are told wider than they are reckoned, 1 for not at all. */
  readonly widened: number;
}

/** A range that is wider by less looks the same. */
const WIDER_TOLD = 1.05;

/** Whether forecasts of each kind held, over all days until now. */
export function Scores({ scores }: { readonly scores: readonly KindScore[] }) {
  if (scores.length === 0) return null;
  return (
    <section aria-labelledby="held" className="max-w-xl">
      <h2 id="held" className="text-xl">
        Nine in ten, until now
      </h2>
      <ul>
        {scores.map(({ what, held, of, widened }) => (
          <li key={what} className="flex flex-wrap items-baseline gap-x-3 border-t border-base-300 py-1">
            <span className="flex-1">{what}</span>
            <span>
              held <span className="figure text-xl">{formatNumber((100 * held) / of)} %</span> of {of}
            </span>
            {widened > WIDER_TOLD && (
              <span className="quiet basis-full text-sm">
                too narrow: told {formatNumber(widened, 1)} times as wide from now on
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
