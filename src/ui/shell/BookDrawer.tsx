"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { useBenchShell } from "../bench/BenchProvider";
import { useLeave } from "../bench/LeaveLink";
import { listBookPages, showsStored } from "./bookPages";
import { DayListing } from "./DayListing";
import { Dialog } from "./Dialog";
import { NewDayForm } from "./NewDayForm";

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
}

/** Everything that is not a station: pieces and formulas, kit, days, the day sheet. */
export function BookDrawer({ open, onClose }: Props) {
  const router = useRouter();
  const date = useBenchShell((state) => state.date);
  const leave = useLeave();
  const [adding, setAdding] = useState(false);
  const go = async (path: string) => {
    onClose();
    if (!showsStored(path) || (await leave())) router.push(path);
  };
  const goToDay = async (other: string) => {
    onClose();
    if (await leave()) router.push(`/day/${other}/orders`);
  };
  const row = "btn btn-ghost touch w-full justify-start text-base font-normal";
  return (
    <Dialog open={open} onClose={onClose} title="Book" side>
      <nav aria-label="Book" className="flex flex-col">
        {listBookPages(date).map(({ path, title }) => (
          <button key={path} type="button" className={row} onClick={() => void go(path)}>
            {title}
          </button>
        ))}
      </nav>
      <DayListing current={date} onGo={(other) => void goToDay(other)} row={row} isOpen={open} />
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
