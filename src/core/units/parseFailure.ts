import type { Failure, Plain } from "../result";
import type { Dimension } from "./unitTable";

/** Why a text is no number, amount, time of the day or oven setting. `shown` is as much of it as is shown again. */
export type ParseFailure =
  | Failure<"noNumberTyped", Plain>
  | Failure<"numberTooLong", { readonly shown: string }>
  /** `1,000` could mean 1 or 1000. */
  | Failure<"doubtfulComma", { readonly shown: string }>
  | Failure<"notANumber", { readonly shown: string }>
  | Failure<"dividesByZero", { readonly shown: string }>
  | Failure<"noAmountTyped", Plain>
  | Failure<"noNumberIn", { readonly shown: string }>
  | Failure<"noAmountIn", { readonly shown: string }>
  | Failure<"unknownUnit", { readonly shown: string }>
  | Failure<
      "wrongDimension",
      {
        readonly unit: string;
        readonly measures: Dimension;
        readonly needed: Dimension;
        readonly known: readonly string[];
      }
    >
  | Failure<"belowZero", { readonly shown: string }>
  | Failure<"rangeFalls", { readonly low: string; readonly high: string }>
  | Failure<"noStretchOfTime", { readonly shown: string }>
  | Failure<"noTimeOfDay", { readonly shown: string }>
  | Failure<"noGasMark", { readonly shown: string }>;
