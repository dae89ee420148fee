"use client";

import { useMemo } from "react";
import { computeDayCosts, FIRST_TILL, type DayCosts, type OrderCost, type PieceCost } from "@/core/costs";
import { formatClock, formatDuration, formatNumber, parseNumber } from "@/core/units";
import { describeLimitFault } from "@/schemas/checkValue";
import { tillLimits, type Limit } from "@/schemas/limits";
import type { Till } from "@/schemas/model";
import { findRecord, pickRecords } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";
import { useMoney } from "../bench/useMoney";
import { Link } from "../controls/Link";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { PieceMark } from "../drawings/PieceMark";
import { DataTable, type Column } from "../table/DataTable";
import { CurrencySelect } from "./CurrencySelect";

/** What the day costs by ingredients, hands and heat, what it is sold for, and what is left: all of it, by piece and by order. */
export function CostsPage() {
  const { date, records, book, plan } = usePicked("date", "records", "book", "plan");
  const money = useMoney();
  const till = findRecord(records, "till", FIRST_TILL.id) ?? FIRST_TILL;
  const prices = pickRecords(records, "price");
  const costs = useMemo(() => computeDayCosts(plan, book, till, prices), [plan, book, till, prices]);
  const isHidden = till.hidesFromBench && prices.length === 0;
  return (
    <StationLayout
      label="Cost and price"
      surface={
        <div className="flex flex-col gap-4">
          <h2 className="text-2xl">Cost and price</h2>
          {costs.pieces.length === 0 ? (
            <p className="quiet">Nothing is made on this day yet: take an order first.</p>
          ) : (
            <>
              <DaySum costs={costs} />
              {isHidden && (
                <p className="quiet">What pieces are sold for is not told to the devices of the bench.</p>
              )}
              <div className="overflow-x-auto">
                <DataTable
                  caption="By piece, each"
                  isCaptionShown
                  className="w-full [&_td]:align-middle [&_th]:align-middle"
                  columns={listPieceColumns(money)}
                  rows={costs.pieces}
                  idOf={({ pieceId }) => pieceId}
                />
              </div>
              <div className="overflow-x-auto">
                <DataTable
                  caption="By order"
                  isCaptionShown
                  columns={listOrderColumns(money)}
                  rows={costs.orders}
                  idOf={({ group }) => group.orders[0]?.id ?? ""}
                />
              </div>
            </>
          )}
        </div>
      }
      side={
        <>
          <h2 className="text-xl">What the house pays</h2>
          <CurrencySelect />
          <MoneyField
            limit={tillLimits.hourMinor}
            value={till.hourMinor}
            hint="0: hands are not counted"
            fields={(hourMinor) => ({ hourMinor })}
            till={till}
          />
          <MoneyField
            limit={tillLimits.kwhMinor}
            value={till.kwhMinor}
            hint="for what ovens and fryers draw at work; an oven’s power stands in the kit"
            fields={(kwhMinor) => ({ kwhMinor })}
            till={till}
          />
          <HidesFromBench till={till} />
          {costs.unpriced.length > 0 && (
            <p className="rounded bg-warning px-2 py-1 text-warning-content">
              So much more it costs as {costs.unpriced.join(", ")}{" "}
              {costs.unpriced.length === 1 ? "does" : "do"}: no price in the{" "}
              <Link href={`/day/${date}/ingredients`} className="link">
                ingredient book
              </Link>
              .
            </p>
          )}
          <p className="quiet text-sm">
            Dough is counted with its trim, shared work by what each piece takes of it. Rent, fees and tax are
            not in it.
          </p>
        </>
      }
    />
  );
}

/** What is left of the day in figures to be read from afar, and as parts of what it is sold for. */
function DaySum({ costs: { day, pieces } }: { readonly costs: DayCosts }) {
  const money = useMoney();
  const { ingredientsMinor, handsMinor, heatMinor, totalMinor, soldMinor, leftMinor } = day;
  const noPrice = pieces.flatMap(({ name, priceMinor }) => (priceMinor === null ? [name] : []));
  const parts = [
    { name: "ingredients", minor: ingredientsMinor, tone: "bg-secondary" },
    { name: `hands, ${formatDuration(day.handsMin)}`, minor: handsMinor, tone: "bg-accent" },
    { name: `heat, ${formatNumber(day.heatKwh, 1)} kWh`, minor: heatMinor, tone: "bg-error" },
    { name: "left", minor: Math.max(leftMinor ?? 0, 0), tone: "bg-primary" },
  ];
  const wholeMinor = Math.max(soldMinor ?? 0, totalMinor);
  return (
    <section aria-label="The day" className="flex flex-col gap-2">
      <p className="flex flex-wrap items-baseline gap-x-5" role="status">
        {leftMinor === null || soldMinor === null ? (
          <span className="figure text-4xl">costs {money(totalMinor)}</span>
        ) : (
          <>
            <span className={`figure text-4xl ${leftMinor < 0 ? "text-error" : ""}`}>
              {leftMinor < 0 ? `${money(-leftMinor)} short` : `${money(leftMinor)} left`}
            </span>
            <span>
              sold for <strong className="figure text-xl">{money(soldMinor)}</strong>
            </span>
            <span>
              costs <strong className="figure text-xl">{money(totalMinor)}</strong>
            </span>
          </>
        )}
      </p>
      {noPrice.length > 0 && (
        <p className="quiet">
          No price yet for {noPrice.join(", ")}: say it in the table, and what is left is known.
        </p>
      )}
      {wholeMinor > 0 && (
        <>
          <div className="flex h-6 overflow-hidden rounded" aria-hidden>
            {parts.map(({ name, minor, tone }) => (
              <div key={name} className={tone} style={{ width: `${(100 * minor) / wholeMinor}%` }} />
            ))}
          </div>
          <ul className="flex flex-wrap gap-x-5">
            {parts
              .filter(({ minor }) => minor > 0)
              .map(({ name, minor, tone }) => (
                <li key={name} className="flex items-center gap-1.5">
                  <span className={`inline-block h-3 w-3 rounded-sm ${tone}`} aria-hidden />
                  {name} <strong className="figure">{money(minor)}</strong>
                </li>
              ))}
          </ul>
        </>
      )}
    </section>
  );
}

const sayShare = (left: number, price: number): string =>
  price > 0 ? ` · ${formatNumber((100 * left) / price)} %` : "";

function listPieceColumns(money: (minor: number) => string): readonly Column<PieceCost>[] {
  const each = (figure: (piece: PieceCost) => number) => (piece: PieceCost) =>
    piece.made > 0 ? money(figure(piece) / piece.made) : "–";
  return [
    {
      id: "piece",
      title: "Piece",
      isHead: true,
      cell: ({ pieceId, name, made }) => (
        <span className="flex items-center gap-2">
          <PieceMark pieceId={pieceId} />
          {name}, {made}
        </span>
      ),
    },
    {
      id: "ingredients",
      title: "ingredients",
      isFigure: true,
      from: "md",
      cell: each(({ ingredientsMinor }) => ingredientsMinor),
    },
    { id: "hands", title: "hands", isFigure: true, from: "md", cell: each(({ handsMinor }) => handsMinor) },
    { id: "heat", title: "heat", isFigure: true, from: "md", cell: each(({ heatMinor }) => heatMinor) },
    {
      id: "costs",
      title: "costs",
      isFigure: true,
      isMostFirst: true,
      cell: ({ eachMinor }) => <strong>{money(eachMinor)}</strong>,
      sortBy: ({ eachMinor }) => eachMinor,
    },
    { id: "price", title: "sold for", isFigure: true, cell: (piece) => <PriceField piece={piece} /> },
    {
      id: "left",
      title: "left",
      isFigure: true,
      isMostFirst: true,
      cell: ({ leftMinor, priceMinor }) =>
        leftMinor === null || priceMinor === null ? (
          "–"
        ) : (
          <span className={leftMinor < 0 ? "text-error" : ""}>
            {money(leftMinor)}
            {sayShare(leftMinor, priceMinor)}
          </span>
        ),
      sortBy: ({ leftMinor }) => leftMinor,
    },
  ];
}

function listOrderColumns(money: (minor: number) => string): readonly Column<OrderCost>[] {
  const orDash = (minor: number | null) => (minor === null ? "–" : money(minor));
  return [
    {
      id: "when",
      title: "When",
      cell: ({ group }) => formatClock(group.dueMin),
      sortBy: ({ group }) => group.dueMin,
    },
    {
      id: "who",
      title: "For",
      isHead: true,
      cell: ({ group }) => group.customer || "no name",
      sortBy: ({ group }) => group.customer,
    },
    {
      id: "pieces",
      title: "pieces",
      isFigure: true,
      from: "sm",
      cell: ({ group }) => group.orders.reduce((sum, { count }) => sum + count, 0),
    },
    { id: "costs", title: "costs", isFigure: true, cell: ({ costMinor }) => money(costMinor) },
    { id: "sold", title: "sold for", isFigure: true, cell: ({ soldMinor }) => orDash(soldMinor) },
    {
      id: "left",
      title: "left",
      isFigure: true,
      isMostFirst: true,
      cell: ({ leftMinor, soldMinor }) =>
        leftMinor === null || soldMinor === null
          ? "–"
          : `${money(leftMinor)}${sayShare(leftMinor, soldMinor)}`,
      sortBy: ({ leftMinor }) => leftMinor,
    },
  ];
}

const MINOR_PER_MAJOR = 100;
const toText = (minor: number): string => (minor / MINOR_PER_MAJOR).toFixed(2);

/** An amount as it is typed, in whole smallest coins; null where it is none. */
function readMinor(text: string): number | null {
  const read = parseNumber(text);
  return read.ok ? Math.round(read.value * MINOR_PER_MAJOR) : null;
}

function checkMoney(text: string, limit: Limit): string | null {
  const minor = readMinor(text);
  if (minor === null) return "An amount of money, as 2.40.";
  return describeLimitFault(minor, limit) === null
    ? null
    : `${limit.label}: from ${toText(limit.min)} to ${toText(limit.max)}.`;
}

/** What one is sold for; emptied, nobody has said. */
function PriceField({ piece: { pieceId, name, priceMinor } }: { readonly piece: PieceCost }) {
  const { edit } = usePicked("edit");
  return (
    <TextField
      hideLabel
      label={`Price of one ${name}`}
      className="ml-auto w-24"
      inputClassName="figure text-right text-lg"
      value={priceMinor === null ? "" : toText(priceMinor)}
      check={(text) => (text.trim() === "" ? null : checkMoney(text, tillLimits.priceMinor))}
      onCommit={(text) => {
        const minor = text.trim() === "" ? null : readMinor(text);
        edit([
          { kind: "price", id: pieceId, record: minor === null ? null : { id: pieceId, priceMinor: minor } },
        ]);
      }}
    />
  );
}

function MoneyField({
  limit,
  value,
  hint,
  fields,
  till,
}: {
  readonly limit: Limit;
  readonly value: number;
  readonly hint: string;
  readonly fields: (minor: number) => Partial<Till>;
  readonly till: Till;
}) {
  const { edit } = usePicked("edit");
  return (
    <div>
      <TextField
        label={limit.label}
        inputClassName="figure text-lg"
        value={toText(value)}
        check={(text) => checkMoney(text, limit)}
        onCommit={(text) =>
          edit([{ kind: "till", id: till.id, record: { ...till, ...fields(readMinor(text) ?? 0) } }])
        }
      />
      <p className="quiet text-sm">{hint}</p>
    </div>
  );
}

function HidesFromBench({ till }: { readonly till: Till }) {
  const { edit } = usePicked("edit");
  return (
    <label className="touch flex cursor-pointer items-center gap-3">
      <input
        type="checkbox"
        className="checkbox"
        checked={till.hidesFromBench}
        onChange={(event) =>
          edit([{ kind: "till", id: till.id, record: { ...till, hidesFromBench: event.target.checked } }])
        }
      />
      Not told to devices of the bench
    </label>
  );
}
