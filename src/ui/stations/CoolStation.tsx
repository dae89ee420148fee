"use client";

import { formatClock, formatCount, formatDuration, formatMass } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { CautionList } from "../controls/CautionList";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationSteps } from "../controls/StationSteps";
import { StationLayout } from "../controls/StationLayout";
import { pieceLimits } from "@/schemas/limits";
import type { DayPlan, DayTask, Piece, PiecePlan } from "@/core/plan";
import { findCoolMin, findUnmould, setStep, withCool, withUnmould, type UnmouldWindow } from "@/core/way";
import { glazeFacts } from "@/core/sealing";
import { Select, toOptions } from "../controls/Select";
import { glazeNames } from "../piece/words";
import { DataTable, type Column } from "../table/DataTable";
import { StationHelp } from "./StationHelp";

interface CoolRow {
  readonly task: DayTask;
  /** Out of its last heat, and cool; null where it was in none. */
  readonly outMin: number | null;
  readonly coolMin: number | null;
}

function toRow(plan: DayPlan, task: DayTask): CoolRow {
  const outMin = findLastHeat(plan, task)?.placed.endMin ?? null;
  const way = plan.lines.find(({ piece }) => piece.id === task.pieceId)?.piece.way ?? [];
  return { task, outMin, coolMin: outMin === null ? null : outMin + findCoolMin(way) };
}

const clock = (minute: number | null) => (minute === null ? "–" : formatClock(minute));
const columns: readonly Column<CoolRow>[] = [
  { id: "load", title: "Load", isHead: true, cell: ({ task }) => task.label.replace(/^Set out /, "") },
  {
    id: "pieces",
    title: "Pieces",
    isMostFirst: true,
    isFigure: true,
    className: "figure text-lg",
    cell: ({ task }) => task.pieces,
    sortBy: ({ task }) => task.pieces,
  },
  {
    id: "out",
    title: "Out",
    isFigure: true,
    className: "figure text-lg",
    cell: ({ outMin }) => clock(outMin),
    sortBy: ({ outMin }) => outMin,
  },
  {
    id: "cool",
    title: "Cool by",
    isFigure: true,
    className: "figure text-lg",
    cell: ({ coolMin }) => clock(coolMin),
    sortBy: ({ coolMin }) => coolMin,
  },
  {
    id: "ready",
    title: "Ready",
    isFigure: true,
    className: "figure text-2xl",
    cell: ({ task }) => formatClock(task.placed.endMin),
    sortBy: ({ task }) => task.placed.endMin,
  },
];

/** When each load is cool, set out and ready against its promise. */
export function CoolStation() {
  const plan = useBench((state) => state.plan);
  const line = useSelectedLine();
  if (!line) return <EmptyDay station="cool" />;
  const finishes = plan.tasks.filter(({ kind }) => kind === "finish");
  return (
    <StationLayout
      label="Cool and finish"
      help={<StationHelp station="cool" />}
      surface={
        <div className="flex flex-col gap-3">
          <ProblemList station="cool" />
          <div className="overflow-x-auto">
            <DataTable
              caption="Each load out of the oven, cooled and set out"
              isCaptionShown
              rows={finishes.map((task) => toRow(plan, task))}
              idOf={({ task }) => task.id}
              columns={columns}
            />
          </div>
        </div>
      }
      side={<CoolDials line={line} />}
    />
  );
}

/** The heat that a load comes out of for good: not the bake of its empty shell. */
function findLastHeat({ tasks }: DayPlan, { pieceId, index, placed }: DayTask): DayTask | undefined {
  return tasks
    .filter(
      (task) =>
        task.machineId !== null &&
        task.pieceId === pieceId &&
        task.index === index &&
        task.placed.endMin <= placed.startMin,
    )
    .toSorted((a, b) => b.placed.endMin - a.placed.endMin)[0];
}

function CoolDials({ line }: { readonly line: PiecePlan }) {
  const { piece, editPiece } = usePieceEdit(line.piece);
  const glazed = piece.way.find(({ kind }) => kind === "glaze");
  return (
    <>
      <PieceTabs />
      <header>
        <h2 className="text-xl">{piece.name}</h2>
        <p className="quiet text-sm">
          {formatCount(line.counts.made, "piece")} of {formatMass(line.shaped.masses.bakedPieceG)}
        </p>
      </header>
      <Dial
        limit={pieceLimits.coolMin}
        value={findCoolMin(piece.way)}
        sliderMax={90}
        onChange={(coolMin) => editPiece({ way: withCool(piece.way, coolMin) })}
      />
      <p className="text-sm">
        This load stands {formatDuration(findCoolMin(piece.way))}
        {piece.wash.sugar === "after" && ", then is sugared"}.
      </p>
      {piece.vesselId !== null && <UnmouldDials piece={piece} />}
      <Select
        label="Glaze"
        value={piece.glaze.kind}
        options={toOptions(glazeNames)}
        hint={
          piece.glaze.kind === "none"
            ? undefined
            : `${glazeFacts[piece.glaze.kind].goesOn}; ${formatMass(line.coats.glazeG)} in all`
        }
        onChange={(kind) => editPiece({ glaze: { kind } })}
      />
      {glazed && (
        <Dial
          limit={pieceLimits.glazeDryMin}
          value={glazed.minutes}
          sliderMax={60}
          onChange={(minutes) => editPiece({ way: setStep(piece.way, glazed.id, { minutes }) })}
        />
      )}
      <StationSteps line={line} station="cool" />
      <CautionList station="cool" pieceId={piece.id} />
    </>
  );
}

/** When a piece leaves its mould: set, and before its syrup holds it. */
function UnmouldDials(props: { readonly piece: Piece }) {
  const { piece, editPiece } = usePieceEdit(props.piece);
  const unmould = findUnmould(piece.way);
  const first = { fromMin: 10, untilMin: null };
  const edit = (window: UnmouldWindow | null) => editPiece({ way: withUnmould(piece.way, window) });
  return (
    <>
      <label className="touch flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox"
          checked={unmould !== null}
          onChange={(event) => edit(event.target.checked ? first : null)}
        />
        Taken out of its mould
      </label>
      {unmould && (
        <>
          <Dial
            limit={pieceLimits.unmouldFromMin}
            value={unmould.fromMin}
            sliderMax={60}
            hint="set custards and sticky tarts stand first"
            onChange={(fromMin) =>
              edit({
                fromMin,
                untilMin: unmould.untilMin === null ? null : Math.max(unmould.untilMin, fromMin),
              })
            }
          />
          <label className="touch flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox"
              checked={unmould.untilMin !== null}
              onChange={(event) =>
                edit({
                  ...unmould,
                  untilMin: event.target.checked ? unmould.fromMin + LATEST_AFTER_MIN : null,
                })
              }
            />
            Before syrup glues it
          </label>
          {unmould.untilMin !== null && (
            <Dial
              limit={{ ...pieceLimits.unmouldUntilMin, min: Math.max(unmould.fromMin, 1) }}
              value={unmould.untilMin}
              sliderMax={120}
              onChange={(untilMin) => edit({ ...unmould, untilMin })}
            />
          )}
        </>
      )}
    </>
  );
}

/** A window of so long is a start, min. */
const LATEST_AFTER_MIN = 15;
