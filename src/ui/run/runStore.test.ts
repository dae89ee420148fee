import fc from "fast-check";
import { type RunEvent, type RunSheet, foldRun } from "@/core/run";
import type { RunAnswer } from "@/workers/createRunClient";
import type { EventBox, KeptDay } from "./eventBox";
import { NotReached } from "../bench/callServer";
import { createRunStore, type RunServer, type RunStoreInput } from "./runStore";

const sheet = {
  date: "2026-11-28",
  jobs: [{ taskId: "theirs", person: 1 }],
  pieces: [],
} as unknown as RunSheet;

/** A server with a disk; it may be gone, or lose its answer after it has written. */
function createServer() {
  const disk: RunEvent[] = [];
  const server = {
    mood: "well" as "well" | "gone" | "losing",
    refuses: ((): boolean => false) as (event: RunEvent) => boolean,
    disk,
  };
  const reach = () =>
    server.mood === "gone" ? Promise.reject(new NotReached("no server")) : Promise.resolve();
  const calls: RunServer = {
    changePiece: () =>
      server.mood === "gone" ? Promise.reject(new NotReached("no server")) : Promise.resolve(null),
    fetchSheet: async () => {
      await reach();
      return sheet;
    },
    fetchEvents: async (after) => {
      await reach();
      return { events: disk.slice(after), seq: disk.length, edition: 1 };
    },
    async send(events) {
      await reach();
      const good = events.filter((event) => !server.refuses(event));
      for (const event of good) if (!disk.some(({ id }) => id === event.id)) disk.push(event);
      if (server.mood === "losing") throw new NotReached("the answer was lost");
      return {
        kept: good.map(({ id }) => id),
        refused: events
          .filter(server.refuses)
          .map(({ id }) => ({ id, faults: [{ message: "10001 is 1 too many" }] })),
      };
    },
  };
  return { server, calls };
}

function createBox(): EventBox & { readonly held: Map<string, RunEvent> } {
  const held = new Map<string, RunEvent>();
  let day: KeptDay | null = null;
  return {
    held,
    keepDay: (heard) => {
      day = heard;
      return Promise.resolve();
    },
    readDay: () => Promise.resolve(day),
    list: () => Promise.resolve([...held.values()]),
    put: (events) => {
      events.forEach((event) => held.set(event.id, event));
      return Promise.resolve();
    },
    drop: (ids) => {
      ids.forEach((id) => held.delete(id));
      return Promise.resolve();
    },
  };
}

let taps = 0;
/** A tablet; loaded again it has its box and nothing else. */
function openTablet(calls: RunServer, box: EventBox, deviceId: string, more: Partial<RunStoreInput> = {}) {
  return createRunStore({
    date: sheet.date,
    server: calls,
    box,
    deviceId,
    createId: () => `tap${taps++}`,
    nowMin: () => 400 + taps / 10,
    canKeepHere: () => Promise.resolve(true),
    mend: () => Promise.resolve([]),
    ask: ({ events }) => {
      const { tasks, counted, lastId } = foldRun(events);
      return Promise.resolve({ tasks, counted, lastId, moved: null } as unknown as RunAnswer);
    },
    ...more,
  });
}
const settle = async () => {
  for (let i = 0; i < 30; i++) await Promise.resolve();
};
const done = (taskId: string) => ({ kind: "done", taskId }) as const;

test("a tap is shown at once, kept on the device, and gone from it when the server has it", async () => {
  const { server, calls } = createServer();
  const box = createBox();
  const tablet = openTablet(calls, box, "wall");
  await tablet.getState().start();
  expect(tablet.getState()).toMatchObject({ phase: "running", waiting: 0 });
  server.mood = "gone";
  tablet.getState().happen(done("a"), { kind: "begun", taskId: "b" });
  await settle();
  expect(tablet.getState()).toMatchObject({ waiting: 2, isLinked: false });
  expect(Object.keys(tablet.getState().answer!.tasks)).toEqual(["a", "b"]);
  expect(box.held.size).toBe(2);
  server.mood = "well";
  await tablet.getState().tick();
  await settle();
  expect(tablet.getState()).toMatchObject({ waiting: 0, isLinked: true });
  expect([box.held.size, server.disk.length]).toEqual([0, 2]);
});

test("loaded again without the server it goes on with what it heard and what it holds, and catches up", async () => {
  const { server, calls } = createServer();
  const box = createBox();
  const tablet = openTablet(calls, box, "wall");
  await tablet.getState().start();
  tablet.getState().happen(done("a"));
  await settle();
  await tablet.getState().tick();
  server.mood = "gone";
  tablet.getState().happen(done("b"));
  await settle();
  const again = openTablet(calls, box, "wall");
  await again.getState().start();
  await settle();
  expect(again.getState()).toMatchObject({ phase: "running", isLinked: false, waiting: 1, sheet });
  expect(Object.keys(again.getState().answer!.tasks)).toEqual(["a", "b"]);
  again.getState().happen(done("c"));
  await settle();
  server.mood = "well";
  await again.getState().tick();
  await settle();
  expect(again.getState()).toMatchObject({ waiting: 0, isLinked: true });
  expect(server.disk.map((event) => "taskId" in event && event.taskId)).toEqual(["a", "b", "c"]);
  // A device that never heard of the day waits for the server.
  server.mood = "gone";
  const fresh = openTablet(calls, createBox(), "other");
  await fresh.getState().start();
  expect(fresh.getState().phase).toBe("failed");
});

test("undo takes back the whole tap, and undo again the tap before it", async () => {
  const { server, calls } = createServer();
  const tablet = openTablet(calls, createBox(), "wall");
  await tablet.getState().start();
  tablet.getState().happen(done("a"));
  await settle();
  tablet.getState().happen(done("b"), { kind: "begun", taskId: "c" });
  await settle();
  tablet.getState().undo();
  await settle();
  expect(Object.keys(tablet.getState().answer!.tasks)).toEqual(["a"]);
  tablet.getState().undo();
  await settle();
  expect(tablet.getState().answer!.tasks).toEqual({});
  tablet.getState().undo();
  await settle();
  expect(server.disk).toHaveLength(6);
});

test("undo before the worker has answered takes back the last tap, not the one that the worker knows of", async () => {
  const { server, calls } = createServer();
  let release: () => void = () => {};
  const slow = new Promise<void>((resolve) => (release = resolve));
  let asked = 0;
  const tablet = openTablet(calls, createBox(), "wall", {
    ask: async ({ events }) => {
      if (asked++ > 0) await slow;
      const { tasks, counted, lastId } = foldRun(events);
      return { tasks, counted, lastId, moved: null } as unknown as RunAnswer;
    },
  });
  await tablet.getState().start();
  tablet.getState().happen(done("a"));
  tablet.getState().happen(done("b"));
  expect(tablet.getState().undoable).toMatchObject({ taskId: "b" });
  tablet.getState().undo();
  expect(tablet.getState().undoable).toMatchObject({ taskId: "a" });
  release();
  await settle();
  expect(Object.keys(foldRun(server.disk).tasks)).toEqual(["a"]);
  tablet.getState().undo();
  expect(tablet.getState().undoable).toBeNull();
  const told = tablet.getState().listWaiting().length + server.disk.length;
  tablet.getState().undo();
  await settle();
  expect(server.disk).toHaveLength(told);
});

test("a fault of ours is no missing network: it is said, not sent for ever, and tried again when asked", async () => {
  const { server, calls } = createServer();
  let sends = 0;
  let isIll = true;
  const ill: RunServer = {
    ...calls,
    send: (events) => {
      sends++;
      return isIll ? Promise.reject(new TypeError("undefined is not a list")) : calls.send(events);
    },
  };
  const tablet = openTablet(ill, createBox(), "wall");
  await tablet.getState().start();
  tablet.getState().happen(done("a"));
  await settle();
  expect(tablet.getState()).toMatchObject({ isLinked: true, waiting: 1, fault: "undefined is not a list" });
  for (let i = 0; i < 5; i++) await tablet.getState().tick();
  expect(sends).toBe(1);
  expect(tablet.getState().listWaiting()).toHaveLength(1);
  isIll = false;
  await tablet.getState().tryAgain();
  await settle();
  expect(tablet.getState()).toMatchObject({ fault: null, waiting: 0 });
  expect(server.disk).toHaveLength(1);
});

test("a log that is behind is said until it follows; a device that keeps nothing says so", async () => {
  const { calls } = createServer();
  let logBehind: string | null = "refused";
  const tablet = openTablet(
    {
      ...calls,
      send: async (events) => ({ ...(await calls.send(events)), logBehind }),
      fetchEvents: async (after) => {
        const page = await calls.fetchEvents(after);
        return page && { ...page, isLogBehind: logBehind !== null };
      },
    },
    createBox(),
    "wall",
    { canKeepHere: () => Promise.resolve(false) },
  );
  await tablet.getState().start();
  tablet.getState().happen({ kind: "closed" });
  await settle();
  expect(tablet.getState()).toMatchObject({ isLogBehind: true, isKeptHere: false });
  logBehind = null;
  await tablet.getState().tick();
  expect(tablet.getState().isLogBehind).toBe(false);
});

test("on a screen for both a job is told of the hands that have it; a long wait goes out in parts", async () => {
  const { server, calls } = createServer();
  const sizes: number[] = [];
  const counting = {
    ...calls,
    send: (events: readonly RunEvent[]) => {
      sizes.push(events.length);
      return calls.send(events);
    },
  };
  const tablet = openTablet(counting, createBox(), "wall");
  await tablet.getState().start();
  tablet.getState().happen(done("theirs"), done("ours"));
  tablet.getState().setWhose("helper");
  tablet.getState().happen(done("ours too"));
  await settle();
  expect(server.disk.map(({ person }) => person)).toEqual([1, 0, 1]);
  server.mood = "gone";
  for (let i = 0; i < 450; i++) tablet.getState().happen(done(`job ${i}`));
  await settle();
  server.mood = "well";
  sizes.length = 0;
  await tablet.getState().tick();
  await settle();
  expect(sizes).toEqual([200, 200, 50]);
  expect(server.disk).toHaveLength(453);
});

test("what the server refuses is said and shown no more; the rest of the tap stays", async () => {
  const { server, calls } = createServer();
  const tablet = openTablet(calls, createBox(), "wall");
  await tablet.getState().start();
  server.refuses = (event) => event.kind === "wrong";
  tablet
    .getState()
    .happen(done("a"), { kind: "wrong", taskId: "a", mishap: "torn", count: 10_001, word: "" });
  await settle();
  expect(tablet.getState()).toMatchObject({ waiting: 0, notice: "Not kept: 10001 is 1 too many" });
  expect(tablet.getState().answer!.tasks.a).toMatchObject({ mishaps: [] });
  expect(server.disk).toHaveLength(1);
});

test("a day that is not run says so; a server that is gone at the start is asked again", async () => {
  const { server, calls } = createServer();
  const none = openTablet({ ...calls, fetchEvents: () => Promise.resolve(null) }, createBox(), "wall");
  await none.getState().start();
  expect(none.getState().phase).toBe("notRun");
  server.mood = "gone";
  const tablet = openTablet(calls, createBox(), "wall");
  await tablet.getState().start();
  expect(tablet.getState().phase).toBe("failed");
  server.mood = "well";
  await tablet.getState().tick();
  expect(tablet.getState().phase).toBe("running");
});

type Move =
  | { readonly do: "tap" | "undo" | "tick" | "reload"; readonly at: number }
  | { readonly do: "mood"; readonly mood: "well" | "gone" | "losing" };
const moves: fc.Arbitrary<Move> = fc.oneof(
  fc.record({
    do: fc.constantFrom("tap" as const, "undo" as const, "tick" as const, "reload" as const),
    at: fc.nat(1),
  }),
  fc.record({
    do: fc.constant("mood" as const),
    mood: fc.constantFrom("well" as const, "gone" as const, "losing" as const),
  }),
);

test("two tablets, whatever happens to server, answers and pages: nothing told is lost, and both come to the same day", async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(moves, { maxLength: 30 }), async (script) => {
      const { server, calls } = createServer();
      const boxes = [createBox(), createBox()];
      const tablets = boxes.map((box, i) => openTablet(calls, box, `tablet ${i}`));
      for (const tablet of tablets) await tablet.getState().start();
      const told = new Set<string>();
      let jobs = 0;
      for (const move of script) {
        if (move.do === "mood") server.mood = move.mood;
        else {
          const tablet = tablets[move.at]!;
          if (move.do === "tap") {
            const taskId = `job ${jobs++}`;
            tablet.getState().happen(done(taskId));
            told.add(taskId);
          } else if (move.do === "undo") tablet.getState().undo();
          else if (move.do === "tick") await tablet.getState().tick();
          else {
            tablets[move.at] = openTablet(calls, boxes[move.at]!, `tablet ${move.at}`);
            await tablets[move.at]!.getState().start();
          }
        }
        await settle();
      }
      server.mood = "well";
      for (let round = 0; round < 2; round++)
        for (const tablet of tablets) {
          await tablet.getState().tick();
          await settle();
        }
      const [one, other] = tablets.map((tablet) => tablet.getState());
      expect([one!.waiting, other!.waiting]).toEqual([0, 0]);
      expect(one!.answer!.tasks).toEqual(other!.answer!.tasks);
      // Every tap is on the disk, once, whether it was taken back later or not.
      const kept = server.disk.flatMap((event) => (event.kind === "done" ? [event.taskId] : []));
      expect(new Set(kept)).toEqual(told);
      expect(kept).toHaveLength(told.size);
      expect(foldRun(server.disk).tasks).toEqual(one!.answer!.tasks);
    }),
    { numRuns: 150 },
  );
});
