"use client";

import { useState } from "react";
import { useRouter } from "next/navigation";
import type { Formula } from "@/core/formula";
import { NEW_ORDER_REST } from "@/core/orders";
import {
  sayBatchFailure,
  findMixedG,
  listFollows,
  type BatchFailure,
  type BatchRequest,
  type DayPlan,
  type DividedBatch,
  type Piece,
} from "@/core/plan";
import type { Result } from "@/core/result";
import { describeOutline } from "@/core/shape";
import { formatClock, formatCount, formatLength, formatMass, formatNumber } from "@/core/units";
import { createDivisionClient, type DivisionRequest } from "@/workers/createPlanClient";
import { useBench, usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { useLatest } from "../bench/useLatest";
import { WorkerFault } from "../controls/WorkerFault";
import { EmptyDay } from "../controls/EmptyDay";
import { Fact } from "../controls/Fact";
import { StationLayout } from "../controls/StationLayout";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { toWeighing } from "../mix/useWeighing";
import { BatchDials } from "./BatchDials";
import { usableG, type Wish } from "./wish";

/** Pieces to begin with, of no batch in particular. */
const FIRST_PIECES = 12;
const FIRST_EACH_G = 50;

/** A batch comes first: this dough into twelve, as many as weigh so much, or as many as it gives. */
export function BatchPage() {
  const { book } = usePicked("book");
  const liquidAims = useBench((state) => state.plan.liquidAims);
  const [first] = book.pieces;
  const [wish, setWish] = useState<Wish>({
    pieceId: first?.id ?? "",
    by: "into",
    pieces: FIRST_PIECES,
    eachG: FIRST_EACH_G,
    otherId: "",
    each: 1,
    otherEach: 1,
    follows: "size",
    doughG: null,
    fills: "even",
    fillingG: null,
    layers: [],
    dueMin: 13 * 60,
  });
  const piece = book.pieces.find(({ id }) => id === wish.pieceId) ?? first;
  const set = (fields: Partial<Wish>) => setWish({ ...wish, ...fields });
  const request = piece ? toRequest(wish, piece, book.formulas, liquidAims) : null;
  const { answer, isBusy, fault, askAgain } = useLatest<DivisionRequest, Result<DividedBatch, BatchFailure>>(
    request && { book, request },
    createDivisionClient,
  );
  if (!piece || !request) return <EmptyDay station="orders" />;
  return (
    <StationLayout
      label="A batch first"
      surface={
        <div className="flex h-full flex-col gap-3" aria-busy={isBusy}>
          <h2 className="text-2xl">A batch first</h2>
          <WorkerFault fault={fault} onRetry={askAgain} />
          {!answer ? (
            <p className="quiet">reckoning…</p>
          ) : answer.output.ok ? (
            <Divided batch={answer.output.value} request={answer.input.request} dueMin={wish.dueMin} />
          ) : (
            <p role="alert" className="rounded-lg border-l-4 border-error bg-base-200 px-3 py-2 text-lg">
              {sayBatchFailure(answer.output.failure)}
            </p>
          )}
        </div>
      }
      side={<BatchDials wish={wish} set={set} piece={piece} request={request} />}
    />
  );
}

function toRequest(
  wish: Wish,
  piece: Piece,
  formulas: readonly Formula[],
  aims: DayPlan["liquidAims"],
): BatchRequest {
  const massOf = (id: string) =>
    usableG(
      formulas.find((formula) => formula.id === id),
      aims,
    );
  const follows = listFollows(piece.form);
  return {
    pieceId: piece.id,
    doughG: wish.doughG ?? massOf(piece.doughId),
    division:
      wish.by === "into"
        ? { by: "into", pieces: wish.pieces }
        : wish.by === "each"
          ? { by: "each", doughG: wish.eachG }
          : {
              by: "sets",
              each: wish.otherId === "" ? 1 : wish.each,
              others: wish.otherId === "" ? [] : [{ pieceId: wish.otherId, each: wish.otherEach }],
            },
    follows: follows.includes(wish.follows) ? wish.follows : (follows[0] ?? "thickness"),
    fillingG: wish.fills === "even" ? (wish.fillingG ?? massOf(piece.fillingId)) : null,
    layers: wish.layers,
  };
}

interface DividedProps {
  readonly batch: DividedBatch;
  readonly request: BatchRequest;
  readonly dueMin: number;
}

/** The batch as it comes out, and the button that makes it an order of the day. */
function Divided({ batch, request, dueMin }: DividedProps) {
  const { book, plan, edit } = usePicked("book", "plan", "edit");
  const router = useRouter();
  const { piece, shaped, count, others, doughUsedG, doughLeftG, fillingUsedG } = batch;
  const mixedG = findMixedG(book, plan, piece.doughId);
  const roomShare = shaped.portion.volumeMl > 0 ? shaped.formed.capacityMl / shaped.formed.mostMl : 0;
  const take = () => {
    const { day } = book;
    const orderOf = (pieceId: string, pieces: number) => {
      const id = createId("order");
      const record = { ...NEW_ORDER_REST, id, dayId: day.id, pieceId, count: pieces, dueMin, customer: "" };
      return { kind: "order" as const, id, record };
    };
    const mixing = (formulaId: string, batchG: number) => {
      const record = { ...toWeighing(book, formulaId), mixG: batchG + findMixedG(book, plan, formulaId) };
      return { kind: "weighing" as const, id: record.id, record };
    };
    edit([
      { kind: "piece", id: piece.id, record: piece },
      orderOf(piece.id, count),
      ...others.flatMap((other) => [
        { kind: "piece" as const, id: other.piece.id, record: other.piece },
        orderOf(other.piece.id, other.count),
      ]),
      mixing(piece.doughId, request.doughG),
      ...(request.fillingG !== null ? [mixing(piece.fillingId, request.fillingG)] : []),
      ...(request.layers ?? []).map(({ fillingId, massG }) => mixing(fillingId, massG)),
    ]);
    router.push(`/day/${day.date}/orders`);
  };
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="figure text-7xl" data-testid="batch-count">
          {count}
        </span>
        <span className="text-2xl">{piece.name}</span>
        {others.map((other) => (
          <span key={other.piece.id} className="text-xl">
            and <span className="figure text-4xl">{other.count}</span> {other.piece.name}
          </span>
        ))}
      </p>
      <div className="flex flex-wrap gap-x-8 gap-y-2">
        <Fact
          label="dough each"
          value={formatMass(shaped.masses.blankG)}
          note={`${describeOutline(piece.cut)}, ${formatLength(piece.thicknessMm)} thick`}
        />
        <Fact
          label="filling each"
          value={formatMass(shaped.portion.massG)}
          note={`${shaped.portion.spoons}${shaped.overMl > 0 ? "" : `, ${formatNumber(roomShare * 100)} % of its room`}`}
        />
        <Fact
          label="dough left"
          value={formatMass(Math.max(doughLeftG, 0))}
          note={`of ${formatMass(request.doughG)}; ${formatMass(doughUsedG)} is rolled`}
        />
        {mixedG > 0 && (
          <Fact
            label="mixed in all"
            value={formatMass(request.doughG + mixedG)}
            note={`the day mixes ${formatMass(mixedG)} of it already`}
          />
        )}
        {request.fillingG === null && (
          <Fact label="filling needed" value={formatMass(fillingUsedG)} note="as full as it is set" />
        )}
      </div>
      {shaped.overMl > 0 && (
        <p role="alert" className="rounded-lg border-l-4 border-warning bg-base-200 px-3 py-2">
          {formatNumber(shaped.overMl, 1)} ml more in each than it has room for: it{" "}
          {shaped.seal ? "bursts the seam" : "boils over"}. Make less of the filling, or fill each as full as
          it is set.
        </p>
      )}
      <div className="min-h-[180px] flex-1">
        <SectionDrawing formed={shaped.formed} name={piece.name} />
      </div>
      <button type="button" className="btn btn-primary touch self-start text-base" onClick={take}>
        Make {formatCount(count, "piece")} of it for {formatClock(dueMin)}
      </button>
    </>
  );
}
