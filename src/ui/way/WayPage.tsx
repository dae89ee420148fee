"use client";

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
  type UniqueIdentifier,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { useState } from "react";
import type { Piece } from "@/core/plan";
import {
  addFigure,
  checkWay,
  dropFigure,
  factsOf,
  findReadyWay,
  insertStep,
  moveStep,
  removeStep,
  settleWay,
  type StepKind,
  type Way,
} from "@/core/way";
import { sayFailure } from "@/core/words";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { StationLayout } from "../controls/StationLayout";
import { MissingPiece } from "../piece/MissingPiece";
import { AddStep } from "./AddStep";
import { OtherWays } from "./OtherWays";
import { StepPanel } from "./StepPanel";
import { StepRow } from "./StepRow";
import { timeSteps } from "./wayClock";
import { WayTotals } from "./WayTotals";

/** How one piece goes, step by step against the clock; every step can be set, moved, added and taken away. */
export function WayPage({ pieceId }: { readonly pieceId: string }) {
  const piece = useBench((state) => state.book.pieces.find(({ id }) => id === pieceId));
  return piece ? <WayEditor piece={piece} /> : <MissingPiece />;
}

type Panel = "ways" | "add" | null;

function WayEditor({ piece }: { readonly piece: Piece }) {
  const plan = useBench((state) => state.plan);
  const { editPiece } = usePieceEdit(piece);
  const [pickedId, setPickedId] = useState<string | null>(null);
  const [panel, setPanel] = useState<Panel>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const line = plan.lines.find((each) => each.piece.id === piece.id) ?? null;
  const { way } = piece;
  const picked = way.find(({ id }) => id === pickedId) ?? way.find(({ kind }) => kind === "fill") ?? way[0];

  /** Takes a change, unless that brings an order that cannot be. */
  const take = (fields: Partial<Piece>): boolean => {
    const next = { ...piece, ...fields };
    const old = checkWay(way, piece).map(sayFailure);
    const fault = checkWay(settleWay(next.way, next), next)
      .map(sayFailure)
      .find((words) => !old.includes(words));
    setRefusal(fault ?? null);
    if (!fault) editPiece(fields);
    return !fault;
  };
  const move = (id: string, to: number) => to >= 0 && to < way.length && take({ way: moveStep(way, id, to) });
  const remove = (id: string) => {
    const step = way.find((each) => each.id === id);
    if (step && take({ ...dropFigure(step.kind, piece), way: removeStep(way, id) })) setPickedId(null);
  };
  const add = (kind: StepKind) => {
    const figures = addFigure(kind, piece);
    const isFigure = Object.keys(figures).length > 0;
    const heat = way.findLast(({ heatC }) => heatC !== null)?.heatC ?? null;
    const heated = kind === "bake" || kind === "fry" || kind === "warmUp";
    const next: Way = isFigure ? way : insertStep(way, kind, heated ? { heatC: heat ?? 190 } : {});
    if (!take({ ...figures, way: next })) return;
    setPickedId(
      settleWay(next, { ...piece, ...figures }).find(({ id }) => !way.some((each) => each.id === id))?.id ??
        null,
    );
    setPanel(null);
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      move(
        String(active.id),
        way.findIndex(({ id }) => id === over.id),
      );
  };
  const nameOf = (id: UniqueIdentifier) => factsOf(way.find((step) => step.id === id)?.kind ?? "roll").name;
  const placeOf = (id: UniqueIdentifier) => way.findIndex((step) => step.id === id) + 1;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active.id)} is picked up.`,
    onDragOver: ({ active, over }) =>
      over ? `${nameOf(active.id)} is over step ${placeOf(over.id)} of ${way.length}.` : undefined,
    onDragEnd: ({ active, over }) =>
      over ? `${nameOf(active.id)} stands at step ${placeOf(over.id)} of ${way.length}.` : undefined,
    onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
  };
  const times = timeSteps(line, plan, way);
  return (
    <StationLayout
      label={`The way ${piece.name} goes`}
      surface={
        <div className="flex flex-col gap-3">
          <header className="flex flex-wrap items-center gap-x-4 gap-y-2">
            <h2 className="flex flex-wrap items-baseline gap-x-3 text-3xl">
              {piece.name} <span className="quiet text-base">the way it goes</span>
            </h2>
            <WayTotals piece={piece} line={line} />
          </header>
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className={`btn touch ${panel === "ways" ? "btn-primary" : ""}`}
              aria-pressed={panel === "ways"}
              onClick={() => setPanel(panel === "ways" ? null : "ways")}
            >
              {findReadyWay(piece.form, way)?.name ?? "Your own way"}
              <span className="ml-1 font-normal">others…</span>
            </button>
            <button
              type="button"
              className={`btn touch ${panel === "add" ? "btn-primary" : ""}`}
              aria-pressed={panel === "add"}
              onClick={() => setPanel(panel === "add" ? null : "add")}
            >
              + a step
            </button>
          </div>
          {refusal && (
            <p role="alert" className="rounded-lg border-2 border-error bg-base-100 p-3">
              Not changed. {refusal}
            </p>
          )}
          {panel === "ways" && (
            <OtherWays
              piece={piece}
              onTake={(fields) => {
                if (take(fields)) setPanel(null);
              }}
            />
          )}
          {panel === "add" && <AddStep piece={piece} onAdd={add} />}
          <DndContext
            sensors={sensors}
            collisionDetection={closestCenter}
            accessibility={{ announcements }}
            onDragEnd={onDragEnd}
          >
            <SortableContext items={way.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
              <ol aria-label="Steps" className="flex flex-col">
                {way.map((step, i) => (
                  <StepRow
                    key={step.id}
                    step={step}
                    time={times[i] ?? { atMin: null, handsMin: null }}
                    piece={piece}
                    line={line}
                    isPicked={step.id === picked?.id}
                    isSameMinute={i > 0 && times[i]?.atMin === times[i - 1]?.atMin}
                    onPick={() => setPickedId(step.id)}
                  />
                ))}
              </ol>
            </SortableContext>
          </DndContext>
        </div>
      }
      side={
        picked && (
          <StepPanel
            key={picked.id}
            step={picked}
            piece={piece}
            line={line}
            at={way.indexOf(picked)}
            onTake={take}
            onMove={(to) => move(picked.id, to)}
            onRemove={() => remove(picked.id)}
          />
        )
      }
    />
  );
}
