import type { DaySummary } from "@/core/run";
import { formatClock } from "@/core/units";
import { writeCsv } from "./writeCsv";

/** The book of days, a piece of a day a row. Money in the smallest coin. */
export const toDaysCsv = (days: readonly DaySummary[]): string =>
  writeCsv(
    days.flatMap((day) =>
      day.pieces.map((piece) => ({
        date: day.date,
        day: day.name,
        "planned end": formatClock(day.plannedEndMin),
        end: day.endMin === null ? "" : formatClock(Math.round(day.endMin)),
        piece: piece.name,
        ordered: piece.ordered,
        made: piece.made,
        sold: piece.sold ?? "",
        lost: piece.lost,
        "went wrong": Object.entries(piece.faults)
          .map(([fault, count]) => `${count} ${fault}`)
          .join("; "),
        "planned min": Math.round(piece.plannedMin),
        "took min": Math.round(piece.tookMin),
        "ingredients, smallest coin": Math.round(piece.ingredientsMinor),
        "oven kWh": piece.heatKwh ? Math.round(piece.heatKwh * 100) / 100 : "",
      })),
    ),
  );
