import type { TaughtHabit } from "@/core/run";
import { formatCount } from "@/core/units";
import { HabitStrip } from "./HabitStrip";
import { tellFigure } from "./tellFigure";

interface Props {
  readonly habit: TaughtHabit;
  /** Why it is left out; null where it is learned from. */
  readonly leftOut: string | null;
  /** Leaves it out, or takes it in again; null where there is no lot to leave out. */
  readonly onTurn: (() => void) | null;
}

/** One habit: what it was, what came, what is expected from now on; and whether the day counts for it. */
export function HabitRow({ habit, leftOut, onTurn }: Props) {
  const { name, what, scale, before, after, points } = habit;
  const told = (value: number) => tellFigure(value, scale);
  const far = leftOut === null ? points.filter(({ isFar }) => isFar) : [];
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 py-2.5">
      <span className="w-48 shrink-0">
        <strong className="block text-lg leading-snug">{name}</strong>
        <span className="quiet text-sm">
          {what}, {formatCount(points.length, "lot")}
        </span>
      </span>
      <HabitStrip habit={habit} />
      <span className="min-w-44 flex-1">
        {leftOut !== null ? (
          <>
            <span className="block text-lg">nothing is learned from it</span>
            <span className="quiet text-sm">{leftOut || "no reason was given"}</span>
          </>
        ) : (
          <>
            <span className="block text-lg">
              likely <span className="figure text-2xl">{told(after.mean)}</span>, was {told(before.mean)}
            </span>
            <span className="quiet text-sm">
              nine in ten {told(after.nextLow)} to {told(after.nextHigh)}
            </span>
            {far.length > 0 && (
              <strong className="block text-sm text-error">
                {far.map(({ value }) => told(value)).join(", ")}: far from all before. A slip or a mishap?
                Leave it out.
              </strong>
            )}
          </>
        )}
      </span>
      {onTurn && (
        <button
          type="button"
          className={`btn touch w-24 ${leftOut === null ? "btn-primary" : ""}`}
          aria-label={
            leftOut === null
              ? `${name}, ${what}: taken. Leave it out`
              : `${name}, ${what}: left out. Take it in`
          }
          onClick={onTurn}
        >
          {leftOut === null ? "taken" : "left out"}
        </button>
      )}
    </li>
  );
}
