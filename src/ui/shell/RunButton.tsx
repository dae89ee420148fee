"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { useBenchStore } from "../bench/BenchProvider";
import { useLeave } from "../bench/LeaveLink";
import { Dialog } from "./Dialog";

/** Freezes the day as it is planned and opens its run; a day that runs already is gone on with, or planned anew. */
export function RunButton({ date }: { readonly date: string }) {
  const router = useRouter();
  const store = useBenchStore();
  const leave = useLeave();
  const [isBusy, setBusy] = useState(false);
  const [asksAnew, setAsksAnew] = useState(false);
  const say = () => store.getState().notify("The day could not be begun: Tezgah does not answer. Try again.");

  /** One thing at a time; what fails is said. */
  const busily = async (work: () => Promise<void>) => {
    setBusy(true);
    await work().catch(say);
    setBusy(false);
  };
  const begin = () =>
    busily(async () => {
      if (await leave()) await freeze(false);
    });
  /** Opens the run; one that is there already is asked about first. */
  const freeze = async (anew: boolean) => {
    const answer = await fetch(`/api/v1/runs/${date}`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ anew }),
    });
    if (answer.status === 200) return setAsksAnew(true);
    if (answer.ok) return router.push(`/run/${date}`);
    const { faults } = (await answer.json()) as { faults: readonly { readonly message: string }[] };
    setAsksAnew(false);
    store.getState().notify(faults[0]?.message ?? "The day could not be begun. Try again.");
  };
  return (
    <>
      <button
        type="button"
        className="btn touch border-0 bg-(--tally-good) text-(--tally)"
        aria-busy={isBusy}
        onClick={() => void begin()}
      >
        Run this day
      </button>
      <Dialog open={asksAnew} onClose={() => setAsksAnew(false)} title="This day runs already">
        <p className="mb-4">
          What is done stays done. The rest can go on as it was frozen, or be frozen anew as the bench plans
          it now.
        </p>
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            data-first
            className="btn btn-primary touch"
            onClick={() => router.push(`/run/${date}`)}
          >
            Go on
          </button>
          <button
            type="button"
            className="btn touch"
            aria-busy={isBusy}
            onClick={() => void busily(() => freeze(true))}
          >
            Freeze it anew
          </button>
        </div>
      </Dialog>
    </>
  );
}
