"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { useBench } from "../bench/BenchProvider";
import type { DayName } from "./BenchShell";
import { listBookPages } from "./bookPages";
import { Dialog } from "./Dialog";
import { formatDayDate } from "./formatDayDate";
import { NewDayForm } from "./NewDayForm";

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly dates: readonly DayName[];
}

/** Everything that is not a station: pieces and formulas, kit, days, the day sheet. */
export function BookDrawer({ open, onClose, dates }: Props) {
  const router = useRouter();
  const date = useBench((state) => state.date);
  const flush = useBench((state) => state.flush);
  const [adding, setAdding] = useState(false);
  const go = (path: string) => () => {
    onClose();
    router.push(path);
  };
  // A day is opened by loading the page, never from the router's memory, which may hold its older records.
  const goToDay = async (other: string) => {
    await flush();
    const url = new URL(`/day/${other}/orders`, window.location.origin);
    window.location.assign(url);
  };
  const row = "btn btn-ghost touch w-full justify-start text-base font-normal";
  return (
    <Dialog open={open} onClose={onClose} title="Book" side>
      <nav aria-label="Book" className="flex flex-col">
        {listBookPages(date).map(({ path, title }) => (
          <button key={path} type="button" className={row} onClick={go(path)}>
            {title}
          </button>
        ))}
      </nav>
      <h3 className="mt-4 mb-1 text-lg">Days</h3>
      <ul className="flex flex-col">
        {dates.map((day) => (
          <li key={day.date}>
            <button
              type="button"
              className={`${row} ${day.date === date ? "bg-base-200 font-bold" : ""}`}
              aria-current={day.date === date ? "date" : undefined}
              onClick={() => void goToDay(day.date)}
            >
              {day.name} <span className="quiet ml-auto">{formatDayDate(day.date)}</span>
            </button>
          </li>
        ))}
      </ul>
      {adding ? (
        <NewDayForm onDone={(made) => void goToDay(made)} />
      ) : (
        <button type="button" className="btn touch mt-2 w-full" onClick={() => setAdding(true)}>
          New day, or this one again
        </button>
      )}
    </Dialog>
  );
}
