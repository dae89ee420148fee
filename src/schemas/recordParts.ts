import { isValid, parseISO } from "date-fns";
import Joi from "joi";
import { MAX_NAME_CHARACTERS } from "./limits";

/** Longest id: some are put together of others (day, kind and formula), and none is ever cut short. */
export const MAX_ID_CHARACTERS = 300;

/** The id of a record or of a part of one. */
export const id = Joi.string()
  .pattern(new RegExp(`^[a-z0-9-]{1,${MAX_ID_CHARACTERS}}$`))
  .required()
  .messages({
    "string.pattern.base": `An id is 1 to ${MAX_ID_CHARACTERS} small letters, digits and dashes.`,
  });
/** Left out by documents older than the ingredient book: then the entry is not known. */
export const optionalId = id.allow(null).default(null).optional();

/** The name of something, which the messages call `label`. */
export const name = (label: string) =>
  Joi.string()
    .trim()
    .min(1)
    .max(MAX_NAME_CHARACTERS)
    .required()
    .messages({
      "string.empty": `${label} needs a name.`,
      "string.max": `${label}: the name is longer than ${MAX_NAME_CHARACTERS} characters. Shorten it.`,
    });

/** Most causes of a leak that one lot tells apart, and the furthest one may move its log-odds. */
const MOST_CAUSES = 20;
const MOST_LOG_ODDS = 50;
/** What moved the craft's odds of a leak: log-odds by cause. */
export const craftCausesSchema = Joi.object()
  .pattern(
    Joi.string().max(MAX_NAME_CHARACTERS),
    Joi.number().min(-MOST_LOG_ODDS).max(MOST_LOG_ODDS).required(),
  )
  .max(MOST_CAUSES);

/** A date that the calendar has, as YYYY-MM-DD. */
export const calendarDate = Joi.string()
  .custom((text: string, helpers) =>
    /^\d{4}-\d{2}-\d{2}$/.test(text) && isValid(parseISO(text))
      ? text
      : helpers.message({ custom: `“${text.slice(0, 12)}” is no date: write it like 2026-11-28.` }),
  )
  .required();

/** A time zone by the name that the zone data base gives it. */
export const timeZone = Joi.string()
  .max(60)
  .custom((text: string, helpers) =>
    isTimeZone(text)
      ? text
      : helpers.message({ custom: `“${text}” is no time zone: write it like Europe/Lisbon.` }),
  );

/** Three letters that money is known by, as "EUR". */
export const currency = Joi.string()
  .trim()
  .uppercase()
  .pattern(/^[A-Z]{3}$/)
  .messages({ "string.pattern.base": "A currency is three letters, as EUR." });

function isTimeZone(text: string): boolean {
  try {
    new Intl.DateTimeFormat("en", { timeZone: text });
    return true;
  } catch {
    return false;
  }
}
