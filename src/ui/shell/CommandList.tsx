"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useState } from "react";
import { formatClock } from "@/core/units";
import { pickRecords, type RecordTable } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";
import { useLeave } from "../bench/LeaveLink";
import { listBookPages, listSettings, NEW_ORDER, showsStored } from "./bookPages";
import { askDays, type DayName } from "./dayNames";
import { PieceMark } from "../drawings/PieceMark";
import { Dialog } from "./Dialog";
import { formatShortDate } from "./formatDayDate";
import { rankFinds, type Findable } from "../controls/rankFinds";
import { listStationFacts } from "./stationFacts";
import { turnTheme } from "./theme";

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
  /** What was typed before this was there. */
  readonly begunWith?: string;
}

/** A place to go to, or something to do. */
interface Find extends Findable {
  readonly key: string;
  readonly to: string | (() => void);
  /** It is drawn. */
  readonly pieceId?: string;
}

/** More is not read: who sees so many types another letter. */
const MOST_SHOWN = 40;

/** The focus is back where it was by then, ms. */
const AFTER_CLOSED_MS = 100;

/** Find anything, go anywhere: `/` or Ctrl K. The best name is first, so that Enter takes it. */
export function CommandList({ open, onClose, begunWith = "" }: Props) {
  const [sought, setSought] = useState(begunWith);
  // Each time it opens it asks anew.
  const [wasOpen, setWasOpen] = useState(open);
  if (open !== wasOpen) {
    setWasOpen(open);
    setSought("");
  }
  const router = useRouter();
  const { date, records, plan, undo, redo } = usePicked("date", "records", "plan", "undo", "redo");
  const days = useDays(open, date);
  const leave = useLeave();
  const follow = async ({ to }: Find) => {
    onClose();
    if (typeof to === "function") to();
    else if (!showsStored(to) || (await leave())) router.push(to);
  };
  const takeOrder = useCallback(() => {
    router.push(`/day/${date}/orders${NEW_ORDER}`);
    // On the orders themselves the form is there already, and the dialog gives the focus back first.
    setTimeout(() => document.getElementById("order-count")?.focus(), AFTER_CLOSED_MS);
  }, [router, date]);
  const places = useMemo<readonly Find[]>(
    () => [
      ...listStationFacts(plan).map(({ id, name }) => find("station", id, name, `/day/${date}/${id}`)),
      ...listBookPages(date).map(({ path, title }) => find("page", path, title, path)),
      find("action", "new-order", "New order", takeOrder),
      find("action", "theme", "Day or night bench", turnTheme),
      find("action", "undo", "Undo", undo),
      find("action", "redo", "Redo", redo),
    ],
    [date, plan, undo, redo, takeOrder],
  );
  const things = useMemo<readonly Find[]>(
    () => [...listRecords(records, date), ...days],
    [records, date, days],
  );
  const found = useMemo(
    () => (sought.trim() === "" ? places : rankFinds(sought, [...places, ...things])).slice(0, MOST_SHOWN),
    [sought, places, things],
  );
  return (
    <Dialog open={open} onClose={onClose} title="Find">
      <Command label="Find" loop shouldFilter={false}>
        <Command.Input
          data-first
          value={sought}
          onValueChange={setSought}
          placeholder="A piece, a formula, a customer, a day, a page"
          className="input w-full"
        />
        <Command.List className="mt-2 max-h-[50dvh] overflow-y-auto">
          <Command.Empty className="quiet p-3">Nothing by that name.</Command.Empty>
          {found.map((each) => (
            <Command.Item
              key={`${each.kind} ${each.key}`}
              value={`${each.kind} ${each.key}`}
              className="flex min-h-11 cursor-pointer items-center gap-3 rounded-md px-3 data-[selected=true]:bg-base-200"
              onSelect={() => void follow(each)}
            >
              {each.pieceId !== undefined && <PieceMark pieceId={each.pieceId} sizePx={32} />}
              <span className="min-w-0 flex-1">{each.name}</span>
              <span className="quiet shrink-0 text-sm">{each.kind}</span>
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Dialog>
  );
}

const find = (kind: Find["kind"], key: string, name: string, to: Find["to"]): Find => ({
  kind,
  key,
  name,
  to,
});

/** What the open day knows by name. */
function listRecords(records: RecordTable, date: string): Find[] {
  const day = `/day/${date}`;
  const [pieces, formulas] = [pickRecords(records, "piece"), pickRecords(records, "formula")];
  const nameOf = new Map([...formulas, ...pieces].map(({ id, name }) => [id, name]));
  const dayId = pickRecords(records, "day").find((each) => each.date === date)?.id;
  return [
    ...pieces.map(({ id, name }) => ({
      ...find("piece", id, name, `${day}/piece/${id}`),
      pieceId: id,
    })),
    ...formulas.map(({ id, name }) => find("formula", id, name, `${day}/formula/${id}`)),
    ...pickRecords(records, "order")
      .filter((order) => order.dayId === dayId)
      .map(({ id, customer, count, pieceId, dueMin }) => {
        const what = `${count} ${nameOf.get(pieceId) ?? ""}, ${formatClock(dueMin)}`;
        const name = customer === "" ? what : `${customer}: ${what}`;
        return { ...find("order", id, name, `${day}/orders`), pieceId };
      }),
    ...pickRecords(records, "customer").map(({ id, name }) => find("customer", id, name, `${day}/customers`)),
    ...pickRecords(records, "ingredient").map(({ id, name }) =>
      find("ingredient", id, name, `${day}/ingredients`),
    ),
    ...pickRecords(records, "larder").map(({ id, kind, refId }) =>
      find("larder", id, `${nameOf.get(refId) ?? ""}, ${kind}`, `${day}/larder`),
    ),
    ...listSettings(date).map(({ path, title }) => find("setting", title, title, path)),
  ];
}

/** Days round the open one, asked for when the list is opened. */
function useDays(isOpen: boolean, date: string): readonly Find[] {
  const [days, setDays] = useState<readonly Find[]>([]);
  useEffect(() => {
    if (!isOpen) return;
    let isGone = false;
    void Promise.all(
      ["before", "from"].map((how) => askDays<{ readonly days: readonly DayName[] }>(`${how}=${date}`)),
    ).then((answers) => {
      const found = answers.flatMap((answer) => answer?.days ?? []);
      if (!isGone)
        setDays(
          found.map((day) =>
            find("day", day.date, `${day.name} · ${formatShortDate(day.date)}`, `/day/${day.date}/orders`),
          ),
        );
    });
    return () => {
      isGone = true;
    };
  }, [isOpen, date]);
  return days;
}
