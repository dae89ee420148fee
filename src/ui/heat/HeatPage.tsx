"use client";

import { useState } from "react";
import { toBaked } from "@/core/plan";
import { usePicked } from "../bench/BenchProvider";
import { Choice } from "../controls/Choice";
import { MissingPiece } from "../piece/MissingPiece";
import { ChillFace } from "./ChillFace";
import { CoolFace } from "./CoolFace";
import { FryFace } from "./FryFace";
import { ScaleFace } from "./ScaleFace";

const faces = [
  { id: "scale", title: "Another size or oven" },
  { id: "chill", title: "Chilling" },
  { id: "cool", title: "Cooling" },
  { id: "fry", title: "In oil" },
] as const;
type Face = (typeof faces)[number]["id"];

/** What heat and cold do to a piece: another size or oven from the bake that is known, chilling, cooling, and oil. */
export function HeatPage({ pieceId }: { readonly pieceId: string }) {
  const { book, plan } = usePicked("book", "plan");
  const piece = book.pieces.find(({ id }) => id === pieceId);
  const shaped = plan.shaped[pieceId];
  const [face, setFace] = useState<Face>("scale");
  const baked = piece && shaped ? toBaked(piece, shaped, book, plan.analyses) : null;
  if (!piece || !shaped || !baked) return <MissingPiece />;
  const facts = { piece, shaped, baked, book };
  const tabs = <Choice legend={`Heat and ${piece.name}`} value={face} onChange={setFace} options={faces} />;
  if (face === "chill") return <ChillFace {...facts} tabs={tabs} />;
  if (face === "cool") return <CoolFace {...facts} tabs={tabs} />;
  if (face === "fry") return <FryFace {...facts} tabs={tabs} />;
  return <ScaleFace {...facts} tabs={tabs} />;
}
