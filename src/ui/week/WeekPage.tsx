"use client";

import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from "@dnd-kit/core";
import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import { addDays } from "@/core/plan";
import { invert, toChange, type Change } from "@/schemas/change";
import type { Day } from "@/schemas/model";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { weekdayNames } from "../orders/weekdays";
import type { Face } from "../drawings/PieceFace";
import { formatShortDate } from "../shell/formatDayDate";
import { DayColumn } from "./DayColumn";
import { sendChanges } from "./sendChanges";
import type { WeekDay } from "./weekDay";

interface Props {
  /** The first date, a Monday. */
  readonly monday: string;
  readonly today: string;
  readonly days: readonly WeekDay[];
  readonly pieceNames: Readonly<Record<string, string>>;
  /** By piece, as far as the week's days could be planned. */
  readonly faces: Readonly<Record<string, Face>>;
}

/** A finger that moves less than this only touches, px. */
const DRAG_FROM_PX = 8;
/** A day that is made where there is none to take after opens at five. */
const FIRST_OPEN_MIN = 5 * 60;

/** Seven days side by side; an order is drawn to another day, a day is made with what stands for it, or taken away. */
export function WeekPage({ monday, today, days, pieceNames, faces }: Props) {
  const router = useRouter();
  const [isPending, startTransition] = useTransition();
  const [fault, setFault] = useState<string | null>(null);
  const [done, setDone] = useState<{ readonly what: string; readonly changes: readonly Change[] } | null>(
    null,
  );
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }));

  const make = async (what: string, changes: readonly Change[], isUndo = false) => {
    const refused = await sendChanges(createId("group"), changes);
    setFault(refused);
    setDone(refused || isUndo ? null : { what, changes: changes.map(invert).toReversed() });
    startTransition(() => router.refresh());
  };
  const createDay = (date: string): Day => {
    const like = days.findLast(({ day }) => day !== null)?.day;
    const weekday = days.findIndex((each) => each.date === date);
    return {
      ...{ id: createId("day"), date, name: weekdayNames[weekday] ?? date },
      ...{
        openMin: like?.openMin ?? FIRST_OPEN_MIN,
        helper: null,
        keepsReserve: like?.keepsReserve ?? false,
      },
      ...{ laid: [], pinned: [] },
    };
  };
  const adding = (day: Day): Change[] => [{ kind: "day", id: day.id, set: { ...day }, was: null }];
  const move = (orderId: string, to: WeekDay) => {
    const from = days.find(({ orders }) => orders.some(({ id }) => id === orderId));
    const order = from?.orders.find(({ id }) => id === orderId);
    if (!from || !order || from.date === to.date) return;
    if (to.hasRun)
      return setFault(`${formatShortDate(to.date)} was run already: it takes no more orders here.`);
    if (to.date < today) return setFault(`${formatShortDate(to.date)} is past. Choose a day to come.`);
    const day = to.day ?? createDay(to.date);
    const moved = toChange({ kind: "order", id: order.id }, order, { ...order, dayId: day.id });
    void make(`${order.count} ${pieceNames[order.pieceId] ?? ""} moved to ${formatShortDate(to.date)}`, [
      ...(to.day ? [] : adding(day)),
      ...(moved ? [moved] : []),
    ]);
  };
  const makeDay = ({ date, standing }: WeekDay) => {
    const day = createDay(date);
    const orders = standing.map((order): Change => {
      const record = { ...order, id: createId("order"), dayId: day.id };
      return { kind: "order", id: record.id, set: { ...record }, was: null };
    });
    void make(`${formatShortDate(date)} made`, [...adding(day), ...orders]);
  };
  const removeDay = (day: Day) =>
    void make(`${formatShortDate(day.date)} removed`, [
      { kind: "day", id: day.id, set: null, was: { ...day } },
    ]);
  const drop = ({ active, over }: DragEndEvent) => {
    const to = days.find(({ date }) => date === over?.id);
    if (to) move(String(active.id), to);
  };
  const most = Math.max(1, ...days.flatMap(({ load }) => (load ? [load.handsMin, load.heatMin] : [])));

  return (
    <main className="flex min-h-dvh flex-col gap-4 p-4 lg:p-6" aria-busy={isPending}>
      <header className="flex flex-wrap items-center gap-2">
        <h1 className="min-w-0 basis-full text-3xl sm:flex-1 sm:basis-0 sm:text-4xl">
          The week{" "}
          <span className="quiet text-xl">
            {formatShortDate(monday)} to {formatShortDate(addDays(monday, 6))}
          </span>
        </h1>
        <Link className="btn touch" href={`/week?on=${addDays(monday, -7)}`}>
          ‹ before
        </Link>
        <Link className="btn touch" href="/week">
          this week
        </Link>
        <Link className="btn touch" href={`/week?on=${addDays(monday, 7)}`}>
          after ›
        </Link>
        <Link className="btn touch" href="/">
          To the bench
        </Link>
      </header>
      {fault && (
        <p role="alert" className="text-error">
          {fault}
        </p>
      )}
      {done && (
        <p role="status" className="flex flex-wrap items-center gap-3">
          {done.what}.
          <button type="button" className="btn touch" onClick={() => void make("", done.changes, true)}>
            Undo
          </button>
        </p>
      )}
      <DndContext id="week" sensors={sensors} onDragEnd={drop}>
        <ol className="grid gap-3 md:grid-cols-2 xl:grid-cols-7">
          {days.map((each) => (
            <DayColumn
              key={each.date}
              {...{ each, today, pieceNames, faces }}
              mostMin={most}
              targets={days.filter(({ date, hasRun }) => date !== each.date && date >= today && !hasRun)}
              onMove={move}
              onMake={makeDay}
              onRemove={removeDay}
            />
          ))}
        </ol>
      </DndContext>
    </main>
  );
}
