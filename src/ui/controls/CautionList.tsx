"use client";

import { ShieldAlert } from "lucide-react";
import type { CautionStation } from "@/core/cautions";
import { useBench } from "../bench/BenchProvider";

interface Props {
  readonly station: CautionStation;
  /** Only what is for this piece; null for the whole day. */
  readonly pieceId: string | null;
}

/** What can hurt someone at this step. */
export function CautionList({ station, pieceId }: Props) {
  const cautions = useBench((state) => state.plan.cautions);
  const here = cautions.filter(
    (caution) => caution.station === station && (pieceId === null || caution.pieceIds.includes(pieceId)),
  );
  if (here.length === 0) return null;
  return (
    <ul aria-label="Cautions" className="flex flex-col gap-1.5 text-sm">
      {here.map(({ text }) => (
        <li key={text} className="flex gap-2 rounded-lg border border-base-300 p-2.5">
          <ShieldAlert size={18} className="mt-0.5 shrink-0 text-accent" aria-hidden />
          <span>{text}</span>
        </li>
      ))}
    </ul>
  );
}
