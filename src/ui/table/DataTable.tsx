"use client";

import {
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from "@tanstack/react-table";
import { ArrowDown, ArrowUp } from "lucide-react";
import { useState, type ReactNode } from "react";
import { formatCount } from "@/core/units";

/** Below this width a column is not there. */
const FROM = { sm: "hidden sm:table-cell", md: "hidden md:table-cell" } as const;
/** Rows that are drawn at first, and more at each asking: a list of ten years is not drawn whole to see its top. */
const ROWS_AT_ONCE = 120;

/** One column: what stands in it, and by what its rows may be put in order. */
export interface Column<Row> {
  readonly id: string;
  readonly title: string;
  readonly cell: (row: Row) => ReactNode;
  /** By what rows are ordered where its head is pressed; without it they are not. Nothing sorts last. */
  readonly sortBy?: (row: Row) => number | string | null;
  /** The most comes first at the first press, as of what was sold; else the least, as of the clock. */
  readonly isMostFirst?: boolean;
  /** Figures stand to the right. */
  readonly isFigure?: boolean;
  /** Names the row. */
  readonly isHead?: boolean;
  /** Said to those who do not see, as what stands in it speaks for itself. */
  readonly isTitleHidden?: boolean;
  readonly from?: keyof typeof FROM;
  /** Not on paper. */
  readonly isScreenOnly?: boolean;
  /** Of its cells. */
  readonly className?: string;
}

interface Props<Row> {
  readonly columns: readonly Column<Row>[];
  readonly rows: readonly Row[];
  readonly idOf: (row: Row) => string;
  /** What the table is; shown only where `isCaptionShown`. */
  readonly caption: string;
  readonly isCaptionShown?: boolean;
  readonly className?: string;
  readonly rowClassName?: (row: Row) => string;
}

/** The house's table: rows as they come, put in order by a press on a head, drawn a hundred or so at a time. */
export function DataTable<Row>({
  columns,
  rows,
  idOf,
  caption,
  isCaptionShown = false,
  className = "w-full",
  rowClassName,
}: Props<Row>) {
  const [sorting, setSorting] = useState<SortingState>([]);
  const [most, setMost] = useState(ROWS_AT_ONCE);
  const table = useReactTable<Row>({
    data: rows as Row[],
    columns: columns.map(toColumnDef),
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: idOf,
  });
  const columnOf = new Map(columns.map((column) => [column.id, column]));
  const all = table.getRowModel().rows;
  const left = all.length - most;
  return (
    <>
      <table className={className}>
        <caption className={isCaptionShown ? "quiet text-left" : "sr-only"}>{caption}</caption>
        <thead className="quiet text-left text-sm">
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const column = columnOf.get(header.column.id)!;
                const sorted = header.column.getIsSorted();
                const title = column.isTitleHidden ? (
                  <span className="sr-only">{column.title}</span>
                ) : (
                  column.title
                );
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={sorted === "asc" ? "ascending" : sorted === "desc" ? "descending" : undefined}
                    className={classOf(column, "py-1 font-normal")}
                  >
                    {header.column.getCanSort() ? (
                      <button
                        type="button"
                        className={`touch inline-flex cursor-pointer items-center gap-1 underline decoration-dotted underline-offset-4 ${column.isFigure ? "justify-end" : ""}`}
                        onClick={header.column.getToggleSortingHandler()}
                      >
                        {title}
                        {sorted === "asc" && <ArrowUp size={16} aria-hidden />}
                        {sorted === "desc" && <ArrowDown size={16} aria-hidden />}
                      </button>
                    ) : (
                      title
                    )}
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {all.slice(0, most).map((row) => (
            <tr
              key={row.id}
              className={`break-inside-avoid border-t border-base-300 align-top ${rowClassName?.(row.original) ?? ""}`}
            >
              {row.getVisibleCells().map((cell) => {
                const column = columnOf.get(cell.column.id)!;
                // Not as a component of its own: columns are made anew at each drawing, and what is typed in it would go.
                const content = column.cell(row.original);
                return column.isHead ? (
                  <th
                    key={cell.id}
                    scope="row"
                    className={classOf(
                      column,
                      `py-1.5 text-left [font-weight:inherit] ${column.className ?? ""}`,
                    )}
                  >
                    {content}
                  </th>
                ) : (
                  <td key={cell.id} className={classOf(column, `py-1.5 ${column.className ?? ""}`)}>
                    {content}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {left > 0 && (
        <button
          type="button"
          className="btn touch no-print my-3 self-start"
          onClick={() => setMost(most + ROWS_AT_ONCE)}
        >
          Show {Math.min(left, ROWS_AT_ONCE)} more of {formatCount(left, "row")}
        </button>
      )}
    </>
  );
}

function toColumnDef<Row>(column: Column<Row>): ColumnDef<Row> {
  const { id, sortBy, isMostFirst = false } = column;
  const shared: ColumnDef<Row> = {
    id,
    header: column.title,
    enableSorting: sortBy !== undefined,
  };
  if (!sortBy) return shared;
  // What is not there is undefined to the table: it stands last whichever way it is turned.
  return {
    ...shared,
    accessorFn: (row) => sortBy(row) ?? undefined,
    sortingFn: "auto",
    sortUndefined: "last",
    sortDescFirst: isMostFirst,
  };
}

const classOf = <Row,>({ isFigure, from, isScreenOnly }: Column<Row>, own: string): string =>
  [
    "pl-3 first:pl-0",
    own,
    isFigure ? "text-right" : "",
    from ? FROM[from] : "",
    isScreenOnly ? "no-print" : "",
  ].join(" ");
