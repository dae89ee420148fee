"use client";

import { createFormula, createPiece } from "@/core/plan";
import { useRouter } from "next/navigation";
import { computeTotalG, type Formula } from "@/core/formula";
import { describeOutline } from "@/core/shape";
import { formatMass } from "@/core/units";
import { usePicked } from "../bench/BenchProvider";
import type { Edit } from "@/schemas/recordTable";
import { createId } from "../bench/createId";
import { Link } from "../controls/Link";
import { PieceMark } from "../drawings/PieceMark";

interface Props {
  /** Formulas that can be taken into the book and changed. */
  readonly starterFormulas: readonly Formula[];
}

/** Every piece and every formula, and ways to add one. */
export function BookPage({ starterFormulas }: Props) {
  const { book, date, edit, plan } = usePicked("book", "date", "edit", "plan");
  const router = useRouter();
  const { pieces, formulas } = book;
  const [dough, filling] = [
    formulas.find(({ kind }) => kind === "dough"),
    formulas.find(({ kind }) => kind === "filling"),
  ];

  const addFormula = (kind: "dough" | "filling") => {
    const formula = createFormula(kind, createId(kind));
    edit([{ kind: "formula", id: formula.id, record: formula }]);
    router.push(`/day/${date}/formula/${formula.id}`);
  };
  const takeStarter = (id: string) => {
    const starter = starterFormulas.find((each) => each.id === id);
    if (!starter) return;
    // Taken twice, the second is a copy of its own.
    const taken = formulas.some((each) => each.id === id)
      ? { ...starter, id: createId(starter.kind) }
      : starter;
    edit([{ kind: "formula", id: taken.id, record: taken }]);
    router.push(`/day/${date}/formula/${taken.id}`);
  };
  const addPiece = () => {
    // A piece needs a dough and a filling: where there is none, an empty one is made with it.
    const [itsDough, itsFilling] = [
      dough ?? createFormula("dough", createId("dough")),
      filling ?? createFormula("filling", createId("filling")),
    ];
    const piece = createPiece(createId("piece"), itsDough.id, itsFilling.id);
    const edits: Edit[] = [
      ...(dough ? [] : [{ kind: "formula" as const, id: itsDough.id, record: itsDough }]),
      ...(filling ? [] : [{ kind: "formula" as const, id: itsFilling.id, record: itsFilling }]),
      { kind: "piece", id: piece.id, record: piece },
    ];
    edit(edits);
    router.push(`/day/${date}/piece/${piece.id}`);
  };
  const row =
    "touch flex min-h-14 items-center gap-3 rounded-lg border border-base-300 bg-base-100 px-4 py-1.5 hover:border-primary";
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
                  <PieceMark pieceId={id} />
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
                    {formula.kind === "filling" ? formula.family : formula.kind},{" "}
                    {formatMass(computeTotalG(formula, plan.liquidAims[formula.id]?.massG ?? null))} as
                    written
                  </span>
                </Link>
              </li>
            ))}
          </ul>
          <div className="mt-3 flex flex-wrap gap-2">
            <button type="button" className="btn btn-primary touch" onClick={() => addFormula("dough")}>
              New dough
            </button>
            <button type="button" className="btn btn-primary touch" onClick={() => addFormula("filling")}>
              New filling
            </button>
            <Link className="btn touch" href={`/day/${date}/paste`}>
              Paste or import
            </Link>
          </div>
          <label className="mt-3 flex flex-col gap-0.5">
            Or take one of these and change it
            <select className="select w-full" value="" onChange={(event) => takeStarter(event.target.value)}>
              <option value="">Choose a formula</option>
              {starterFormulas.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        </section>
      </div>
    </div>
  );
}
