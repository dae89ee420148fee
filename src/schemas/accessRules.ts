import Joi from "joi";
import { fail, ok, type Result } from "@/core/result";
import {
  MAX_HOLDER_NAME,
  MAX_PASSPHRASE,
  MIN_PASSPHRASE,
  roles,
  type AccessRequest,
  type EnterRequest,
} from "./access";

/** A code as it is shown, with or without its hyphens. */
const MAX_CODE = 40;

const name = Joi.string()
  .trim()
  .max(MAX_HOLDER_NAME)
  .required()
  .messages({
    "string.empty": "Give it a name: it is turned out by it, should it be lost.",
    "string.max": `The name has {{#value.length}} characters, at most ${MAX_HOLDER_NAME}.`,
  });
const code = Joi.string().trim().max(MAX_CODE).required().messages({ "string.empty": "Enter the code." });
const role = Joi.string()
  .valid(...roles)
  .required();
/** One that opens a door from now on. */
const newPassphrase = Joi.string()
  .min(MIN_PASSPHRASE)
  .max(MAX_PASSPHRASE)
  .required()
  .messages({
    "string.empty": `Choose a passphrase of at least ${MIN_PASSPHRASE} characters.`,
    "string.min": `The passphrase has {{#value.length}} characters: choose at least ${MIN_PASSPHRASE}.`,
    "string.max": `The passphrase has {{#value.length}} characters: at most ${MAX_PASSPHRASE}.`,
  });

const enter = Joi.alternatives().conditional(".by", {
  switch: [
    { is: "start", then: { by: Joi.string(), code, passphrase: newPassphrase, name } },
    {
      is: "passphrase",
      then: {
        by: Joi.string(),
        name,
        passphrase: Joi.string().max(MAX_PASSPHRASE).required().messages({
          "string.empty": "Enter the passphrase.",
        }),
      },
    },
    { is: "invite", then: { by: Joi.string(), code, name } },
  ],
});

const access = Joi.alternatives().conditional(".act", {
  switch: [
    { is: "passphrase", then: { act: Joi.string(), role, passphrase: newPassphrase.allow("") } },
    { is: "turnOut", then: { act: Joi.string(), id: Joi.string().max(MAX_CODE).required() } },
    { is: "invite", then: { act: Joi.string(), role } },
    { is: "token", then: { act: Joi.string(), role, name } },
  ],
});

function check<T>(rule: Joi.Schema, value: unknown, otherwise: string): Result<T, string> {
  const { error, value: read } = rule.validate(value, { convert: true }) as {
    error?: Joi.ValidationError;
    value: T;
  };
  if (!error) return ok(read);
  const [detail] = error.details;
  return fail(detail?.type === "alternatives.any" ? otherwise : (detail?.message ?? otherwise));
}

/** @returns The request as typed, or what is wrong with it in words. */
export const readEnterRequest = (value: unknown): Result<EnterRequest, string> =>
  check(enter, value, "Say how you come in: by start, passphrase or invite.");

/** @returns The request as typed, or what is wrong with it in words. */
export const readAccessRequest = (value: unknown): Result<AccessRequest, string> =>
  check(access, value, "Say what to do: passphrase, turnOut, invite or token.");
