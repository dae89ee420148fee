import { NotReached } from "./callServer";
import fc from "fast-check";
import type { Piece } from "@/schemas/model";
import { findRecord } from "@/schemas/recordTable";
import { createBenchStore } from "./benchStore";
import type { Kept } from "./outbox";
import { createTestServer, NOW_ISO } from "./__tests__/testServer";

/**
 * The store against a model of what a baker may count on, over any sequence of what can happen between finger and
 * disk. The model is small: the last value typed here for each field, and whether somebody else's has been taken since.
 */
const MOON = "quince-half-moon";
const FIELDS = ["marginMm", "spares", "spacingMm"] as const;
type Field = (typeof FIELDS)[number];

type Command =
  | { readonly do: "edit"; readonly field: Field; readonly value: number }
  | { readonly do: "elsewhere"; readonly field: Field; readonly value: number }
  | { readonly do: "undo" | "redo" | "save" | "answer" | "reload" | "back" | "refresh" | "mine" | "theirs" }
  | { readonly do: "told"; readonly late: boolean }
  | { readonly do: "line"; readonly is: "good" | "slow" | "down" | "losing" };

const value = fc.integer({ min: 5, max: 9 });
const field = fc.constantFrom(...FIELDS);
const commands: fc.Arbitrary<Command> = fc.oneof(
  { weight: 6, arbitrary: fc.record({ do: fc.constant("edit" as const), field, value }) },
  { weight: 2, arbitrary: fc.record({ do: fc.constant("elsewhere" as const), field, value }) },
  {
    weight: 5,
    arbitrary: fc.record({
      do: fc.constantFrom("undo", "redo", "save", "answer", "reload", "back", "refresh", "mine", "theirs"),
    }),
  },
  { weight: 3, arbitrary: fc.record({ do: fc.constant("told" as const), late: fc.boolean() }) },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant("line" as const),
      is: fc.constantFrom("good", "slow", "down", "losing"),
    }),
  },
);

/** What seldom falls together by chance: another's change is told before the answer to one's own has come. */
const crossing: fc.Arbitrary<Command[]> = fc
  .tuple(field, value, field, value)
  .map(([mine, mineValue, theirs, theirValue]) => [
    { do: "line", is: "slow" },
    { do: "edit", field: mine, value: mineValue },
    { do: "save" },
    { do: "elsewhere", field: theirs, value: theirValue },
    { do: "told", late: false },
    { do: "answer" },
    { do: "line", is: "good" },
  ]);
const scripts = fc
  .array(
    fc.oneof(
      { weight: 12, arbitrary: commands.map((command) => [command]) },
      { weight: 1, arbitrary: crossing },
    ),
    { maxLength: 40 },
  )
  .map((parts) => parts.flat());

async function play(script: readonly Command[]) {
  const server = createTestServer();
  let line: "good" | "slow" | "down" | "losing" = "good";
  /** Answers that are on their way. */
  let underWay: (() => void)[] = [];
  const answerAll = () => {
    for (const arrive of underWay) arrive();
    underWay = [];
  };
  let kept: Kept | null = null;
  let nowMs = Date.parse(NOW_ISO);
  let ids = 0;
  const oldSnapshot = server.snapshot();
  let toldBefore = server.tell(1);
  const mount = () => {
    const found = kept;
    return createBenchStore({
      snapshot: server.snapshot(),
      send: async (groups) => {
        if (line === "down") throw new NotReached("down");
        const reply = server.take(groups);
        if (line === "losing") throw new NotReached("lost");
        if (line === "slow") await new Promise<void>((resolve) => underWay.push(resolve));
        return reply;
      },
      fetchSnapshot: async () => server.snapshot(),
      plan: () => {},
      fetchPlan: async () => null,
      canKeepHere: async () => true,
      atLeisure: () => {},
      outbox: {
        open: async () => ({ mine: found, left: [] }),
        keep: (next) => (kept = { ...next, date: "2026-11-28", pageId: "page", savedAtMs: ids }),
        keepNow: (next) => (kept = { ...next, date: "2026-11-28", pageId: "page", savedAtMs: ids }),
      },
      // Far enough apart that each edit is a step of its own.
      clock: () => new Date((nowMs += 1000)),
      createId: () => `id-${ids++}`,
    });
  };
  let store = mount();
  const piece = (): Piece => findRecord(store.getState().records, "piece", MOON)!;
  const stored = (): Piece => findRecord(server.read(), "piece", MOON)!;
  const first = stored();
  let others = 0;

  for (const command of script) {
    const state = store.getState();
    const before = { shown: piece(), stored: stored() };
    switch (command.do) {
      case "edit":
        state.edit([{ kind: "piece", id: MOON, record: { ...piece(), [command.field]: command.value } }]);
        // What is typed is on the screen at once, whatever the line.
        expect(piece()[command.field]).toBe(command.value);
        break;
      case "elsewhere": {
        const now = stored();
        if (now[command.field] === command.value) break;
        const change = {
          kind: "piece" as const,
          id: MOON,
          set: { [command.field]: command.value },
          was: { [command.field]: now[command.field] },
        };
        server.take([{ id: `other-${others++}`, changes: [change] }]);
        break;
      }
      case "undo":
      case "redo":
        state[command.do]();
        break;
      case "save":
        // A slow answer is not waited for: the baker goes on meanwhile.
        if (line === "slow" || underWay.length > 0) void state.flush();
        else await state.flush();
        break;
      case "answer":
        answerAll();
        break;
      case "refresh":
        await state.refresh();
        break;
      case "told": {
        const news = command.late ? toldBefore : server.tell(state.readMark().revision);
        toldBefore = server.tell(1);
        state.hear(news);
        await jest.advanceTimersByTimeAsync(0);
        // With nothing of one's own under way the screen is what the server has, without asking it again.
        const { save, conflict } = store.getState();
        if (!command.late && save.kind === "saved" && !conflict) expect(piece()).toEqual(before.stored);
        break;
      }
      case "back":
        // The router shows the page as it was when it was first opened.
        state.adopt(oldSnapshot);
        expect(piece()).toEqual(before.shown);
        break;
      case "reload": {
        state.keepNow();
        // Nobody hears what is answered to a page that is gone.
        underWay = [];
        const typed = piece();
        store = mount();
        void store.getState().start();
        await jest.advanceTimersByTimeAsync(0);
        // Nothing typed is lost: each field is as it was shown, or another tablet's value has come in.
        for (const name of FIELDS)
          if (piece()[name] !== typed[name]) expect(piece()[name]).toBe(stored()[name]);
        break;
      }
      case "mine":
      case "theirs": {
        const { conflict } = state;
        state.resolveConflict(command.do);
        if (conflict && command.do === "theirs" && conflict.theirs)
          for (const name of conflict.fields)
            expect(fieldOf(piece(), name)).toBe(fieldOf(conflict.theirs, name));
        if (conflict && command.do === "mine") expect(piece()).toEqual(before.shown);
        break;
      }
      case "line":
        line = command.is;
        break;
    }
    await jest.advanceTimersByTimeAsync(0);
    const { save, conflict } = store.getState();
    // "Saved" means the same here and there, but for what others have set since.
    if (save.kind === "saved" && command.do === "save") {
      expect(conflict).toBeNull();
      await store.getState().refresh();
      expect(piece()).toEqual(stored());
    }
  }

  // In the end the line is good and every question is answered: both sides are the same, nothing waits.
  line = "good";
  answerAll();
  await jest.advanceTimersByTimeAsync(0);
  if (!script.some((command) => command.do === "elsewhere" || command.do === "theirs")) {
    // Nobody else was there: every step is still to be undone, down to the first.
    expect(store.getState().conflict).toBeNull();
    for (let i = 0; i < 60; i++) store.getState().undo();
    for (const name of FIELDS) expect(piece()[name]).toBe(first[name]);
    for (let i = 0; i < 60; i++) store.getState().redo();
  }
  for (let i = 0; i < 50 && !(await store.getState().flush()); i++) store.getState().resolveConflict("mine");
  // What the line tells from then on is enough: no screen has to be opened anew to be right.
  store.getState().hear(server.tell(store.getState().readMark().revision));
  await jest.advanceTimersByTimeAsync(0);
  expect(piece()).toEqual(stored());
  await store.getState().refresh();
  expect(store.getState().save.kind).toBe("saved");
  expect(piece()).toEqual(stored());
  // And whatever is undone then never writes over what another tablet has set since it was last seen.
  const seen = stored();
  const [theirs] = FIELDS;
  server.take([
    {
      id: "last",
      changes: [{ kind: "piece", id: MOON, set: { [theirs]: 99 }, was: { [theirs]: seen[theirs] } }],
    },
  ]);
  await store.getState().refresh();
  for (let i = 0; i < 30; i++) store.getState().undo();
  await store.getState().flush();
  expect(store.getState().conflict).toBeNull();
  expect(stored()[theirs]).toBe(99);
}

const fieldOf = (record: object, name: string): unknown => (record as Record<string, unknown>)[name];

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test("nothing typed is lost and nothing of others is overwritten unasked, whatever happens in whatever order", async () => {
  await fc.assert(fc.asyncProperty(scripts, play), { numRuns: 300, seed: 11 });
}, 120_000);

test("where nobody else is, every step can be undone to the first and nothing is asked", async () => {
  const alone = commands.filter((command) => !["elsewhere", "theirs", "mine"].includes(command.do));
  await fc.assert(fc.asyncProperty(fc.array(alone, { maxLength: 15 }), play), { numRuns: 500, seed: 12 });
}, 120_000);
