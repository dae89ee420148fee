import type { Schedule } from "../../schedule";
import { draft, handTask, wait, type DraftTask } from "../tasks/draftTask";
import { sayProblem } from "../problem/problem";
import { findLateness } from "./lateness";

const none: Schedule = {
  placed: [],
  heaterStarts: [],
  startMin: 0,
  endMin: 0,
  late: [],
  brokenWaits: [],
  overfull: [],
  cost: { brokenMin: 0, latenessMin: 0, dayMin: 0, idleHeatMin: 0 },
};
const seal = (after: DraftTask) =>
  handTask("seal", "seal:a:1", 5, [wait(after.id, 0, 4)], { pieceId: "a", label: "Close A, load 1 of 2" });
const broken = (before: DraftTask, overMin = 12) =>
  findLateness(
    { ...none, brokenWaits: [{ taskId: "seal:a:1", afterTaskId: before.id, overMin }] },
    [before, seal(before)],
    240,
  );

test.each<[DraftTask["kind"], RegExp]>([
  ["sugar", /sugared 12 min too long and draws juice\. Sugar it later/],
  ["warm", /heated for it stands 12 min too long .* Heat it later/],
  ["make", /“Before” has been kept hot 12 min too long\. Keep it hot longer, or warm it again/],
  ["roll", /blanks of “Before” wait 12 min longer than this dough .* Chill them covered/],
  ["fill", /waits 12 min longer after “Before” than its way allows\. Allow it more/],
])("a wait after %s that is too long says what waited, by how much, and what to do", (kind, words) => {
  const before = handTask(kind, "before", 3, [], { pieceId: "a", label: "Before" });
  const [problem, ...more] = broken(before);
  expect(more).toEqual([]);
  expect(problem).toMatchObject({ code: "longWait", station: "fill", pieceId: "a", stops: false });
  expect(sayProblem(problem!)).toMatch(words);
  expect(problem!.numbers).toEqual({ overMin: 12 });
  expect(problem!.message).toMatch(/^Close A, load 1 of 2: /);
});

test("a promise that is missed says when it is ready, how late that is, and the two ways out", () => {
  const bake = draft("bake", { pieceId: "a", label: "Bake A" }, 0, {
    id: "bake:a:1",
    modes: [{ durationMin: 30, uses: [], heat: null }],
    after: [],
    dueMin: 540,
  });
  const late = [{ taskId: "bake:a:1", dueMin: 540, lateMin: 75 }];
  expect(findLateness({ ...none, late }, [bake], 240)).toEqual([
    {
      code: "late",
      station: "bake",
      pieceId: "a",
      stops: false,
      aboutId: null,
      numbers: { dueMin: 540, lateMin: 75, openMin: 240 },
      message: "Bake A: ready 10:15, 1 h 15 after the promise of 09:00.",
      remedy: "Open 1 h 15 before 04:00, or move the promise.",
    },
  ]);
  expect(findLateness(none, [bake], 240)).toEqual([]);
});
