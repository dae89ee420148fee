"use client";

import { useState } from "react";
import { useRouter } from "next/navigation";
import { computeTotalG, computeYieldShare, type Formula } from "@/core/formula";
import {
  describeBatchFault,
  findMixedG,
  listFollows,
  type BatchFault,
  type BatchRequest,
  type DividedBatch,
  type Follows,
  type LayerOver,
  type Piece,
} from "@/core/plan";
import type { Result } from "@/core/result";
import { describeOutline } from "@/core/shape";
import { formatClock, formatCount, formatLength, formatMass, formatNumber, parseClock } from "@/core/units";
import { batchLimits, pieceLimits } from "@/schemas/limits";
import { createDivisionClient, type DivisionRequest } from "@/workers/createPlanClient";
import { usePicked } from "../bench/BenchProvider";
import { createId } from "../bench/createId";
import { useLatest } from "../bench/useLatest";
import { checkClock } from "../controls/checks";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { Fact } from "../controls/Fact";
import { Select } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { toWeighing } from "../mix/useWeighing";

/** Usable mass of a formula as it is written, g. */
const usableG = (formula: Formula | undefined) =>
  formula ? computeTotalG(formula) * computeYieldShare(formula) : 0;

/** Pieces to begin with, of no batch in particular. */
const FIRST_PIECES = 12;
const FIRST_EACH_G = 50;

type Division = BatchRequest["division"]["by"];

/** What the baker says of the batch; masses that are null follow the formulas as they are written. */
interface Wish {
  readonly pieceId: string;
  readonly by: Division;
  readonly pieces: number;
  readonly eachG: number;
  readonly otherId: string;
  readonly each: number;
  readonly otherEach: number;
  readonly follows: Follows;
  readonly doughG: number | null;
  readonly fills: "set" | "even";
  readonly fillingG: number | null;
  /** Of the piece's level layers, those that are given over the batch. */
  readonly layers: readonly LayerOver[];
  readonly dueMin: number;
}

/** A batch comes first: this dough into twelve, as many as weigh so much, or as many as it gives. */
export function BatchPage() {
  const { book } = usePicked("book");
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
  const request = piece ? toRequest(wish, piece, book.formulas) : null;
  const { answer, isBusy, fault } = useLatest<DivisionRequest, Result<DividedBatch, BatchFault>>(
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
          {fault && (
            <p role="alert" className="text-error">
              {fault} Reload the page.
            </p>
          )}
          {!answer ? (
            <p className="quiet">reckoning…</p>
          ) : answer.output.ok ? (
            <Divided batch={answer.output.value} request={answer.input.request} dueMin={wish.dueMin} />
          ) : (
            <p role="alert" className="rounded-lg border-l-4 border-error bg-base-200 px-3 py-2 text-lg">
              {describeBatchFault(answer.output.failure)}
            </p>
          )}
        </div>
      }
      side={<BatchDials wish={wish} set={set} piece={piece} request={request} />}
    />
  );
}

function toRequest(wish: Wish, piece: Piece, formulas: readonly Formula[]): BatchRequest {
  const massOf = (id: string) => usableG(formulas.find((formula) => formula.id === id));
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
      const record = { id, dayId: day.id, pieceId, count: pieces, dueMin, customer: "" };
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
          value={formatMass(shaped.blankG)}
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

interface LayerProps {
  readonly name: string;
  readonly heightMm: number;
  /** Over the batch; null where it is as high as it is set. */
  readonly massG: number | null;
  /** What its formula gives as it is written. */
  readonly writtenG: number;
  readonly onChange: (massG: number | null) => void;
}

/** A level layer: as high as it is set in each, or so much over the whole batch. */
function LayerDials({ name, heightMm, massG, writtenG, onChange }: LayerProps) {
  return (
    <>
      <Choice
        legend={`${name} lies under it`}
        value={massG === null ? "set" : "over"}
        onChange={(kind) => onChange(kind === "set" ? null : Math.max(Math.round(writtenG), 1))}
        options={[
          { id: "set", title: `${formatLength(heightMm)} high in each` },
          { id: "over", title: "so much over the batch" },
        ]}
      />
      {massG !== null && (
        <Dial
          limit={{ ...batchLimits.doughG, label: "Over the batch" }}
          value={massG}
          sliderMax={1500}
          onChange={onChange}
        />
      )}
    </>
  );
}

interface DialsProps {
  readonly wish: Wish;
  readonly set: (fields: Partial<Wish>) => void;
  readonly piece: Piece;
  readonly request: BatchRequest;
}

function BatchDials({ wish, set, piece, request }: DialsProps) {
  const { book } = usePicked("book");
  const mates = book.pieces.filter(({ id, doughId }) => id !== piece.id && doughId === piece.doughId);
  const follows = listFollows(piece.form);
  const nameOf = (id: string) => book.formulas.find((formula) => formula.id === id)?.name ?? "";
  return (
    <>
      <Select
        label="Piece"
        value={piece.id}
        options={book.pieces.map(({ id, name }) => ({ id, name }))}
        onChange={(pieceId) => set({ pieceId, otherId: "", doughG: null, fillingG: null, layers: [] })}
      />
      <Dial
        limit={{ ...batchLimits.doughG, label: `Batch of ${nameOf(piece.doughId)}` }}
        value={Math.round(request.doughG)}
        sliderMax={3000}
        hint={wish.doughG === null ? "as the formula is written" : ""}
        onChange={(doughG) => set({ doughG })}
      />
      <Choice
        legend="It is divided"
        value={wish.by}
        onChange={(by) => set({ by })}
        options={[
          { id: "into", title: "into so many" },
          { id: "each", title: "by weight each" },
          { id: "sets", title: "as many as it gives" },
        ]}
      />
      {wish.by === "into" && (
        <Dial
          limit={batchLimits.pieces}
          value={wish.pieces}
          sliderMax={48}
          onChange={(pieces) => set({ pieces })}
        />
      )}
      {wish.by === "each" && (
        <Dial
          limit={batchLimits.eachG}
          value={wish.eachG}
          sliderMax={200}
          onChange={(eachG) => set({ eachG })}
        />
      )}
      {wish.by === "sets" && mates.length > 0 && (
        <Select
          label="Together with"
          value={wish.otherId}
          options={[{ id: "", name: "nothing else" }, ...mates.map(({ id, name }) => ({ id, name }))]}
          onChange={(otherId) => set({ otherId })}
        />
      )}
      {wish.by === "sets" && wish.otherId !== "" && (
        <>
          <Dial
            limit={{ ...batchLimits.each, label: `${piece.name}, in a set` }}
            value={wish.each}
            onChange={(each) => set({ each })}
          />
          <Dial
            limit={{
              ...batchLimits.each,
              label: `${mates.find(({ id }) => id === wish.otherId)?.name ?? ""}, in a set`,
            }}
            value={wish.otherEach}
            onChange={(otherEach) => set({ otherEach })}
          />
        </>
      )}
      {wish.by !== "sets" && follows.length > 1 && (
        <Choice
          legend="So that it weighs that"
          value={request.follows}
          onChange={(next) => set({ follows: next })}
          options={[
            { id: "size", title: `it is cut to fit, ${formatLength(piece.thicknessMm)} thick` },
            { id: "thickness", title: `it is rolled to fit, ${describeOutline(piece.cut)}` },
          ]}
        />
      )}
      {wish.by !== "sets" && follows.length === 1 && (
        <p className="quiet text-sm">
          Its size is given, so it is rolled between {pieceLimits.thicknessMm.min} and{" "}
          {pieceLimits.thicknessMm.max} mm to weigh that.
        </p>
      )}
      <Choice
        legend={`${nameOf(piece.fillingId)} goes in`}
        value={wish.fills}
        onChange={(fills) => set({ fills })}
        options={[
          { id: "even", title: "all of it, evenly" },
          { id: "set", title: "as full as set" },
        ]}
      />
      {wish.fills === "even" && (
        <Dial
          limit={{ ...batchLimits.doughG, label: "All of it is" }}
          value={Math.round(request.fillingG ?? 0)}
          sliderMax={3000}
          hint={wish.fillingG === null ? "as its formula is written" : ""}
          onChange={(fillingG) => set({ fillingG })}
        />
      )}
      {piece.extras.flatMap((extra) =>
        extra.kind === "layer" ? (
          <LayerDials
            key={extra.fillingId}
            name={nameOf(extra.fillingId)}
            heightMm={extra.heightMm}
            massG={wish.layers.find(({ fillingId }) => fillingId === extra.fillingId)?.massG ?? null}
            writtenG={usableG(book.formulas.find(({ id }) => id === extra.fillingId))}
            onChange={(massG) => {
              const { fillingId } = extra;
              const rest = wish.layers.filter((layer) => layer.fillingId !== fillingId);
              set({ layers: massG === null ? rest : [...rest, { fillingId, massG }] });
            }}
          />
        ) : (
          []
        ),
      )}
      <TextField
        label="By"
        value={formatClock(wish.dueMin)}
        check={checkClock}
        onCommit={(text) => {
          const parsed = parseClock(text);
          if (parsed.ok) set({ dueMin: parsed.value });
        }}
      />
    </>
  );
}
