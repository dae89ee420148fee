"use client";

import { Download } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Formula } from "@/core/formula";
import { formulaLimits } from "@/schemas/limits";
import { pickRecords } from "@/schemas/recordTable";
import { useBench, usePicked } from "../bench/BenchProvider";
import { LeaveLink } from "../bench/LeaveLink";
import { Link } from "../controls/Link";
import { checkName } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { DoughDials, FillingDials } from "./FormulaDials";
import { FormulaEditions } from "./FormulaEditions";
import { FormulaLines } from "./FormulaLines";
import { FormulaMethod } from "./FormulaMethod";
import { FormulaScale } from "./FormulaScale";

interface Props {
  readonly formulaId: string;
}

const faces = ["Lines", "Scale", "Method", "Editions"] as const;
type Face = (typeof faces)[number];

/** One dough or filling: its lines, its method, its scale, its editions, and how it behaves. */
export function FormulaPage({ formulaId }: Props) {
  const { records, edit, date, book } = usePicked("records", "edit", "date", "book");
  // As it stands now: a day that is over is planned with the edition of then.
  const formula = pickRecords(records, "formula").find(({ id }) => id === formulaId);
  const isOver = useBench((state) => state.isOver);
  const [face, setFace] = useState<Face>("Lines");
  const router = useRouter();
  if (!formula) {
    return (
      <p className="p-6">
        This formula is not in the book any more.{" "}
        <Link className="why-link" href={`/day/${date}/book`}>
          Back to the book
        </Link>
      </p>
    );
  }
  const save = (next: Formula) => edit([{ kind: "formula", id: next.id, record: next }]);
  const users = book.pieces.filter(
    ({ doughId, fillingId, extras }) =>
      doughId === formula.id ||
      fillingId === formula.id ||
      extras.some((extra) => "fillingId" in extra && extra.fillingId === formula.id),
  );
  const remove = () => {
    edit([{ kind: "formula", id: formula.id, record: null }]);
    router.push(`/day/${date}/book`);
  };
  return (
    <StationLayout
      label={formula.name}
      surface={
        <div className="flex flex-col gap-3">
          <div role="group" aria-label="Look at" className="flex flex-wrap gap-1.5">
            {faces.map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={each === face}
                className="touch cursor-pointer rounded-lg border-2 border-transparent px-3 aria-pressed:border-primary aria-pressed:bg-base-100 aria-pressed:font-bold"
                onClick={() => setFace(each)}
              >
                {each}
              </button>
            ))}
            {formula.kind === "dough" && (
              <Link className="btn touch ml-auto" href={`/day/${date}/rest/${formula.id}`}>
                Rest and temper
              </Link>
            )}
          </div>
          {isOver && (
            <p className="rounded-lg border border-base-300 p-3">
              {book.day.name} is over and planned with this formula as it stood then. What you change here
              counts from now on.
            </p>
          )}
          {face === "Lines" && <FormulaLines formula={formula} save={save} />}
          {face === "Scale" && <FormulaScale formula={formula} />}
          {face === "Method" && <FormulaMethod formula={formula} save={save} />}
          {face === "Editions" && <FormulaEditions formula={formula} save={save} />}
        </div>
      }
      side={
        <>
          <TextField
            label="Name"
            value={formula.name}
            check={checkName}
            onCommit={(name) => save({ ...formula, name })}
          />
          {formula.kind === "dough" ? (
            <DoughDials dough={formula} save={save} />
          ) : (
            <FillingDials filling={formula} save={save} />
          )}
          <Dial
            limit={formulaLimits.densityGPerMl}
            value={formula.densityGPerMl}
            sliderMin={0.8}
            sliderMax={1.5}
            onChange={(densityGPerMl) => save({ ...formula, densityGPerMl })}
          />
          <div className="grid grid-cols-2 gap-2">
            {(["jsonld", "csv"] as const).map((form) => (
              <LeaveLink
                key={form}
                className="btn touch"
                href={`/api/formula/${formula.id}/${form}`}
                download
              >
                <Download size={18} aria-hidden /> {form === "csv" ? "CSV" : "JSON-LD"}
              </LeaveLink>
            ))}
          </div>
          <button type="button" className="btn touch text-error" disabled={users.length > 0} onClick={remove}>
            Remove this formula
          </button>
          {users.length > 0 && (
            <p className="quiet text-sm">Used by {users.map(({ name }) => name).join(", ")}.</p>
          )}
        </>
      }
    />
  );
}
