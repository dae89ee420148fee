import { sumDays, type DaySummary } from "@/core/run";
import { formatClock, formatDuration, formatMass, formatMoney } from "@/core/units";
import { formatDayDate } from "../shell/formatDayDate";
import { countDay, tellFaults } from "./findDays";

interface Props {
  readonly one: DaySummary;
  readonly other: DaySummary;
}

/** Two days side by side, the earlier first. */
export function CompareDays({ one, other }: Props) {
  const days = [one, other].sort((a, b) => (a.date < b.date ? -1 : 1));
  const pieces = new Map(
    days.flatMap((day) => day.pieces.map(({ pieceId, name }) => [pieceId, name] as const)),
  );
  const rows: readonly (readonly [string, (day: DaySummary) => string])[] = [
    ["made", (day) => String(countDay(day).made)],
    ["sold", (day) => String(countDay(day).sold ?? "–")],
    [
      "all done",
      ({ endMin, plannedEndMin }) =>
        `${endMin === null ? "–" : formatClock(Math.round(endMin))}, planned ${formatClock(plannedEndMin)}`,
    ],
    ["jobs took", (day) => formatDuration(Math.round(sumDays([day]).tookMin))],
    ["planned", (day) => formatDuration(Math.round(sumDays([day]).plannedMin))],
    ["went wrong", (day) => tellFaults(day) || "nothing"],
    ["ingredients", (day) => formatMoney(sumDays([day]).ingredientsMinor)],
    ["trim", ({ trimG }) => formatMass(trimG)],
    ...[...pieces].map(([id, name]): readonly [string, (day: DaySummary) => string] => [
      name,
      (day) => {
        const piece = day.pieces.find(({ pieceId }) => pieceId === id);
        return piece ? `${piece.made} made, ${piece.sold ?? "–"} sold` : "not made";
      },
    ]),
  ];
  return (
    <table className="my-4 w-full max-w-3xl" aria-label="Two days side by side">
      <thead>
        <tr className="text-left">
          <td />
          {days.map(({ date }) => (
            <th key={date} scope="col" className="pl-4">
              {formatDayDate(date)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, tell]) => {
          const [first, second] = days.map(tell);
          return (
            <tr key={name} className="border-t border-base-300">
              <th scope="row" className="quiet py-1 text-left font-normal">
                {name}
              </th>
              <td className="py-1 pl-4">{first}</td>
              <td className={`py-1 pl-4 ${first === second ? "quiet" : "font-bold"}`}>{second}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
