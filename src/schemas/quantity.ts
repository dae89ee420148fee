import Joi from "joi";
import { describeLimitFault } from "./checkValue";
import type { Limit } from "./limits";

/** A number within a limit; what is outside says by how much. */
export const quantity = (limit: Limit) =>
  Joi.number()
    .required()
    .strict()
    .custom((value: number, helpers) => {
      const fault = describeLimitFault(value, limit);
      return fault ? helpers.message({ custom: fault }) : value;
    });

/** The same, whole. */
export const whole = (limit: Limit) =>
  quantity(limit)
    .integer()
    .messages({ "number.integer": `${limit.label} must be a whole number.` });
