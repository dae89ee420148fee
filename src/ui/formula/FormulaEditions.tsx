"use client";

import { TZDate } from "@date-fns/tz";
import { format } from "date-fns";
import { useEffect, useState } from "react";
import { compareFormulas, type Formula } from "@/core/formula";
import { formatMass, formatNumber } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { DataTable } from "../table/DataTable";

/** A formula as it stood from an instant on. */
export interface Edition {
  readonly edition: number;
  readonly writtenAt: string;
  readonly formula: Formula;
}

interface Props {
  readonly formula: Formula;
  readonly save: (formula: Formula) => void;
}

/** Two editions of a formula side by side. */
export function FormulaEditions({ formula, save }: Props) {
  const [editions, setEditions] = useState<readonly Edition[] | null>(null);
  const [isFailed, setFailed] = useState(false);
  const timeZone = useBench((state) => state.timeZone);
  const [chosen, setChosen] = useState<number | null>(null);
  useEffect(() => {
    let gone = false;
    void fetch(`/api/formula/${encodeURIComponent(formula.id)}/editions`)
      .then(async (answer) => (await answer.json()) as readonly Edition[])
      .then((list) => {
        if (!gone) setEditions(list);
      })
      .catch(() => {
        if (!gone) setFailed(true);
      });
    return () => {
      gone = true;
    };
  }, [formula]);
  if (isFailed && !editions)
    return (
      <p role="alert" className="text-error">
        Tezgah does not answer: the editions cannot be looked up now. Come back to this page later.
      </p>
    );
  if (!editions) return <p className="quiet">Looking up its editions…</p>;
  const before = editions.find(({ edition }) => edition === chosen) ?? editions.at(-2) ?? editions[0];
  if (!before || editions.length < 2) {
    return (
      <p className="mx-auto max-w-4xl">
        This formula has not been changed since it was written. A change made in another sitting becomes a new
        edition, and past days keep theirs.
      </p>
    );
  }
  const name = ({ edition, writtenAt }: Edition) =>
    `${edition} · ${Date.parse(writtenAt) > 0 ? format(new TZDate(writtenAt, timeZone), "d MMM yyyy HH:mm") : "before editions were kept"}`;
  const share = (value: number | null) => (value === null ? "–" : `${formatNumber(value * 100, 1)} %`);
  const mass = (value: number | null) => (value === null ? "–" : formatMass(value));
  const isChanged = ({
    beforeG,
    afterG,
  }: {
    readonly beforeG: number | null;
    readonly afterG: number | null;
  }) => mass(beforeG) !== mass(afterG);
  return (
    <div className="mx-auto flex w-full max-w-4xl flex-col gap-3">
      <h2 className="text-2xl">{formula.name}: editions</h2>
      <label className="flex max-w-sm flex-col gap-0.5">
        Compare with edition
        <select
          className="select"
          value={before.edition}
          onChange={(event) => setChosen(Number(event.target.value))}
        >
          {editions.map((each) => (
            <option key={each.edition} value={each.edition}>
              {name(each)}
            </option>
          ))}
        </select>
      </label>
      <DataTable
        caption={`Edition ${before.edition} beside the formula now`}
        rows={compareFormulas(before.formula, formula)}
        idOf={({ name: line }) => line}
        rowClassName={(row) => (isChanged(row) ? "font-bold" : "")}
        columns={[
          {
            id: "line",
            title: "Line",
            isHead: true,
            cell: (row) => (
              <>
                {isChanged(row) && <span aria-label="changed">± </span>}
                {row.name}
              </>
            ),
          },
          {
            id: "before",
            title: `Edition ${before.edition}`,
            isFigure: true,
            className: "figure",
            cell: ({ beforeG }) => mass(beforeG),
          },
          {
            id: "beforeShare",
            title: "share then",
            isTitleHidden: true,
            isFigure: true,
            className: "quiet figure text-sm",
            cell: ({ beforeShare }) => share(beforeShare),
          },
          {
            id: "now",
            title: "Now",
            isFigure: true,
            className: "figure",
            cell: ({ afterG }) => mass(afterG),
          },
          {
            id: "nowShare",
            title: "share now",
            isTitleHidden: true,
            isFigure: true,
            className: "quiet figure text-sm",
            cell: ({ afterShare }) => share(afterShare),
          },
        ]}
      />
      <button type="button" className="btn touch self-start" onClick={() => save(before.formula)}>
        Go back to edition {before.edition}
      </button>
    </div>
  );
}
