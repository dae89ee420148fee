import { releaseProxy, wrap, type Remote } from "comlink";

export interface LatestClient<In, Out> {
  /** Computes off the main thread. Only the newest of waiting inputs is computed: older calls give null. */
  run(input: In): Promise<Out | null>;
  /** Ends the worker; whatever waits is rejected. The next call starts another. */
  close(): void;
}

/** A worker that died is replaced this often for one input; dying again, the call is rejected. */
const MOST_REPLACEMENTS = 2;

/** The worker failed before it answered; another may do better. */
class WorkerDied extends Error {}

/** One running worker and how a call to it is made. */
interface OpenWorker<In, Out> {
  call(input: In): Promise<Out>;
  end(reason: Error): void;
}

/**
 * A worker of which only the newest answer is wanted. It starts with the first call. Every call settles, also when the
 * worker fails or is closed; one that died is replaced and asked again.
 * @param start - Starts a worker.
 * @param prepare - What makes one call to a fresh worker; it is never made while another runs.
 */
export function createLatestClient<Api, In, Out>(
  start: () => Worker,
  prepare: (remote: Remote<Api>) => (input: In) => Promise<Out>,
): LatestClient<In, Out> {
  let open: OpenWorker<In, Out> | null = null;
  let running = false;
  let next: { input: In; settle: (answer: Promise<Out> | null) => void } | null = null;

  function openWorker(): OpenWorker<In, Out> {
    const worker = start();
    const remote = wrap<Api>(worker);
    const call = prepare(remote);
    let abandon: (reason: Error) => void = () => {};
    const abandoned = new Promise<never>((_, reject) => {
      abandon = reject;
    });
    abandoned.catch(() => {}); // settled here too, so that ending an idle worker is silent
    const opened: OpenWorker<In, Out> = {
      call: (input) => Promise.race([call(input), abandoned]),
      end(reason) {
        // A worker may fail more than once before it is gone.
        if (open !== opened) return;
        open = null;
        abandon(reason);
        remote[releaseProxy]();
        worker.terminate();
      },
    };
    worker.onerror = ({ message }) => opened.end(new WorkerDied(`The calculation failed: ${message}`));
    worker.onmessageerror = () => opened.end(new WorkerDied("The calculation sent something unreadable."));
    return opened;
  }
  async function answer(input: In, replacements = 0): Promise<Out> {
    open ??= openWorker();
    try {
      return await open.call(input);
    } catch (error) {
      if (!(error instanceof WorkerDied) || replacements >= MOST_REPLACEMENTS) throw error;
      return answer(input, replacements + 1);
    }
  }
  function run(input: In): Promise<Out> {
    running = true;
    return answer(input).finally(() => {
      running = false;
      const waiting = next;
      next = null;
      waiting?.settle(run(waiting.input));
    });
  }
  return {
    run(input) {
      if (!running) return run(input);
      next?.settle(null);
      return new Promise((resolve) => {
        next = { input, settle: resolve };
      });
    },
    close() {
      const reason = new Error("The calculation was stopped.");
      // What waits is not begun: nobody would end its worker.
      next?.settle(Promise.reject(reason));
      next = null;
      open?.end(reason);
    },
  };
}
