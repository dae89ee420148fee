"use client";

import { useState } from "react";
import {
  causesOf,
  figureFacts,
  figureIds,
  troubleNames,
  troubles,
  type FigureId,
  type LotFigures,
  type RemedyChange,
  type Trouble,
} from "@/core/remedy";
import { planFigures, readPieceNow, toPieceChange } from "@/core/run";
import { formatNumber, parseNumber } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { usePicked } from "../bench/BenchProvider";
import { Select } from "../controls/Select";
import { StationLayout } from "../controls/StationLayout";
import { TextField } from "../controls/TextField";
import { CauseList } from "./CauseList";

/** All that may have been it. */
const MOST_CAUSES = 8;
const NO_PIECE = "";

/** A trouble looked up by hand: of a piece of the day or of none, with what is known of its lot. */
export function WhyPage() {
  const { book, plan, edit } = usePicked("book", "plan", "edit");
  const [trouble, setTrouble] = useState<Trouble>("seamBurst");
  const [pieceId, setPieceId] = useState(NO_PIECE);
  const [known, setKnown] = useState<LotFigures>({});
  const line = plan.lines.find(({ piece }) => piece.id === pieceId) ?? null;
  const planned: LotFigures = line ? planFigures(line, book) : {};
  const speaking = figureIds.filter((id) => causesOf[trouble].some(({ where }) => id in where));
  const take = (change: RemedyChange) => {
    const set = line && toPieceChange(change, line.piece);
    if (line && set) edit([{ kind: "piece", id: line.piece.id, record: { ...line.piece, ...set } }]);
  };
  return (
    <StationLayout
      label="What went wrong, and why"
      surface={
        <div className="flex max-w-3xl flex-col gap-3">
          <h2 className="text-2xl">What went wrong, and why</h2>
          <CauseList
            trouble={trouble}
            figures={{ ...planned, ...known }}
            now={line && readPieceNow(line.piece)}
            most={MOST_CAUSES}
            onTake={line ? take : null}
          />
        </div>
      }
      side={
        <>
          <Select
            label="Trouble"
            value={trouble}
            options={troubles.map((each) => ({ id: each, name: troubleNames[each] }))}
            onChange={setTrouble}
          />
          <Select
            label="Of which piece"
            value={pieceId}
            options={[
              { id: NO_PIECE, name: "none of today’s" },
              ...plan.lines.map(({ piece }) => ({ id: piece.id, name: piece.name })),
            ]}
            onChange={setPieceId}
          />
          <h2 className="text-lg">What is known of the lot</h2>
          {speaking.map((id) => (
            <FigureField
              key={`${trouble} ${id}`}
              id={id}
              value={known[id] ?? planned[id]}
              onCommit={(value) => {
                const others = Object.entries(known).filter(([each]) => each !== id);
                setKnown(Object.fromEntries(value === null ? others : [...others, [id, value]]));
              }}
            />
          ))}
        </>
      }
    />
  );
}

/** Beyond this it was misread. */
const MOST = 500;

function FigureField({
  id,
  value,
  onCommit,
}: {
  readonly id: FigureId;
  readonly value: number | undefined;
  readonly onCommit: (value: number | null) => void;
}) {
  const { name, unit } = figureFacts[id];
  const scale = unit === "%" ? 100 : 1;
  const sign = unit === "±°C" ? "°C, colder with a minus" : unit;
  return (
    <TextField
      label={`${name.charAt(0).toUpperCase()}${name.slice(1)}${sign && `, ${sign}`}`}
      value={value === undefined ? "" : formatNumber(value * scale, 1)}
      check={(text) => {
        if (text.trim() === "") return null;
        const parsed = parseNumber(text);
        if (!parsed.ok) return sayParseFailure(parsed.failure);
        return Math.abs(parsed.value) > MOST ? `Give a figure between −${MOST} and ${MOST}.` : null;
      }}
      onCommit={(text) => {
        const parsed = parseNumber(text);
        onCommit(text.trim() === "" || !parsed.ok ? null : parsed.value / scale);
      }}
    />
  );
}
