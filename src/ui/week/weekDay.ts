import type { TakenOrder } from "@/core/orders";
import type { DayLoad } from "@/core/plan";
import type { Day } from "@/schemas/model";

/** One date of the week. */
export interface WeekDay {
  readonly date: string;
  /** Null where nobody has made a day of it. */
  readonly day: Day | null;
  readonly orders: readonly TakenOrder[];
  /** Null without a day, or while the kitchen is too busy to plan it. */
  readonly load: DayLoad | null;
  /** What is made on it for another day. */
  readonly ahead: readonly { readonly name: string; readonly forDate: string }[];
  /** It was run: it stays as it was. */
  readonly hasRun: boolean;
  /** Orders that stand for it and are not on it. */
  readonly standing: readonly TakenOrder[];
}
