"use client";

import { useEffect, useState } from "react";
import { addDays } from "@/core/plan";
import { askDays, type DayName } from "./dayNames";
import { formatDayDate } from "./formatDayDate";

interface Props {
  /** The day that is open. */
  readonly current: string;
  readonly onGo: (date: string) => void;
  /** How a row of the drawer looks. */
  readonly row: string;
  readonly isOpen: boolean;
}

type Page = { readonly days: readonly DayName[] };

/** The days of the book around the open one, latest first; more of them on demand, page by page, on either side. */
export function DayListing({ current, onGo, row, isOpen }: Props) {
  const [days, setDays] = useState<readonly DayName[]>([]);
  const [ends, setEnds] = useState({ later: false, earlier: false });
  const [isSilent, setSilent] = useState(false);

  useEffect(() => {
    if (!isOpen) return;
    let gone = false;
    void Promise.all([askDays<Page>(`from=${current}`), askDays<Page>(`before=${current}`)]).then(
      ([from, before]) => {
        if (gone) return;
        setSilent(!from || !before);
        setDays([...(from?.days ?? []).toReversed(), ...(before?.days ?? [])]);
        setEnds({ later: (from?.days.length ?? 0) < PAGE, earlier: (before?.days.length ?? 0) < PAGE });
      },
    );
    return () => {
      gone = true;
    };
  }, [current, isOpen]);

  const later = async () => {
    const first = days[0]?.date ?? current;
    const page = await askDays<Page>(`from=${addDays(first, 1)}`);
    setDays([...(page?.days ?? []).toReversed(), ...days]);
    setEnds({ ...ends, later: (page?.days.length ?? 0) < PAGE });
  };
  const earlier = async () => {
    const last = days.at(-1)?.date ?? current;
    const page = await askDays<Page>(`before=${last}`);
    setDays([...days, ...(page?.days ?? [])]);
    setEnds({ ...ends, earlier: (page?.days.length ?? 0) < PAGE });
  };
  return (
    <section aria-labelledby="days">
      <h3 id="days" className="mt-4 mb-1 text-lg">
        Days
      </h3>
      {isSilent && (
        <p role="alert" className="text-error">
          Tezgah does not answer: the list of days comes back with it.
        </p>
      )}
      {!ends.later && days.length > 0 && (
        <button type="button" className="btn btn-ghost touch w-full" onClick={() => void later()}>
          Later days
        </button>
      )}
      <ul className="flex flex-col">
        {days.map((day) => (
          <li key={day.date}>
            <button
              type="button"
              className={`${row} ${day.date === current ? "bg-base-200 font-bold" : ""}`}
              aria-current={day.date === current ? "date" : undefined}
              onClick={() => onGo(day.date)}
            >
              <span className="truncate">{day.name}</span>
              <span className="quiet ml-auto whitespace-nowrap">{formatDayDate(day.date)}</span>
            </button>
          </li>
        ))}
      </ul>
      {!ends.earlier && days.length > 0 && (
        <button type="button" className="btn btn-ghost touch w-full" onClick={() => void earlier()}>
          Earlier days
        </button>
      )}
    </section>
  );
}

/** Days in a page, as the server sends them: a shorter page is the last. */
const PAGE = 20;
