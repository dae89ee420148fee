"use client";

import { useState } from "react";
import type { Dough } from "@/core/formula";
import { listSchools, type Choice, type DayFigures, type Piece, type School } from "@/core/plan";
import { createChoicesClient, type ChoicesRequest } from "@/workers/createPlanClient";
import { useBench, usePicked } from "../bench/BenchProvider";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { Link } from "../controls/Link";
import { StationLayout } from "../controls/StationLayout";
import { MissingPiece } from "./MissingPiece";
import { describeEffect } from "./describeEffect";

/** Every question on which bakers disagree: the answers, why, and what each would do to the day before it is taken. */
export function SchoolsPage({ pieceId }: { readonly pieceId: string }) {
  const piece = useBench((state) => state.book.pieces.find(({ id }) => id === pieceId));
  return piece ? <Schools piece={piece} /> : <MissingPiece />;
}

function Schools({ piece }: { readonly piece: Piece }) {
  const { book, plan, date, edit } = usePicked("book", "plan", "date", "edit");
  const dough = book.formulas.find(
    (each): each is Dough => each.kind === "dough" && each.id === piece.doughId,
  );
  const filling = book.formulas.find(({ id }) => id === piece.fillingId);
  const shaped = plan.shaped[piece.id];
  const schools =
    dough && filling?.kind === "filling"
      ? listSchools({
          piece,
          dough,
          wetness: filling.wetness,
          formed: shaped?.formed ?? null,
          advice: shaped?.plumpnessAdvice ?? null,
        })
      : [];
  const [openId, setOpenId] = useState(schools[0]?.id ?? "");
  const open = schools.find(({ id }) => id === openId) ?? schools[0];
  const { answer, isBusy, fault, askAgain } = useLatest<ChoicesRequest, DayFigures[]>(
    open ? { book, pieceId: piece.id, choices: open.options.map(({ choice }) => choice) } : null,
    createChoicesClient,
  );
  const take = ({ piece: fields, dough: doughFields }: Choice) =>
    edit([
      ...(Object.keys(fields).length > 0
        ? [{ kind: "piece" as const, id: piece.id, record: { ...piece, ...fields } }]
        : []),
      ...(dough && Object.keys(doughFields).length > 0
        ? [{ kind: "formula" as const, id: dough.id, record: { ...dough, ...doughFields } }]
        : []),
    ]);
  if (!open) return <MissingPiece />;
  return (
    <StationLayout
      label={`Where bakers disagree: ${piece.name}`}
      surface={
        <div className="flex flex-col gap-3">
          <h2 className="text-2xl">{open.question}</h2>
          <p className="quiet text-sm">
            {open.scope === "dough"
              ? `This touches every piece of ${dough?.name ?? "this dough"}.`
              : `This touches ${piece.name} only.`}
          </p>
          <Options school={open} figures={answer?.output ?? null} isBusy={isBusy} onTake={take} />
          <WorkerFault fault={fault} onRetry={askAgain} />
        </div>
      }
      side={
        <>
          <Link className="why-link" href={`/day/${date}/piece/${piece.id}`}>
            ‹ {piece.name}
          </Link>
          <div role="group" aria-label="Questions" className="flex flex-col gap-1">
            {schools.map(({ id, question, options, chosenId }) => (
              <button
                key={id}
                type="button"
                aria-pressed={id === open.id}
                className="touch flex cursor-pointer flex-wrap items-baseline gap-x-2 rounded-lg border-2 border-transparent px-2.5 py-1 text-left aria-pressed:border-primary"
                onClick={() => setOpenId(id)}
              >
                <span>{question}</span>
                <span className="quiet ml-auto text-sm">
                  {options.find((option) => option.id === chosenId)?.title ?? "between"}
                </span>
              </button>
            ))}
          </div>
        </>
      }
    />
  );
}

interface OptionsProps {
  readonly school: School;
  /** As the day stands, then for each option; null until it is known. */
  readonly figures: readonly DayFigures[] | null;
  readonly isBusy: boolean;
  readonly onTake: (choice: Choice) => void;
}

function Options({ school, figures, isBusy, onTake }: OptionsProps) {
  const known = figures !== null && figures.length === school.options.length + 1 && !isBusy ? figures : null;
  return (
    <ul className="grid gap-3 sm:grid-cols-2" aria-busy={isBusy}>
      {school.options.map(({ id, title, why, choice }, i) => {
        const isChosen = id === school.chosenId;
        const [now, then] = [known?.[0], known?.[i + 1]];
        return (
          <li key={id}>
            <button
              type="button"
              aria-pressed={isChosen}
              className="flex h-full min-h-28 w-full cursor-pointer flex-col gap-1 rounded-xl border-2 border-base-300 bg-base-100 p-3 text-left aria-pressed:border-primary aria-pressed:bg-base-200"
              onClick={() => onTake(choice)}
            >
              <strong className="text-xl">{title}</strong>
              <span>{why}</span>
              <span className="figure mt-auto text-lg">
                {isChosen
                  ? "as it is"
                  : now && then
                    ? describeEffect(now, then).join(" · ") || "no figure of the day changes"
                    : "reckoning…"}
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
