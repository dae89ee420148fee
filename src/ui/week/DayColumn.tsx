"use client";

import { useDraggable, useDroppable } from "@dnd-kit/core";
import { ArrowLeftRight, Trash2 } from "lucide-react";
import { groupOrders, type TakenOrder } from "@/core/orders";
import type { DayLoad } from "@/core/plan";
import { formatClock, formatCount, formatDuration } from "@/core/units";
import type { Day } from "@/schemas/model";
import { Link } from "../controls/Link";
import { FaceMark } from "../drawings/PieceMark";
import type { Face } from "../drawings/PieceFace";
import { formatShortDate } from "../shell/formatDayDate";
import type { WeekDay } from "./weekDay";

interface Props {
  readonly each: WeekDay;
  readonly today: string;
  readonly pieceNames: Readonly<Record<string, string>>;
  readonly faces: Readonly<Record<string, Face>>;
  /** The longest of the week's hands and heat: what its bars are measured by, min. */
  readonly mostMin: number;
  /** Days that an order may be moved to. */
  readonly targets: readonly WeekDay[];
  readonly onMove: (orderId: string, to: WeekDay) => void;
  readonly onMake: (each: WeekDay) => void;
  readonly onRemove: (day: Day) => void;
}

/** One date: its load, who comes for what, and what is made for others. */
export function DayColumn({
  each,
  today,
  pieceNames,
  faces,
  mostMin,
  targets,
  onMove,
  onMake,
  onRemove,
}: Props) {
  const { date, day, orders, load, ahead, hasRun, standing } = each;
  const { setNodeRef, isOver } = useDroppable({ id: date });
  const isPast = date < today;
  const standingPieces = standing.reduce((sum, { count }) => sum + count, 0);
  return (
    <li
      ref={setNodeRef}
      aria-label={formatShortDate(date)}
      className={`flex min-w-0 flex-col gap-2 rounded-xl border-2 bg-base-100 p-2.5 ${
        isOver ? "border-primary" : date === today ? "border-(--dough-deep)" : "border-base-300"
      }`}
    >
      <div className="flex items-start gap-1">
        <h2 className="min-w-0 flex-1">
          {day ? (
            <Link href={`/day/${date}/orders`} className="touch flex flex-col hover:underline">
              <span className="figure text-lg whitespace-nowrap">{formatShortDate(date)}</span>
              <span className="text-base leading-5">{day.name}</span>
            </Link>
          ) : (
            <span className="figure quiet text-lg whitespace-nowrap">{formatShortDate(date)}</span>
          )}
        </h2>
        {day && !hasRun && (
          <button
            type="button"
            className="btn btn-ghost touch px-1.5"
            aria-label={`Remove ${formatShortDate(date)}, ${day.name}`}
            onClick={() => onRemove(day)}
          >
            <Trash2 size={18} aria-hidden />
          </button>
        )}
      </div>
      {!day && !isPast && (
        <button type="button" className="btn touch h-auto py-2" onClick={() => onMake(each)}>
          {standing.length > 0
            ? `Make it, with ${formatCount(standingPieces, "piece")} that stand`
            : "Make this day"}
        </button>
      )}
      {day && hasRun && <p className="quiet text-sm">was run</p>}
      {day && !isPast && standing.length > 0 && (
        <Link href={`/day/${date}/orders`} className="touch text-sm underline">
          {formatCount(standingPieces, "piece")} of standing orders wait
        </Link>
      )}
      {load && <Load load={load} mostMin={mostMin} />}
      {day && orders.length === 0 && <p className="quiet text-sm">Nothing ordered.</p>}
      <ul className="flex flex-col gap-2">
        {groupOrders(orders).map((group) => (
          <li key={group.orders[0]?.id}>
            <p className={group.isHandedOver ? "line-through" : ""}>
              <span className="figure">{formatClock(group.dueMin)}</span> {group.customer || "no name"}
            </p>
            <ul className="flex flex-col gap-1">
              {group.orders.map((order) => (
                <OrderChip
                  key={order.id}
                  order={order}
                  name={pieceNames[order.pieceId] ?? ""}
                  face={faces[order.pieceId] ?? null}
                  isFixed={hasRun || isPast}
                  targets={targets}
                  onMove={onMove}
                />
              ))}
            </ul>
          </li>
        ))}
      </ul>
      {ahead.map(({ name, forDate }) => (
        <p key={`${name} ${forDate}`} className="quiet text-sm">
          ahead for {formatShortDate(forDate)}: {name}
        </p>
      ))}
    </li>
  );
}

/** Pieces large, then hands and heat as bars against the week's longest, and the eggs. */
function Load({ load, mostMin }: { readonly load: DayLoad; readonly mostMin: number }) {
  const bar = (label: string, minutes: number, fill: string) => (
    <p className="text-sm">
      <span className="flex justify-between gap-2">
        <span className="quiet">{label}</span>
        <span className="figure">{formatDuration(minutes)}</span>
      </span>
      <span aria-hidden className="block h-2 rounded bg-base-200">
        <span
          className="block h-2 rounded"
          style={{ width: `${Math.min(100, (minutes / mostMin) * 100)}%`, background: fill }}
        />
      </span>
    </p>
  );
  return (
    <div className="flex flex-col gap-1">
      <p>
        <span className="figure text-4xl">{load.pieces}</span>{" "}
        <span className="quiet text-sm">{load.pieces === 1 ? "piece" : "pieces"}</span>
      </p>
      {bar("hands", load.handsMin, "var(--dough-deep)")}
      {load.heatMin > 0 && bar("heat", load.heatMin, "var(--filling-soft)")}
      {load.eggs > 0 && (
        <p className="flex justify-between gap-2 text-sm">
          <span className="quiet">eggs</span>
          <span className="figure">{load.eggs}</span>
        </p>
      )}
      {load.startMin !== null && load.endMin !== null && (
        <p className="text-sm">
          <span className="figure">{formatClock(load.startMin)}</span> to{" "}
          <span className="figure">{formatClock(load.endMin)}</span>
        </p>
      )}
      {load.lateMin > 0 && <p className="text-sm text-error">{formatDuration(load.lateMin)} late</p>}
      {load.notPlanned > 0 && (
        <p className="text-sm text-error">{formatCount(load.notPlanned, "piece")} cannot be made</p>
      )}
    </div>
  );
}

interface ChipProps {
  readonly order: TakenOrder;
  readonly name: string;
  readonly face: Face | null;
  readonly isFixed: boolean;
  readonly targets: readonly WeekDay[];
  readonly onMove: (orderId: string, to: WeekDay) => void;
}

/** As high as a line of the name, which goes on below it. */
const CHIP_MARK_PX = 22;

/** An order to be drawn to another day, or sent there by name. */
function OrderChip({ order, name, face, isFixed, targets, onMove }: ChipProps) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: order.id, disabled: isFixed });
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      className={`flex items-center rounded-lg border border-base-300 bg-base-200 pl-1.5 ${
        isFixed ? "min-h-11" : "cursor-grab touch-none"
      } ${isDragging ? "relative z-10 opacity-80" : ""}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      <span className="min-w-0 flex-1 py-1 text-sm">
        {face && (
          <span className="float-left mr-1.5">
            <FaceMark {...face} sizePx={CHIP_MARK_PX} />
          </span>
        )}
        <strong className="figure text-base">{order.count}</strong> {name}
      </span>
      {!isFixed && targets.length > 0 && (
        <span className="relative flex min-h-11 w-8 shrink-0 items-center justify-center rounded-lg has-focus-visible:outline-3 has-focus-visible:outline-primary">
          <ArrowLeftRight size={16} aria-hidden />
          <select
            aria-label={`Move ${order.count} ${name} to`}
            className="absolute -inset-x-1.5 inset-y-0 w-11 cursor-pointer opacity-0"
            value=""
            onPointerDown={(event) => event.stopPropagation()}
            onChange={(event) => {
              const to = targets.find(({ date }) => date === event.target.value);
              if (to) onMove(order.id, to);
            }}
          >
            <option value="" disabled>
              Move to
            </option>
            {targets.map(({ date }) => (
              <option key={date} value={date}>
                {formatShortDate(date)}
              </option>
            ))}
          </select>
        </span>
      )}
    </li>
  );
}
