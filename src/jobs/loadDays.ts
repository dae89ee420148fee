import { createMemory } from "@/core/createMemory";
import type { FormedPiece } from "@/core/forming";
import { planDay, sumDayLoad, type DayBook, type DayLoad, type DayPlan, type Piece } from "@/core/plan";

/** Days remembered: some weeks, looked at from several tablets. */
const DAYS_REMEMBERED = 60;
const remember = createMemory<LoadedDay>(DAYS_REMEMBERED);

/** What a day asks of people and kitchen, and how its pieces look from above. */
export interface LoadedDay {
  readonly load: DayLoad;
  /** By piece: those that are ordered and can be made. */
  readonly faces: Readonly<
    Record<
      string,
      {
        readonly fromAbove: Pick<FormedPiece["fromAbove"], "edge" | "inner" | "stick">;
        readonly vents: Piece["vents"];
      }
    >
  >;
}

/** The days of a week. One of which nothing has changed is not planned again. */
export const loadDays = (books: readonly DayBook[]): LoadedDay[] =>
  books.map((book) =>
    remember(JSON.stringify(book), () => {
      const plan = planDay(book);
      return { load: sumDayLoad(plan), faces: listFaces(plan) };
    }),
  );

/** A mark of a finger's breadth shows no more, mm. */
const SHOWN_TO_MM = 0.1;
const round = (mm: number): number => Math.round(mm / SHOWN_TO_MM) / (1 / SHOWN_TO_MM);

const listFaces = ({ lines }: DayPlan): LoadedDay["faces"] =>
  Object.fromEntries(
    lines.map(({ piece, shaped: { formed } }) => {
      const { edge, inner, stick } = formed.fromAbove;
      const thin = (polygon: typeof edge): typeof edge => polygon.map(([x, y]) => [round(x), round(y)]);
      return [
        piece.id,
        {
          fromAbove: { edge: thin(edge), inner: inner.map(thin), ...(stick && { stick: thin(stick) }) },
          vents: piece.vents,
        },
      ];
    }),
  );
