import type { Closing } from "@/core/run";
import { formatMass } from "@/core/units";
import { formatShortDate } from "../shell/formatDayDate";

interface Props {
  readonly stale: Closing["stale"];
  /** Ids of what is said to be thrown out just now. */
  readonly thrown: ReadonlySet<string>;
  readonly onThrow: (itemId: string, isOut: boolean) => void;
}

/** What lies in the larder past its date, each to be thrown out with one mark. */
export function StaleList({ stale, thrown, onThrow }: Props) {
  return (
    <fieldset className="mt-6 min-w-0">
      <legend>
        <h2 className="text-xl">Past its date in the larder</h2>
      </legend>
      <ul>
        {stale.map(({ item, label, isThrown }) => (
          <li key={item.id} className="border-t border-base-300">
            <label className="touch flex items-center gap-3 py-2">
              <input
                type="checkbox"
                className="checkbox"
                checked={isThrown || thrown.has(item.id)}
                disabled={isThrown}
                onChange={({ target }) => onThrow(item.id, target.checked)}
              />
              <span className="min-w-0 flex-1">
                <strong className="block text-lg">Threw out {label}</strong>
                <span className="quiet text-sm">use by {formatShortDate(item.useBy)}</span>
              </span>
              <span className="figure text-2xl">
                {item.massG > 0 ? formatMass(item.massG) : `${item.count} pcs`}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <p className="quiet text-sm">
        The plan takes none of it. What may still be used, your local food code decides.
      </p>
    </fieldset>
  );
}
