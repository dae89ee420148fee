"use client";

import { Upload } from "lucide-react";
import { useState } from "react";
import { formatCount } from "@/core/units";

interface Brought {
  readonly added: number;
  readonly known: number;
  readonly refused: readonly { readonly row: number; readonly message: string }[];
}

/** Refused rows that are told; more only hide the first. */
const MOST_TOLD = 12;

/** A log from elsewhere: each row is checked, and those that are refused say why. */
export function BringLog({ onBrought }: { readonly onBrought: () => void }) {
  const [brought, setBrought] = useState<Brought | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const bring = async (file: File) => {
    setBrought(null);
    setFault(null);
    const answer = await fetch("/api/v1/habits/log", { method: "POST", body: file }).catch(() => null);
    if (!answer) return setFault("Tezgah does not answer. Try again.");
    const body = (await answer.json()) as Brought & { faults?: readonly { message: string }[] };
    if (!answer.ok)
      return setFault(
        body.faults?.[0]?.message ??
          "It could not be read. Save it as CSV or as JSON a line, and choose it again.",
      );
    setBrought(body);
    onBrought();
  };
  return (
    <section aria-labelledby="bring" className="flex flex-col gap-2">
      <h2 id="bring" className="text-xl">
        Bring a log
      </h2>
      <p className="quiet max-w-prose text-sm">
        CSV with the head habit, date, planned, real (for an oven: offC), or JSON a line. A habit is its kind
        and whose it is, as the CSV above writes it.
      </p>
      <label className="btn touch w-fit">
        <Upload size={20} aria-hidden /> Choose a file
        <input
          type="file"
          accept=".csv,.jsonl,.ndjson,.txt,text/csv"
          className="sr-only"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) void bring(file);
            target.value = "";
          }}
        />
      </label>
      {fault && (
        <p role="alert" className="text-error">
          {fault}
        </p>
      )}
      {brought && (
        <div role="status">
          <p>
            {formatCount(brought.added, "lot")} taken
            {brought.known > 0 && `, ${brought.known} known already`}
            {brought.refused.length > 0 && `, ${formatCount(brought.refused.length, "row")} refused`}.
          </p>
          <ul className="text-sm">
            {brought.refused.slice(0, MOST_TOLD).map(({ row, message }) => (
              <li key={row}>
                Row {row}: {message}
              </li>
            ))}
            {brought.refused.length > MOST_TOLD && <li>and {brought.refused.length - MOST_TOLD} more</li>}
          </ul>
        </div>
      )}
    </section>
  );
}
