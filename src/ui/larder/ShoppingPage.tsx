"use client";

import { Printer } from "lucide-react";
import { usePathname, useRouter } from "next/navigation";
import type { ShoppingLine } from "@/core/plan";
import { formatCount, formatMass, formatNumber } from "@/core/units";
import { useMoney } from "../bench/useMoney";
import { formatDayDate } from "../shell/formatDayDate";
import { DataTable, type Column } from "../table/DataTable";

interface Props {
  readonly from: string;
  readonly to: string;
  readonly days: readonly { readonly date: string; readonly name: string }[];
  /** Null while the server works out others first. */
  readonly lines: readonly ShoppingLine[] | null;
}

/** What to buy for one day or several, in whole packs. */
export function ShoppingPage({ from, to, days, lines: found }: Props) {
  const router = useRouter();
  const pathname = usePathname();
  const money = useMoney();
  const lines = found ?? [];
  const totalMinor = lines.reduce((sum, { packs }) => sum + (packs?.priceMinor ?? 0), 0);
  return (
    <div className="h-full overflow-y-auto p-5">
      <div className="mx-auto flex max-w-4xl flex-col gap-3">
        <header className="flex flex-wrap items-end gap-4">
          <h2 className="text-2xl">To buy</h2>
          <label className="no-print flex items-center gap-2">
            from {formatDayDate(from)} to
            <input
              type="date"
              className="input w-40"
              value={to}
              min={from}
              onChange={(event) =>
                event.target.value >= from && router.replace(`${pathname}?to=${event.target.value}`)
              }
            />
          </label>
          <button type="button" className="btn touch no-print" onClick={() => window.print()}>
            <Printer size={20} aria-hidden /> Print
          </button>
          <p className="ml-auto">
            <span className="figure text-3xl">{money(totalMinor)}</span> for the packs with a price
          </p>
        </header>
        {found === null && (
          <p role="alert" className="text-error">
            Tezgah is working out others first. Load this page again in a moment.
          </p>
        )}
        <p className="quiet">
          {days.length > 0
            ? `For ${days.map(({ name }) => name).join(", ")}; what the larder holds is taken off.`
            : "No day is planned in this span."}
        </p>
        {lines.length > 0 && (
          <DataTable caption="To buy" columns={listColumns(money)} rows={lines} idOf={({ name }) => name} />
        )}
      </div>
    </div>
  );
}

const listColumns = (money: (minor: number) => string): readonly Column<ShoppingLine>[] => [
  { id: "what", title: "What", isHead: true, cell: ({ name }) => `☐ ${name}`, sortBy: ({ name }) => name },
  {
    id: "needed",
    title: "Needed",
    isFigure: true,
    className: "figure text-xl",
    cell: ({ massG, count }) => (massG > 0 ? formatMass(massG) : formatNumber(count)),
  },
  {
    id: "buy",
    title: "Buy",
    isFigure: true,
    cell: ({ massG, packs }) =>
      packs ? (
        <>
          {formatCount(packs.count, "pack")} of{" "}
          <span className="whitespace-nowrap">{formatMass(packs.massG)}</span>
        </>
      ) : massG > 0 ? (
        "by mass"
      ) : (
        "by count"
      ),
  },
  {
    id: "price",
    title: "Price",
    isMostFirst: true,
    isFigure: true,
    className: "figure",
    cell: ({ packs }) => (packs ? money(packs.priceMinor) : "–"),
    sortBy: ({ packs }) => packs?.priceMinor ?? null,
  },
];
