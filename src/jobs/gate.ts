/** Refused at the gate: too many wait already. */
export class GateFull extends Error {
  constructor(readonly waiting: number) {
    super(`${waiting} wait already`);
  }
}

/**
 * Lets so many through at a time, and so many more wait, in order.
 * @returns Runs `work` when its turn comes. @throws {GateFull} If too many wait.
 */
export function createGate(mostRunning: number, mostWaiting: number) {
  let running = 0;
  const waiting: (() => void)[] = [];
  return async function pass<T>(work: () => Promise<T>): Promise<T> {
    if (running >= mostRunning) {
      if (waiting.length >= mostWaiting) throw new GateFull(waiting.length);
      await new Promise<void>((resolve) => waiting.push(resolve));
    }
    running++;
    try {
      return await work();
    } finally {
      running--;
      waiting.shift()?.();
    }
  };
}
