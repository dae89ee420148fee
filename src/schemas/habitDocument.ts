import Joi from "joi";
import {
  findImplausible,
  habitKinds,
  noHabit,
  readHabitId,
  sayHabitFailure,
  toShareLog,
  type HabitId,
} from "@/core/habits";
import { fail, ok, type Result } from "@/core/result";
import { MAX_RECORDS, MAX_WORD_CHARACTERS } from "./limits";
import { calendarDate, MAX_ID_CHARACTERS } from "./recordParts";
import { validate, type Fault } from "./validate";

/** One figure as somebody wrote it down: a share by what was planned and what was, or degrees. */
export interface LogRow {
  readonly habit: string;
  /** YYYY-MM-DD. */
  readonly date: string;
  readonly planned: number | null;
  readonly real: number | null;
  readonly offC: number | null;
}

/** A row that is taken: on its habit's own scale. */
export interface TakenRow {
  readonly habit: HabitId;
  readonly date: string;
  readonly value: number;
}

const number = Joi.number().allow(null).default(null);
const rowSchema = Joi.object<LogRow>({
  habit: Joi.string().max(MAX_ID_CHARACTERS).required(),
  date: calendarDate,
  planned: number,
  real: number,
  offC: number,
}).required();

/** Counts have halves of a piece added, minutes and grams have not. */
const counted: ReadonlySet<string> = new Set(["blanks", "sold"]);

/** A row of a log, or why it is not taken. */
function readLogRow(value: unknown): Result<TakenRow, string> {
  const valid = validate<LogRow>(rowSchema, value);
  if (!valid.ok) return fail(valid.failure[0]?.message ?? "This is no row of a log.");
  const { habit, date, planned, real, offC } = valid.value;
  const read = readHabitId(habit);
  if (!read) return fail(sayHabitFailure(noHabit(habit)));
  const id = habit as HabitId;
  if (habitKinds[read.kind].scale === "degrees") {
    if (offC === null) return fail("Say by how many degrees it was off: offC.");
    const fault = findImplausible(id, offC);
    return fault ? fail(sayHabitFailure(fault)) : ok({ habit: id, date, value: offC });
  }
  if (planned === null || real === null) return fail("Say what was planned and what was: planned, real.");
  if (planned <= 0) return fail(`${planned} planned: a share needs more than nothing.`);
  const isCounted = counted.has(read.kind);
  if (isCounted ? real < 0 : real <= 0)
    return fail(`${real} cannot be: give what it really was, above ${isCounted ? "or " : ""}nothing.`);
  const log = isCounted ? toShareLog(real, planned) : Math.log(real / planned);
  const fault = findImplausible(id, log);
  return fault ? fail(sayHabitFailure(fault)) : ok({ habit: id, date, value: log });
}

/** A log read row by row: what was taken, and what was not and why. Rows are told from 1. */
export interface ReadLog {
  readonly taken: readonly TakenRow[];
  readonly refused: readonly { readonly row: number; readonly message: string }[];
}

/** The same row twice is one lot logged twice: it counts once. */
export function readLog(rows: readonly unknown[]): ReadLog {
  const seen = new Set<string>();
  const taken: TakenRow[] = [];
  const refused: { row: number; message: string }[] = [];
  rows.forEach((value, i) => {
    const read = readLogRow(value);
    const key = read.ok ? `${read.value.habit} ${read.value.date} ${read.value.value}` : "";
    if (!read.ok) refused.push({ row: i + 1, message: read.failure });
    else if (seen.has(key))
      refused.push({ row: i + 1, message: "The same lot stands in an earlier row: it counts once." });
    else {
      seen.add(key);
      taken.push(read.value);
    }
  });
  return { taken, refused };
}

export const logSchema = Joi.object({ log: Joi.array().max(MAX_RECORDS).required() }).required();

export const validateLog = (value: unknown): Result<{ readonly log: readonly unknown[] }, Fault[]> =>
  validate(logSchema, value);

/** What a habit is set to: a value as it is told (a share, degrees), the craft's, or the log's again. */
export interface HabitSetting {
  readonly habit: HabitId;
  readonly to: number | "craft" | "log";
}

/** Which lot of a habit is left out of the learning and why; with the word null it is taken in again. */
export interface LotLeftDocument {
  readonly habit: HabitId;
  /** YYYY-MM-DD. */
  readonly date: string;
  readonly source: string;
  readonly word: string | null;
}

export const lotLeftSchema = Joi.object({
  habit: Joi.string()
    .max(MAX_ID_CHARACTERS)
    .custom((text: string, helpers) => (readHabitId(text) ? text : helpers.error("any.invalid")))
    .required(),
  date: calendarDate,
  source: Joi.string().max(MAX_ID_CHARACTERS).required(),
  word: Joi.string().trim().max(MAX_WORD_CHARACTERS).allow("", null).required(),
}).required();

export const validateLotLeft = (value: unknown): Result<LotLeftDocument, Fault[]> =>
  validate(lotLeftSchema, value);

export const settingSchema = Joi.object({
  habit: Joi.string().max(MAX_ID_CHARACTERS).required(),
  to: Joi.alternatives(Joi.number(), Joi.valid("craft", "log")).required(),
}).required();

/** @returns The value on the habit's own scale. */
export function validateSetting(value: unknown): Result<HabitSetting, Fault[]> {
  const valid = validate<HabitSetting>(settingSchema, value);
  if (!valid.ok) return valid;
  const { habit, to } = valid.value;
  const read = readHabitId(habit);
  if (!read) return fail([{ path: "habit", message: sayHabitFailure(noHabit(habit)) }]);
  if (typeof to === "string") return valid;
  const isShare = habitKinds[read.kind].scale === "share";
  if (isShare && to <= 0)
    return fail([{ path: "to", message: "A share is above nothing: 1 is as planned." }]);
  const own = isShare ? Math.log(to) : to;
  const fault = findImplausible(habit, own);
  return fault ? fail([{ path: "to", message: sayHabitFailure(fault) }]) : ok({ habit, to: own });
}
