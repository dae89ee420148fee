import { Minus, Plus } from "lucide-react";
import type { Sale } from "@/core/run";

interface Props {
  readonly sale: Sale;
  readonly sold: number;
  readonly onSold: (count: number) => void;
}

/** How many of a kind were sold, of those that were made. */
export function SaleRow({ sale: { name, made, promised }, sold, onSold }: Props) {
  const over = made - sold;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300 py-2">
      <span className="min-w-40 flex-1">
        <strong className="block text-lg">{name}</strong>
        <span className={over < 0 ? "text-error" : "quiet"}>
          {over < 0
            ? `${-over} more than were made: correct it, or what went wrong in the record`
            : `${made} made, ${promised} ordered${over > 0 ? `, ${over} not sold` : ""}`}
        </span>
      </span>
      <div className="flex items-center gap-2" role="group" aria-label={`Sold: ${name}`}>
        <button
          type="button"
          className="btn touch"
          aria-label="One less was sold"
          disabled={sold <= 0}
          onClick={() => onSold(sold - 1)}
        >
          <Minus size={22} aria-hidden />
        </button>
        <input
          className="input figure w-24 text-center text-3xl"
          inputMode="numeric"
          aria-label={`${name} sold`}
          value={sold}
          onChange={({ target }) => onSold(Number(target.value.replace(/\D/g, "").slice(0, MOST_DIGITS)))}
        />
        <button
          type="button"
          className="btn touch"
          aria-label="One more was sold"
          disabled={sold >= made}
          onClick={() => onSold(sold + 1)}
        >
          <Plus size={22} aria-hidden />
        </button>
      </div>
    </li>
  );
}

/** Nobody sells more pieces a day. */
const MOST_DIGITS = 4;
