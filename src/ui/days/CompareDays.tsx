import { sumDays, type DaySummary } from "@/core/run";
import { formatClock, formatDuration, formatMass } from "@/core/units";
import { formatDayDate } from "../shell/formatDayDate";
import { DataTable, type Column } from "../table/DataTable";
import { countDay, tellFaults } from "./findDays";

interface Props {
  readonly one: DaySummary;
  readonly other: DaySummary;
  readonly money: (amountMinor: number) => string;
}

/** Two days side by side, the earlier first. */
export function CompareDays({ one, other, money }: Props) {
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
    ["ingredients", (day) => money(sumDays([day]).ingredientsMinor)],
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
    <DataTable
      caption="Two days side by side"
      className="my-4 w-full max-w-3xl"
      rows={rows.map(([name, tell]) => ({ name, told: days.map(tell) }))}
      idOf={({ name }) => name}
      columns={[
        {
          id: "what",
          title: "What",
          isTitleHidden: true,
          isHead: true,
          className: "quiet",
          cell: ({ name }) => name,
        },
        ...days.map(({ date }, i): Column<{ readonly name: string; readonly told: readonly string[] }> => ({
          id: date,
          title: formatDayDate(date),
          cell: ({ told }) =>
            i === 0 ? (
              told[0]
            ) : (
              <span className={told[0] === told[i] ? "quiet" : "font-bold"}>{told[i]}</span>
            ),
        })),
      ]}
    />
  );
}
