import type { Remote } from "comlink";
import { createLatestClient } from "./createLatestClient";

/** Stands in for a browser's worker: only what the client touches. */
class StandInWorker {
  onerror: ((event: { message: string }) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  ended = false;
  terminate() {
    this.ended = true;
  }
}

function open() {
  const worker = new StandInWorker();
  const calls: { input: number; answer: (output: string) => void; fail: (error: Error) => void }[] = [];
  const remote = new Proxy({}, { get: () => () => {} }) as Remote<object>;
  const client = createLatestClient<object, number, string>(
    worker as unknown as Worker,
    remote,
    (input) => new Promise((answer, fail) => calls.push({ input, answer, fail })),
  );
  return { worker, calls, client };
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
])("every call settles when the worker %s", async (_how, happen, words) => {
  const { worker, client } = open();
  const [running, waiting] = [client.run(1), client.run(2)];
  happen(worker);
  await expect(running).rejects.toThrow(words);
  await expect(waiting).rejects.toThrow(words);
});

test("closing ends the worker and rejects what runs; closing an idle one is silent", async () => {
  const { worker, client } = open();
  const running = client.run(1);
  client.close();
  await expect(running).rejects.toThrow("stopped");
  expect(worker.ended).toBe(true);
  open().client.close();
  await settle();
});
