import { validateRun, validateRunEvent } from "./runEvents";

const told = { id: "e1", atMin: 500.5, person: 0, deviceId: "wall" };
const happens = (event: object) => ({ ...told, ...event });
const faultsOf = (value: unknown) => {
  const checked = validateRunEvent(value);
  return checked.ok ? [] : checked.failure.map(({ path, message }) => `${path}: ${message}`);
};

test.each([
  { kind: "begun", taskId: "a" },
  { kind: "done", taskId: "a" },
  { kind: "done", taskId: "a", part: "s3" },
  { kind: "more", taskId: "a", minutes: 5 },
  { kind: "wrong", taskId: "a", mishap: "torn", count: 2, word: "" },
  { kind: "measured", taskId: null, measure: "roomC", value: 24.5 },
  { kind: "measured", taskId: "a", measure: "massG", value: 100_000 },
  { kind: "poured", taskId: "a", massG: 180 },
  { kind: "moved", taskId: "a" },
  { kind: "wrong", taskId: "a", mishap: "dropped", count: 2, word: "", isLost: true },
  { kind: "measured", taskId: "a", measure: "cutCount", value: 14, part: "moon:base" },
  { kind: "ranOut", taskId: "a", formulaId: "plum", made: 31 },
  { kind: "ordered", placed: [{ taskId: "a", startMin: 510, mode: 0 }] },
  { kind: "helped", minutes: 60 },
  { kind: "told", taskId: "a", dueMin: 610 },
  { kind: "note", taskId: null, word: "snow" },
  { kind: "sold", pieceId: "moon", count: 0 },
  { kind: "left", larderKind: "dough", refId: "crust", massG: 430, count: 0, useBy: "2026-12-01" },
  { kind: "left", larderKind: "blanks", refId: "moon", massG: 0, count: 12, useBy: "2026-11-29" },
  { kind: "closed" },
  { kind: "leftOut", taskId: "a", word: "the freezer was off" },
  { kind: "leftOut", taskId: null, word: "" },
  { kind: "undone", eventId: "e0" },
])("an event of its kind is taken as it is: %o", (event) => {
  expect(validateRunEvent(happens(event))).toEqual({ ok: true, value: happens(event) });
});

test.each([
  [{ kind: "sung", taskId: "a" }, "An event is begun, done"],
  [{ kind: "begun" }, "taskId"],
  [{ kind: "begun", taskId: "a", extra: 1 }, "extra"],
  [{ kind: "begun", taskId: "a", atMin: 20_161 }, "1 min too much"],
  [{ kind: "begun", taskId: "a", atMin: "500" }, "atMin"],
  [{ kind: "begun", taskId: "a", person: 2 }, "person"],
  [{ kind: "more", taskId: "a", minutes: 0 }, "1 min too little"],
  [{ kind: "wrong", taskId: "a", mishap: "torn", count: 2.5, word: "" }, "whole"],
  [{ kind: "wrong", taskId: "a", mishap: "sad", count: 1, word: "" }, "mishap"],
  [{ kind: "measured", taskId: null, measure: "roomC", value: 900 }, "840 °C too much"],
  [{ kind: "measured", taskId: null, measure: "coreC", value: -273 }, "233 °C too little"],
  [{ kind: "note", taskId: null, word: "x".repeat(501) }, "word"],
  [{ kind: "ranOut", taskId: "a", formulaId: "plum", made: -1 }, "too little"],
  [{ kind: "ranOut", taskId: "a", made: 3 }, "formulaId"],
  [{ kind: "sold", pieceId: "moon", count: -1 }, "1 too little"],
  [{ kind: "sold", pieceId: "moon", count: 2.5 }, "whole"],
  [{ kind: "sold", count: 3 }, "pieceId"],
  [{ kind: "left", larderKind: "soup", refId: "a", massG: 1, count: 0, useBy: "2026-12-01" }, "larderKind"],
  [
    { kind: "left", larderKind: "dough", refId: "a", massG: -1, count: 0, useBy: "2026-12-01" },
    "1 g too little",
  ],
  [{ kind: "left", larderKind: "dough", refId: "a", massG: 1, count: 0, useBy: "2026-02-30" }, "is no date"],
  [{ kind: "closed", taskId: "a" }, "taskId"],
  [{ kind: "leftOut", taskId: "a" }, "word"],
  [{ kind: "leftOut", taskId: "a", word: "x".repeat(501) }, "word"],
  [{ kind: "helped", minutes: 601 }, "1 min too much"],
  [
    {
      kind: "ordered",
      placed: [
        { taskId: "a", startMin: 510, mode: 0 },
        { taskId: "a", startMin: 511, mode: 0 },
      ],
    },
    "placed.1",
  ],
])("what breaks a rule is refused with where and by how much: %o", (event, said) => {
  expect(faultsOf(happens(event)).join("\n")).toContain(said);
});

test.each([null, 7, "begun", [], {}])("what is no event at all is refused: %p", (value) => {
  expect(faultsOf(value).length).toBeGreaterThan(0);
});

describe("a running day by itself", () => {
  const problem = {
    openMin: 480,
    resources: [{ id: "hands", isHands: true }],
    tasks: [
      { id: "a", modes: [{ durationMin: 20, uses: [{ resourceId: "hands", fromMin: 0, toMin: 20 }] }] },
      { id: "b", after: [{ taskId: "a" }], modes: [{ durationMin: 5, uses: [] }] },
    ],
  };
  const placed = [
    { taskId: "a", startMin: 480, mode: 0 },
    { taskId: "b", startMin: 500, mode: 0 },
  ];
  const document = { problem, placed, events: [happens({ kind: "begun", taskId: "a" })], nowMin: 501 };
  const faults = (over: object) => {
    const checked = validateRun({ ...document, ...over });
    return checked.ok ? [] : checked.failure.map(({ path, message }) => `${path}: ${message}`);
  };

  test("is taken whole, everyone’s jobs unless it says whose", () => {
    const checked = validateRun(document);
    expect(checked).toMatchObject({ ok: true, value: { person: null, nowMin: 501, plan: { placed } } });
  });

  test.each([
    [{ placed: placed.slice(1) }, "The task “a” has no place."],
    [{ placed: [...placed, { taskId: "x", startMin: 0, mode: 0 }] }, "There is no task “x”."],
    [{ placed: [placed[0], { ...placed[1], mode: 1 }] }, "b has 1 ways, counted from 0: 1 is none."],
    [{ placed: [placed[0], placed[0]] }, "placed.1"],
    [{ events: [happens({ kind: "done", taskId: "x" })] }, "events.0.taskId: There is no task “x”."],
    [{ problem: { ...problem, resources: [] } }, "problem.resources"],
    [{ nowMin: null }, "nowMin"],
  ])("is refused where its parts do not fit: %#", (over, said) => {
    expect(faults(over).join("\n")).toContain(said);
  });
});

test("an event that is right but for its kind is none", () => {
  const happened = { id: "e1", taskId: "roll", atMin: 481, person: 0, deviceId: "wall" };
  expect(validateRunEvent({ ...happened, kind: "begun" }).ok).toBe(true);
  expect(validateRunEvent(happened).ok).toBe(false);
});
