import { releaseProxy, type Remote } from "comlink";

export interface LatestClient<In, Out> {
  /** Computes off the main thread. Only the newest of waiting inputs is computed: older calls give null. */
  run(input: In): Promise<Out | null>;
  /** The worker failed or was closed: it answers no more. */
  isDead(): boolean;
  /** Ends the worker; whatever waits is rejected. */
  close(): void;
}

/**
 * A worker of which only the newest answer is wanted. Every call settles, also when the worker fails or is closed.
 * @param call - Makes one call; it is never made while another runs.
 */
export function createLatestClient<Api, In, Out>(
  worker: Worker,
  remote: Remote<Api>,
  call: (input: In) => Promise<Out>,
): LatestClient<In, Out> {
  let dead = false;
  let abandon: (reason: Error) => void = () => {};
  const abandoned = new Promise<never>((_, reject) => {
    abandon = (reason) => {
      dead = true;
      reject(reason);
    };
  });
  abandoned.catch(() => {}); // settled here too, so that closing an idle client is silent
  worker.onerror = ({ message }) => abandon(new Error(`The reckoning failed: ${message}`));
  worker.onmessageerror = () => abandon(new Error("The reckoning sent something unreadable."));
  let running = false;
  let next: { input: In; settle: (answer: Promise<Out> | null) => void } | null = null;

  function start(input: In): Promise<Out> {
    running = true;
    return Promise.race([call(input), abandoned]).finally(() => {
      running = false;
      const waiting = next;
      next = null;
      waiting?.settle(start(waiting.input));
    });
  }
  return {
    run(input) {
      if (!running) return start(input);
      next?.settle(null);
      return new Promise((resolve) => {
        next = { input, settle: resolve };
      });
    },
    isDead: () => dead,
    close() {
      abandon(new Error("The reckoning was stopped."));
      remote[releaseProxy]();
      worker.terminate();
    },
  };
}
