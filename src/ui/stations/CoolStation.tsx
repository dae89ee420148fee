"use client";

import { formatClock, formatCount, formatDuration, formatMass } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { usePieceEdit } from "../bench/usePieceEdit";
import { CautionList } from "../controls/CautionList";
import { Dial } from "../controls/Dial";
import { EmptyDay } from "../controls/EmptyDay";
import { PieceTabs, useSelectedLine } from "../controls/PieceTabs";
import { ProblemList } from "../controls/ProblemList";
import { StationLayout } from "../controls/StationLayout";
import { pieceLimits } from "@/schemas/limits";
import type { PiecePlan } from "@/core/plan";

/** When each load is cool, set out and ready against its promise. */
export function CoolStation() {
  const plan = useBench((state) => state.plan);
  const line = useSelectedLine();
  if (!line) return <EmptyDay station="cool" />;
  const finishes = plan.tasks.filter(({ kind }) => kind === "finish");
  return (
    <StationLayout
      label="Cool and finish"
      surface={
        <div className="flex flex-col gap-3">
          <ProblemList station="cool" />
          <div className="overflow-x-auto">
            <table className="w-full">
              <caption className="quiet text-left">Each load out of the oven, cooled and set out</caption>
              <thead>
                <tr className="text-left">
                  <th scope="col" className="py-1 font-normal">
                    Load
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Pieces
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Out
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Cool by
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Ready
                  </th>
                </tr>
              </thead>
              <tbody>
                {finishes.map((task) => {
                  const bake = plan.tasks.find(
                    ({ kind, pieceId, index }) =>
                      kind === "bake" && pieceId === task.pieceId && index === task.index,
                  );
                  const coolMin =
                    plan.lines.find(({ piece }) => piece.id === task.pieceId)?.piece.coolMin ?? 0;
                  return (
                    <tr key={task.id} className="border-t border-base-300">
                      <th scope="row" className="py-2 text-left font-normal">
                        {task.label.replace(/^Set out /, "")}
                      </th>
                      <td className="figure text-right text-lg">{task.pieces}</td>
                      <td className="figure text-right text-lg">
                        {bake ? formatClock(bake.placed.endMin) : "–"}
                      </td>
                      <td className="figure text-right text-lg">
                        {bake ? formatClock(bake.placed.endMin + coolMin) : "–"}
                      </td>
                      <td className="figure text-right text-2xl">{formatClock(task.placed.endMin)}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        </div>
      }
      side={<CoolDials line={line} />}
    />
  );
}

function CoolDials({ line }: { readonly line: PiecePlan }) {
  const { piece } = line;
  const { editPiece } = usePieceEdit(piece);
  return (
    <>
      <PieceTabs />
      <header>
        <h2 className="text-xl">{piece.name}</h2>
        <p className="quiet text-sm">
          {formatCount(line.made, "piece")} of {formatMass(line.bakedPieceG)}
        </p>
      </header>
      <Dial
        limit={pieceLimits.coolMin}
        value={piece.coolMin}
        sliderMax={90}
        onChange={(coolMin) => editPiece({ coolMin })}
      />
      <p className="text-sm">
        This load stands {formatDuration(piece.coolMin)}
        {piece.wash.sugar === "after" && ", then is sugared"}.
      </p>
      <CautionList station="cool" pieceId={piece.id} />
    </>
  );
}
