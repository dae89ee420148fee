/** How long a part of the programme that did not come is left before it is asked for again, ms. */
const AGAIN_AFTER_MS = 5000;

/** Resolves when the network is said to be back, and after a while in any case: a browser may not notice. */
const networkOrWhile = (): Promise<void> =>
  new Promise((resolve) => {
    const go = () => {
      clearTimeout(timer);
      removeEventListener("online", go);
      resolve();
    };
    const timer = setTimeout(go, AGAIN_AFTER_MS);
    addEventListener("online", go);
  });

/**
 * A part of the programme that is fetched later, once for all who ask: without a network it is asked for again until
 * it comes, so that the promise never fails and whatever waits for it is drawn when the server is back.
 */
export function untilThere<T>(
  fetchPart: () => Promise<T>,
  pause: () => Promise<void> = networkOrWhile,
): () => Promise<T> {
  let coming: Promise<T> | null = null;
  const ask = (): Promise<T> => fetchPart().catch(() => pause().then(ask));
  return () => (coming ??= ask());
}
