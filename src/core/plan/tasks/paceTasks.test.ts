import { checkDay, NO_PAST, planDay, type PastLog } from "..";
import { knowByCraft, learnDays, type HabitId } from "../../habits";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { paceTasks, toJobFactor, toJobHabit } from "./paceTasks";

const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const dough = "bay-shortcrust";
/** A log in which each habit came out so, for sixty days. */
const logOf = (shares: Readonly<Partial<Record<HabitId, number>>>): PastLog => ({
  ...NO_PAST,
  habits: Object.fromEntries(
    (Object.entries(shares) as [HabitId, number][]).map(([id, share]) => [
      id,
      learnDays(
        knowByCraft(id),
        Array.from({ length: 60 }, () => [Math.log(share)]),
      ),
    ]),
  ),
});
const plan = (past: PastLog) => planDay({ ...book, past });
const minutesOf = (past: PastLog) =>
  new Map(plan(past).tasks.map(({ id, placed }) => [id, placed.endMin - placed.startMin]));
const plain = plan(NO_PAST);

test("a slow pin rolls longer by as much, whole minutes, and nothing else does", () => {
  const past = logOf({ "hands:roll": 1.4 });
  const factor = toJobFactor(past.habits["hands:roll"]!.mean);
  expect(factor).toBeCloseTo(1.4, 1);
  const [slow, even] = [minutesOf(past), minutesOf(NO_PAST)];
  for (const { id, kind } of plain.tasks) {
    const minutes = even.get(id)!;
    expect(slow.get(id)).toBe(kind === "roll" ? Math.max(Math.round(minutes * factor), 1) : minutes);
  }
  expect(checkDay(plan(past))).toEqual([]);
});

test("a dough takes its own minutes to mix: another's are as they were", () => {
  const slow = minutesOf(logOf({ [`hands:mix:${dough}`]: 2 }));
  for (const { id, kind, formulaId } of plain.tasks.filter((task) => task.kind === "mix")) {
    const even = minutesOf(NO_PAST).get(id)!;
    expect([kind, slow.get(id)! > even]).toEqual(["mix", formulaId === dough]);
  }
});

test("what is filled, closed, heated or done in a moment has no habit of this kind; without a log nothing is touched", () => {
  const habitOf = (kind: Parameters<typeof toJobHabit>[0]["kind"], formulaId: string | null = null) =>
    toJobHabit({ kind, formulaId });
  expect((["fill", "seal", "bake", "fry", "takeOut"] as const).map((kind) => habitOf(kind))).toEqual(
    Array.from({ length: 5 }, () => null),
  );
  expect([habitOf("mix", "crust"), habitOf("mix"), habitOf("roll", "crust")]).toEqual([
    "hands:mix:crust",
    null,
    "hands:roll",
  ]);
  expect([toJobFactor(0.005), toJobFactor(-0.005)]).toEqual([1, 1]);
  const drafts: Parameters<typeof paceTasks>[0] = [];
  expect(paceTasks(drafts, logOf({ "hands:roll": 3 }))).toEqual([]);
});
