"use client";

import { useRouter } from "next/navigation";
import type { HabitKindId } from "@/core/habits";
import { formatCount } from "@/core/units";
import { Link } from "../controls/Link";
import type { ToldHabit } from "./toldHabit";
import { LookBackHeader } from "../days/LookBackHeader";
import { tellFigure } from "../taught/tellFigure";
import { Scores, type KindScore } from "../taught/Scores";
import { BringLog } from "./BringLog";
import { HabitTrend, type TrendFigure } from "./HabitTrend";
import { LotList } from "./LotList";
import { SetHabit } from "./SetHabit";

interface Props {
  readonly habits: readonly ToldHabit[];
  readonly scores: readonly KindScore[];
  readonly chosen: {
    readonly habit: ToldHabit;
    readonly kind: HabitKindId;
    readonly figures: readonly TrendFigure[];
    /** Days that have a record to look at. */
    readonly runDates: readonly string[];
  } | null;
}

/** What is known of hands, doughs and ovens; the one chosen with its trend, and whether its log counts. */
export function HabitsPage({ habits, scores, chosen }: Props) {
  const router = useRouter();
  const groups = [...new Set(habits.map(({ what }) => what))];
  return (
    <main className="board min-h-dvh p-4 sm:p-7">
      <LookBackHeader title="Habits" other={{ href: "/days", name: "Days" }} api="/api/v1/habits" />
      {chosen === null ? (
        <p className="mt-4 max-w-prose text-lg">
          Nothing is known yet but what the craft says. Run a day, or log what a rolling gave: from the first
          lot on plans learn from it.
        </p>
      ) : (
        <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-8 lg:grid-cols-[24rem_minmax(0,1fr)]">
          <nav
            aria-label="All habits"
            className="order-last lg:order-none lg:max-h-[78dvh] lg:overflow-y-auto"
          >
            {groups.map((what) => (
              <section key={what} className="mb-4">
                <h2 className="quiet text-base">{what}</h2>
                <ul>
                  {habits
                    .filter((habit) => habit.what === what)
                    .map(({ habit, name, scale, known, word }) => (
                      <li key={habit}>
                        <Link
                          href={`/habits?of=${encodeURIComponent(habit)}`}
                          aria-current={habit === chosen.habit.habit ? "true" : undefined}
                          className="touch flex items-center gap-3 border-l-4 border-transparent px-2 aria-[current]:border-primary aria-[current]:bg-base-200"
                        >
                          <span className="min-w-0 flex-1">
                            {name}
                            <span className="quiet block text-sm">
                              {word ? "set by hand" : formatCount(known.lots, "lot")}
                            </span>
                          </span>
                          <span className="figure text-xl">{tellFigure(known.mean, scale)}</span>
                        </Link>
                      </li>
                    ))}
                </ul>
              </section>
            ))}
          </nav>
          <div className="flex flex-col gap-6">
            <section aria-label={`${chosen.habit.name}, ${chosen.habit.what}`}>
              <h2 className="text-2xl">{chosen.habit.name}</h2>
              <p className="quiet">{chosen.habit.what}</p>
              <p className="text-lg">
                likely{" "}
                <span className="figure text-4xl">
                  {tellFigure(chosen.habit.known.mean, chosen.habit.scale)}
                </span>
                , the next lot nine times in ten {tellFigure(chosen.habit.known.nextLow, chosen.habit.scale)}{" "}
                to {tellFigure(chosen.habit.known.nextHigh, chosen.habit.scale)}
              </p>
              <HabitTrend habit={chosen.habit} figures={chosen.figures} runDates={chosen.runDates} />
            </section>
            <LotList
              key={`lots ${chosen.habit.habit}`}
              habit={chosen.habit}
              figures={chosen.figures}
              onTurned={() => router.refresh()}
            />
            <SetHabit key={chosen.habit.habit} habit={chosen.habit} onSet={() => router.refresh()} />
            <Scores scores={scores} />
            <BringLog onBrought={() => router.refresh()} />
          </div>
        </div>
      )}
      {chosen === null && <BringLog onBrought={() => router.refresh()} />}
    </main>
  );
}
