"use client";

import { useEffect, useRef, useState } from "react";
import type { LatestClient } from "@/workers/createLatestClient";

export interface LatestState<In, Out> {
  /** The newest answer and what it answers; null until the first. */
  readonly answer: { readonly input: In; readonly output: Out } | null;
  /** An answer is on its way. */
  readonly isBusy: boolean;
  readonly fault: string | null;
}

/**
 * Asks a worker whenever the input changes; the last answer stays until the next one comes.
 * @param input - Plain data; null asks nothing. @param createClient - Called once, in the browser.
 */
export function useLatest<In, Out>(
  input: In | null,
  createClient: () => LatestClient<In, Out>,
): LatestState<In, Out> {
  const client = useRef<LatestClient<In, Out> | null>(null);
  const create = useRef(createClient);
  const [answer, setAnswer] = useState<{ key: string; input: In; output: Out } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const key = input === null ? "" : JSON.stringify(input);
  useEffect(
    () => () => {
      client.current?.close();
      client.current = null;
    },
    [],
  );
  useEffect(() => {
    if (key === "") return;
    let gone = false;
    client.current ??= create.current();
    const asked = JSON.parse(key) as In;
    client.current
      .run(asked)
      .then((output) => {
        if (output !== null && !gone) setAnswer({ key, input: asked, output });
      })
      .catch((error: unknown) => {
        if (!gone) setFault(error instanceof Error ? error.message : String(error));
      });
    return () => {
      gone = true;
    };
  }, [key]);
  return { answer, isBusy: key !== "" && answer?.key !== key && fault === null, fault };
}
