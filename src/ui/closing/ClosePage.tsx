"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { listClosingEvents, toLeftKey, type Closing, type ClosingAnswers, type LeftOver } from "@/core/run";
import { formatCount } from "@/core/units";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { sayLogBehind, sendEvents } from "../run/sendEvents";
import { formatDayDate } from "../shell/formatDayDate";
import { LeftRow } from "./LeftRow";
import { SaleRow } from "./SaleRow";
import { StaleList } from "./StaleList";

interface Props {
  readonly day: { readonly date: string; readonly name: string };
  readonly closing: Closing;
  /** A minute of the day after all that happened. */
  readonly atMin: number;
}

/** Where events of this page come from. */
const DEVICE_ID = "closing";
const keyOf = ({ kind, refId }: LeftOver): string => toLeftKey(kind, refId);

/** The end of a day in one walk: what was sold, what is kept and until when, and nothing that is known. */
export function ClosePage({ day, closing, atMin }: Props) {
  const router = useRouter();
  const [sold, setSold] = useState<ClosingAnswers["sold"]>(
    Object.fromEntries(closing.sales.map((sale) => [sale.pieceId, sale.sold ?? sale.made])),
  );
  const [left, setLeft] = useState<ClosingAnswers["left"]>({});
  const [thrown, setThrown] = useState<ReadonlySet<string>>(new Set());
  const [areDone, setDone] = useState(true);
  const [showsAll, setShowsAll] = useState(false);
  const [badKeys, setBadKeys] = useState<ReadonlySet<string>>(new Set());
  const [fault, setFault] = useState<string | null>(null);
  const { sales, stale, undone, isClosed } = closing;
  const isThere = (each: LeftOver) => each.massG > 0 || each.count > 0 || each.isSaid || keyOf(each) in left;
  const shown = closing.left.filter((each) => showsAll || isThere(each));

  const close = async () => {
    const stamp = { createId: () => createId("closing"), atMin, deviceId: DEVICE_ID };
    const { failure, logBehind } = await sendEvents(
      day.date,
      listClosingEvents(
        closing,
        { sold, left, thrown: [...thrown], areDone: areDone && undone.length > 0 },
        stamp,
      ),
    );
    if (failure !== null) setFault(`The day could not be closed: ${failure}`);
    else if (logBehind !== null) setFault(`The day is closed. ${sayLogBehind(logBehind)}`);
    else router.push(`/run/${day.date}/taught`);
  };
  return (
    <main className="board min-h-dvh p-4 sm:p-7">
      <header className="flex flex-wrap items-center gap-3">
        <div className="min-w-0 flex-1">
          <h1 className="text-3xl sm:text-4xl">{isClosed ? "The day is closed" : "Close the day"}</h1>
          <p className="quiet">
            {day.name}, {formatDayDate(day.date)}
          </p>
        </div>
        <Link className="btn touch" href={`/run/${day.date}/record`}>
          The record
        </Link>
      </header>
      <div className="mt-4 grid gap-8 lg:grid-cols-2">
        <section aria-labelledby="sold">
          <h2 id="sold" className="text-xl">
            Sold
          </h2>
          {sales.length === 0 && <p className="quiet">Nothing was made for today.</p>}
          <ul>
            {sales.map((sale) => (
              <SaleRow
                key={sale.pieceId}
                sale={sale}
                sold={sold[sale.pieceId] ?? sale.made}
                onSold={(count) => setSold({ ...sold, [sale.pieceId]: count })}
              />
            ))}
          </ul>
        </section>
        <section aria-labelledby="kept">
          <h2 id="kept" className="text-xl">
            Kept for another day
          </h2>
          {shown.length === 0 && <p className="quiet">By the plan nothing is over.</p>}
          <ul>
            {shown.map((each) => (
              <LeftRow
                key={keyOf(each)}
                left={each}
                from={day.date}
                onKept={(kept) => {
                  const key = keyOf(each);
                  setBadKeys(new Set([...badKeys].filter((bad) => bad !== key || kept === null)));
                  if (kept === null) setBadKeys(new Set([...badKeys, key]));
                  else setLeft({ ...left, [key]: kept });
                }}
              />
            ))}
          </ul>
          {!showsAll && shown.length < closing.left.length && (
            <button type="button" className="btn touch mt-2" onClick={() => setShowsAll(true)}>
              Something else is over
            </button>
          )}
          <p className="quiet mt-2 text-sm">
            Label it with its date. How long it may be kept, your local food code decides.
          </p>
          {stale.length > 0 && (
            <StaleList
              stale={stale}
              thrown={thrown}
              onThrow={(id, isOut) =>
                setThrown(
                  isOut ? new Set([...thrown, id]) : new Set([...thrown].filter((each) => each !== id)),
                )
              }
            />
          )}
        </section>
      </div>
      {undone.length > 0 && (
        <fieldset className="mt-6">
          <legend className="text-xl">
            {formatCount(undone.length, "job")} not done on record:{" "}
            <span className="quiet">
              {undone
                .slice(0, UNDONE_NAMED)
                .map(({ title }) => title)
                .join(", ")}
              {undone.length > UNDONE_NAMED && " …"}
            </span>
          </legend>
          <label className="touch flex items-center gap-3">
            <input
              type="radio"
              className="radio"
              name="undone"
              checked={areDone}
              onChange={() => setDone(true)}
            />
            They were done; nobody timed them
          </label>
          <label className="touch flex items-center gap-3">
            <input
              type="radio"
              className="radio"
              name="undone"
              checked={!areDone}
              onChange={() => setDone(false)}
            />
            They were not done
          </label>
        </fieldset>
      )}
      {fault && (
        <p role="alert" className="mt-4 text-error">
          {fault}
        </p>
      )}
      <div className="mt-6 flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-primary touch text-xl"
          disabled={badKeys.size > 0}
          onClick={() => void close()}
        >
          {isClosed ? "Keep it so" : "Close the day"}
        </button>
        <Link className="btn touch" href={`/run/${day.date}/record`}>
          Something went wrong that is not told yet
        </Link>
      </div>
    </main>
  );
}

/** Jobs that are named; all of them stand in the record. */
const UNDONE_NAMED = 4;
