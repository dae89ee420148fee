import Joi from "joi";
import { describeLimitFault } from "./checkValue";
import type { Limit } from "./limits";

interface WithinArgs {
  readonly limit: Limit;
}
interface QuantitySchema extends Joi.NumberSchema {
  within(limit: Limit): this;
}

/** Numbers that say by how much they are outside, and what is right also to whoever reads the schema. */
const root = Joi.extend((joi: Joi.Root) => ({
  type: "number",
  base: joi.number(),
  rules: {
    within: {
      method(this: { $_addRule(rule: object): QuantitySchema }, limit: Limit) {
        return this.$_addRule({ name: "within", args: { limit } });
      },
      args: ["limit"],
      validate(value: number, helpers: Joi.CustomHelpers, { limit }: WithinArgs) {
        const fault = describeLimitFault(value, limit);
        return fault ? helpers.message({ custom: fault }) : value;
      },
      jsonSchema: ({ args: { limit } }: { readonly args: WithinArgs }, schema: object) => ({
        ...schema,
        minimum: limit.min,
        maximum: limit.max,
        description: limit.unit === "" ? limit.label : `${limit.label}, ${limit.unit}`,
      }),
    },
  },
})) as { number(): QuantitySchema };

/** A number within a limit; what is outside says by how much. */
export const quantity = (limit: Limit) => root.number().required().strict().within(limit);

/** The same, whole. */
export const whole = (limit: Limit) =>
  quantity(limit)
    .integer()
    .messages({ "number.integer": `${limit.label} must be a whole number.` });
