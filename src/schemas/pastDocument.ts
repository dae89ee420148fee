import Joi from "joi";
import {
  knowByCraft,
  learnDays,
  LOTS_LOOKED_AT,
  NO_PAST,
  readHabitId,
  toHabitId,
  type HabitId,
  type KnownFigure,
} from "@/core/habits";
import type { PastLog } from "@/core/plan";
import { lotRecordLimits, MAX_RECORDS } from "./limits";
import { quantity } from "./quantity";
import { craftCausesSchema, id, MAX_ID_CHARACTERS } from "./recordParts";

const bySome = (schema: Joi.Schema) =>
  Joi.object().pattern(Joi.string().max(MAX_ID_CHARACTERS), schema).max(MAX_RECORDS).default({}).optional();
const sum = Joi.number().required();
const count = Joi.number().integer().min(0).required();
const above0 = Joi.number().greater(0).required();

const habitId = Joi.string()
  .max(MAX_ID_CHARACTERS)
  .custom((text: string, helpers) => (readHabitId(text) ? text : helpers.error("any.invalid")));
const known = Joi.object<KnownFigure>({
  lots: count,
  mean: sum,
  sd: above0,
  worthLots: above0,
  sdWorthLots: above0,
  widened: Joi.number().min(1).default(1),
});

/** Sums of a log as documents had them before habits were known otherwise: so many figures, their sum and squares. */
interface FormerSums {
  readonly n: number;
  readonly sum: number;
  readonly squares: number;
}

/** So many equal figures and one pair off the middle have the same sums. */
function learnFormer(id: HabitId, { n, sum: total, squares }: FormerSums): KnownFigure {
  if (n === 0) return knowByCraft(id);
  const looked = Math.min(n, LOTS_LOOKED_AT);
  const mean = total / n;
  const off = Math.sqrt(Math.max(squares / n - mean ** 2, 0));
  const values = Array.from({ length: looked }, (_, i) =>
    looked % 2 === 1 && i === looked - 1 ? mean : mean + (i % 2 ? off : -off),
  );
  return learnDays(
    knowByCraft(id),
    values.map((value) => [value]),
  );
}

interface FormerLog {
  readonly yields?: Readonly<Record<string, { rollings: number; share: number; shareSquares: number }>>;
  readonly paces?: Readonly<Record<string, { lots: number; log: number; logSquares: number }>>;
}

/** The log of a day's document; one of a former version, in sums, is taken too. */
export const pastSchema = Joi.object({
  habits: Joi.object().pattern(habitId, known).max(MAX_RECORDS).default({}).optional(),
  yields: bySome(Joi.object({ rollings: count, share: sum, shareSquares: sum })),
  paces: bySome(Joi.object({ lots: count, log: sum, logSquares: sum })),
  leaks: bySome(Joi.object({ lots: count, leaked: count, expected: sum })),
  holds: Joi.array()
    .items(
      Joi.object({
        pieceId: id,
        craftLeakShare: quantity(lotRecordLimits.leakShare),
        craftCauses: craftCausesSchema.required(),
        lots: count,
        pieces: count,
        leaked: Joi.number().integer().min(0).max(Joi.ref("pieces")).required(),
      }),
    )
    .max(MAX_RECORDS)
    .default([])
    .optional(),
  tookLastG: bySome(Joi.number().min(0).required()),
})
  .custom(({ yields = {}, paces = {}, ...past }: PastLog & FormerLog): PastLog => {
    const former: [HabitId, FormerSums][] = [
      ...Object.entries(yields).map(
        ([dough, { rollings: n, share, shareSquares }]): [HabitId, FormerSums] => [
          toHabitId("blanks", dough),
          // A share near 1 and its logarithm lie one apart.
          { n, sum: share - n, squares: shareSquares - 2 * share + n },
        ],
      ),
      ...Object.entries(paces).map(([key, { lots: n, log, logSquares }]): [HabitId, FormerSums] => [
        toHabitId("hands", key),
        { n, sum: log, squares: logSquares },
      ]),
    ];
    const learned = Object.fromEntries(former.map(([each, sums]) => [each, learnFormer(each, sums)]));
    return { ...past, habits: { ...learned, ...past.habits } };
  })
  .default(NO_PAST)
  .optional();
