"use client";

import isEqual from "fast-deep-equal";
import { useEffect, useRef, useState } from "react";
import type { LatestClient } from "@/workers/createLatestClient";

export interface LatestState<In, Out> {
  /** The newest answer and what it answers; null until the first. */
  readonly answer: { readonly input: In; readonly output: Out } | null;
  /** An answer is on its way. */
  readonly isBusy: boolean;
  /** Why the last question was not answered; null once another is. */
  readonly fault: string | null;
  /** Asks the same question again. */
  askAgain(): void;
}

/**
 * Asks a worker whenever the input changes; the last answer stays until the next one comes.
 * @param input - Plain data; null asks nothing. @param createClient - Called once, in the browser.
 * @param quietMs - Asks once nothing has changed for so long: what is dear waits until a dial has come to rest.
 * @param isSeen - What changes while nobody sees the answer is not asked until somebody does.
 */
export function useLatest<In, Out>(
  input: In | null,
  createClient: () => LatestClient<In, Out>,
  quietMs = 0,
  isSeen = true,
): LatestState<In, Out> {
  const client = useRef<LatestClient<In, Out> | null>(null);
  const create = useRef(createClient);
  const [answer, setAnswer] = useState<{ readonly input: In; readonly output: Out } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  // The same question in another object is asked once. Records keep their identity, so this walks only what has changed.
  const [asked, setAsked] = useState(isSeen ? input : null);
  const [times, setTimes] = useState(0);
  if (isSeen && asked !== input && !isEqual(asked, input)) {
    setAsked(input);
    setFault(null);
  }
  useEffect(
    () => () => {
      client.current?.close();
      client.current = null;
    },
    [],
  );
  useEffect(() => {
    if (asked === null) return;
    let gone = false;
    const ask = () => {
      client.current ??= create.current();
      client.current
        .run(asked)
        .then((output) => {
          if (output !== null && !gone) setAnswer({ input: asked, output });
        })
        .catch((error: unknown) => {
          if (!gone) setFault(error instanceof Error ? error.message : String(error));
        });
    };
    const timer = quietMs > 0 ? setTimeout(ask, quietMs) : null;
    if (timer === null) ask();
    return () => {
      gone = true;
      if (timer !== null) clearTimeout(timer);
    };
  }, [asked, quietMs, times]);
  const askAgain = () => {
    setFault(null);
    setTimes(times + 1);
  };
  return { answer, isBusy: asked !== null && answer?.input !== asked && fault === null, fault, askAgain };
}
