"use client";

import { listFollows, type BatchRequest, type Piece } from "@/core/plan";
import { describeOutline } from "@/core/shape";
import { formatClock, formatLength, parseClock } from "@/core/units";
import { batchLimits, pieceLimits } from "@/schemas/limits";
import { useBench, usePicked } from "../bench/BenchProvider";
import { checkClock } from "../controls/checks";
import { Choice } from "../controls/Choice";
import { Dial } from "../controls/Dial";
import { PiecePicker } from "../controls/PiecePicker";
import { Select } from "../controls/Select";
import { TextField } from "../controls/TextField";
import { usableG, type Wish } from "./wish";

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

/** What the baker says of the batch. */
export function BatchDials({ wish, set, piece, request }: DialsProps) {
  const { book } = usePicked("book");
  const liquidAims = useBench((state) => state.plan.liquidAims);
  const mates = book.pieces.filter(({ id, doughId }) => id !== piece.id && doughId === piece.doughId);
  const follows = listFollows(piece.form);
  const nameOf = (id: string) => book.formulas.find((formula) => formula.id === id)?.name ?? "";
  return (
    <>
      <PiecePicker
        selectedId={piece.id}
        onPick={(pieceId) => set({ pieceId, otherId: "", doughG: null, fillingG: null, layers: [] })}
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
          {formatLength(pieceLimits.thicknessMm.max)} to weigh that.
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
            writtenG={usableG(
              book.formulas.find(({ id }) => id === extra.fillingId),
              liquidAims,
            )}
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
