import { createGate, GateFull } from "./gate";

/** Work that the test ends. */
function createWork() {
  const ends: (() => void)[] = [];
  let running = 0;
  let most = 0;
  return {
    run: () => {
      most = Math.max(most, ++running);
      return new Promise<void>((resolve) => ends.push(resolve)).finally(() => running--);
    },
    endOne: async () => {
      ends.shift()?.();
      await new Promise((resolve) => setTimeout(resolve, 0));
    },
    mostRunning: () => most,
  };
}

test("so many run at a time, in order, and the one too many is refused at once", async () => {
  const pass = createGate(2, 3);
  const work = createWork();
  const order: number[] = [];
  const all = [0, 1, 2, 3, 4].map((n) =>
    pass(async () => {
      order.push(n);
      await work.run();
    }),
  );
  await expect(pass(work.run)).rejects.toBeInstanceOf(GateFull);
  for (let n = 0; n < 5; n++) await work.endOne();
  await Promise.all(all);
  expect([order, work.mostRunning()]).toEqual([[0, 1, 2, 3, 4], 2]);
});

test("work that fails lets the next one through", async () => {
  const pass = createGate(1, 3);
  const failing = pass(() => Promise.reject(new Error("broken")));
  const next = pass(() => Promise.resolve("done"));
  await expect(failing).rejects.toThrow("broken");
  await expect(next).resolves.toBe("done");
});
