import { createLatestClient } from "./createLatestClient";

/** Stands in for a browser's worker: only what the client touches. */
class StandInWorker {
  onerror: ((event: { message: string }) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  ended = false;
  addEventListener() {}
  removeEventListener() {}
  postMessage() {}
  terminate() {
    this.ended = true;
  }
}

function open() {
  const workers: StandInWorker[] = [];
  const calls: { input: number; answer: (output: string) => void; fail: (error: Error) => void }[] = [];
  const client = createLatestClient<object, number, string>(
    () => {
      const worker = new StandInWorker();
      workers.push(worker);
      return worker as unknown as Worker;
    },
    () => (input) => new Promise((answer, fail) => calls.push({ input, answer, fail })),
  );
  return { workers, calls, client };
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 0));

test("one call runs at a time; of those waiting only the newest is computed, the others give null", async () => {
  const { calls, client } = open();
  const answers = [1, 2, 3, 4].map((input) => client.run(input));
  expect(calls.map(({ input }) => input)).toEqual([1]);
  calls[0]!.answer("one");
  await settle();
  expect(calls.map(({ input }) => input)).toEqual([1, 4]);
  calls[1]!.answer("four");
  expect(await Promise.all(answers)).toEqual(["one", null, null, "four"]);
});

test("a call that fails is told so, and the one waiting is still made", async () => {
  const { calls, client } = open();
  const [first, second] = [client.run(1), client.run(2)];
  calls[0]!.fail(new Error("cannot"));
  await expect(first).rejects.toThrow("cannot");
  await settle();
  calls[1]!.answer("two");
  expect(await second).toBe("two");
});

test.each([
  ["crashes", (worker: StandInWorker) => worker.onerror?.({ message: "out of memory" }), "out of memory"],
  ["sends nonsense", (worker: StandInWorker) => worker.onmessageerror?.(), "unreadable"],
])(
  "a worker that %s is replaced and asked again; dying each time, every call settles, and the next is answered",
  async (_how, happen, words) => {
    const { workers, calls, client } = open();
    const [running, waiting] = [client.run(1), client.run(2)];
    happen(workers[0]!);
    await settle();
    expect(calls.map(({ input }) => input)).toEqual([1, 1]);
    expect(workers.map(({ ended }) => ended)).toEqual([true, false]);
    happen(workers[1]!);
    await settle();
    const rejected = expect(running).rejects.toThrow(words);
    happen(workers[2]!);
    await rejected;
    await settle();
    // The one that waited has a worker of its own.
    expect([workers.length, calls.at(-1)!.input]).toEqual([4, 2]);
    calls.at(-1)!.answer("two");
    expect(await waiting).toBe("two");
  },
);

test("no worker starts before it is asked; closing ends it and rejects what runs, and it may be asked again", async () => {
  const { workers, calls, client } = open();
  client.close();
  expect(workers).toHaveLength(0);
  const [running, waiting] = [client.run(1), client.run(2)];
  const rejected = [expect(running).rejects.toThrow("stopped"), expect(waiting).rejects.toThrow("stopped")];
  client.close();
  await Promise.all(rejected);
  await settle();
  expect(workers.map(({ ended }) => ended)).toEqual([true]);
  // What a worker says of its end comes too late to matter.
  workers[0]!.onerror?.({ message: "terminated" });
  const again = client.run(3);
  await settle();
  calls.at(-1)!.answer("two");
  expect([await again, workers.length]).toEqual(["two", 2]);
});
