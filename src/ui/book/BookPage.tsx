"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { computeTotalG } from "@/core/formula";
import { describeOutline } from "@/core/shape";
import { formatMass } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import type { Edit } from "../bench/benchStore";
import { newFormula, newPiece } from "./newRecords";

/** Every piece and every formula, and ways to add one. */
export function BookPage() {
  const { book, date, edit } = useBench((state) => state);
  const router = useRouter();
  const { pieces, formulas } = book;
  const [dough, filling] = [
    formulas.find(({ kind }) => kind === "dough"),
    formulas.find(({ kind }) => kind === "filling"),
  ];

  const addFormula = (kind: "dough" | "filling") => {
    const formula = newFormula(kind);
    edit([{ kind: "formula", id: formula.id, record: formula }]);
    router.push(`/day/${date}/formula/${formula.id}`);
  };
  const addPiece = () => {
    // A piece needs a dough and a filling: where there is none, an empty one is made with it.
    const [itsDough, itsFilling] = [dough ?? newFormula("dough"), filling ?? newFormula("filling")];
    const piece = newPiece(itsDough.id, itsFilling.id);
    const edits: Edit[] = [
      ...(dough ? [] : [{ kind: "formula" as const, id: itsDough.id, record: itsDough }]),
      ...(filling ? [] : [{ kind: "formula" as const, id: itsFilling.id, record: itsFilling }]),
      { kind: "piece", id: piece.id, record: piece },
    ];
    edit(edits);
    router.push(`/day/${date}/piece/${piece.id}`);
  };
  const row =
    "touch flex items-baseline gap-3 rounded-lg border border-base-300 bg-base-100 px-4 py-2.5 hover:border-primary";
  return (
    <div className="h-full overflow-y-auto p-5">
      <div className="mx-auto grid max-w-5xl gap-6 md:grid-cols-2">
        <section aria-labelledby="pieces">
          <h2 id="pieces" className="mb-2 text-2xl">
            Pieces
          </h2>
          <ul className="flex flex-col gap-2">
            {pieces.map(({ id, name, cut }) => (
              <li key={id}>
                <Link className={row} href={`/day/${date}/piece/${id}`}>
                  <span className="text-lg">{name}</span>
                  <span className="quiet ml-auto text-right text-sm">{describeOutline(cut)}</span>
                </Link>
              </li>
            ))}
          </ul>
          <button type="button" className="btn btn-primary touch mt-3" onClick={addPiece}>
            New piece
          </button>
        </section>
        <section aria-labelledby="formulas">
          <h2 id="formulas" className="mb-2 text-2xl">
            Formulas
          </h2>
          <ul className="flex flex-col gap-2">
            {formulas.map((formula) => (
              <li key={formula.id}>
                <Link className={row} href={`/day/${date}/formula/${formula.id}`}>
                  <span className="text-lg">{formula.name}</span>
                  <span className="quiet ml-auto text-right text-sm">
                    {formula.kind}, {formatMass(computeTotalG(formula))} as written
                  </span>
                </Link>
              </li>
            ))}
          </ul>
          <div className="mt-3 flex gap-2">
            <button type="button" className="btn btn-primary touch" onClick={() => addFormula("dough")}>
              New dough
            </button>
            <button type="button" className="btn btn-primary touch" onClick={() => addFormula("filling")}>
              New filling
            </button>
          </div>
        </section>
      </div>
    </div>
  );
}
