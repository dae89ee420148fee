import { checkDay, planDay, sayProblem, type DayPlan } from ".";
import { listDemoRecords } from "@/demo";
import { pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";

/**
 * The whole demo world as it is planned today. A plan that changes without being meant to is found here; one that is
 * meant to is told in the commit that renews the snapshot (`jest -u`).
 */
const records = listDemoRecords();
const dates = pickRecords(records, "day").map(({ date }) => date);

/** What a baker would notice: masses, counts, minutes, words. */
const summarise = ({
  tally,
  lines,
  cuts,
  doughs,
  fillings,
  tasks,
  problems,
  leftovers,
  larderUses,
}: DayPlan) => ({
  tally: round(tally),
  lines: lines.map(({ piece, fillingG, doughG, readyMin, counts: { made } }) =>
    round({ id: piece.id, made, fillingG, doughG, readyMin }),
  ),
  cuts: cuts.map(({ id, aim, plan }) =>
    round({ id, aim, sheets: plan.sheets.map(({ count }) => count), trimG: plan.trimLeftG }),
  ),
  batches: [...doughs, ...fillings].map(({ formula, neededG, fromLarderG, batch, overG, liquidAim }) =>
    round({
      ...{ id: formula.id, neededG, fromLarderG, mixG: batch?.usableG ?? 0, overG },
      tookLastG: liquidAim?.massG ?? null,
    }),
  ),
  tasks: tasks.map(({ id, person, placed }) => `${id} ${placed.startMin}-${placed.endMin} by ${person}`),
  problems: problems.map((problem) => `${problem.station}: ${sayProblem(problem)}`),
  leftovers: leftovers.map(({ label, massG, count }) => round({ label, massG, count })),
  larderUses: larderUses.map(({ item, massG, count }) => round({ id: item.id, massG, count })),
});

/** To a hundredth: what differs beyond is another machine's arithmetic. */
const round = <T>(figures: T): T =>
  JSON.parse(
    JSON.stringify(figures, (_, value) =>
      typeof value === "number" ? Math.round(value * 100) / 100 : value,
    ),
  ) as T;

test.each(dates)("%s is planned as before", (date) => {
  const book = toDayBook(records, date, null);
  expect(book).not.toBeNull();
  const plan = planDay(book!);
  expect(checkDay(plan)).toEqual([]);
  expect(summarise(plan)).toMatchSnapshot();
});

test("a day half gone is planned from now on as before", () => {
  expect(summarise(planDay(toDayBook(records, dates[0]!, 9 * 60)!))).toMatchSnapshot();
});
