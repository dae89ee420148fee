import Joi from "joi";
import { labelKinds, type LabelKind } from "@/core/labels";
import { fail, ok, type Result } from "@/core/result";

/** What labels are wanted of a day, and how: the address of a page and of a file says it. */
export interface LabelWish {
  readonly of: LabelKind;
  readonly sheetId: string;
  /** Labels of the first sheet that are used up already. */
  readonly usedUp: number;
  readonly showsShares: boolean;
  readonly namesBench: boolean;
  /** Labels whose allergens are not all known are printed too: the baker was asked. */
  readonly printsUnknown: boolean;
  /** By label id: how often, where that is not as usual. */
  readonly copies: Readonly<Record<string, number>>;
}

export const FIRST_WISH: LabelWish = {
  of: "piece",
  sheetId: "a4-2x4",
  usedUp: 0,
  showsShares: false,
  namesBench: true,
  printsUnknown: false,
  copies: {},
};

/** Of one label, and of all together: more than a day is ever sold in. */
export const MAX_COPIES = 500;
const MAX_USED_UP = 99;
const MAX_NAMED = 400;
const MAX_ID_CHARACTERS = 400;

const shape = Joi.object({
  of: Joi.valid(...labelKinds)
    .default(FIRST_WISH.of)
    .label("what is labelled"),
  sheet: Joi.string().max(40).default(FIRST_WISH.sheetId).label("the sheet"),
  used: Joi.number().integer().min(0).max(MAX_USED_UP).default(0).label("labels used up"),
  shares: Joi.boolean().default(FIRST_WISH.showsShares),
  bench: Joi.boolean().default(FIRST_WISH.namesBench),
  unknown: Joi.boolean().default(FIRST_WISH.printsUnknown),
  n: Joi.array()
    .items(
      Joi.string()
        .max(MAX_ID_CHARACTERS)
        .pattern(/^\d{1,3}\*./),
    )
    .max(MAX_NAMED)
    .single()
    .default([]),
}).unknown();

/** @returns What is wrong with the address, in words. */
export function readLabelWish(query: URLSearchParams): Result<LabelWish, string> {
  const fields = Object.fromEntries([...new Set(query.keys())].map((key) => [key, query.getAll(key)]));
  const { n = [], ...single } = fields;
  const read = shape.validate({
    ...Object.fromEntries(Object.entries(single).map(([key, values]) => [key, values[0]])),
    n,
  });
  if (read.error)
    return fail(
      `These labels cannot be printed: ${read.error.message}. Choose them on the labels page again.`,
    );
  const {
    of,
    sheet,
    used,
    shares,
    bench,
    unknown,
    n: named,
  } = read.value as {
    of: LabelKind;
    sheet: string;
    used: number;
    shares: boolean;
    bench: boolean;
    unknown: boolean;
    n: string[];
  };
  const copies = Object.fromEntries(
    named.map((text) => {
      const star = text.indexOf("*");
      return [text.slice(star + 1), Math.min(Number(text.slice(0, star)), MAX_COPIES)];
    }),
  );
  return ok({
    ...{ of, sheetId: sheet, usedUp: used, showsShares: shares, namesBench: bench },
    ...{ printsUnknown: unknown, copies },
  });
}

/** The same as the end of an address. */
export function writeLabelWish(wish: LabelWish): string {
  const { of, sheetId, usedUp, showsShares, namesBench, printsUnknown, copies } = wish;
  const query = new URLSearchParams({
    of,
    sheet: sheetId,
    used: String(usedUp),
    shares: String(showsShares),
    bench: String(namesBench),
    ...(printsUnknown ? { unknown: "true" } : {}),
  });
  for (const [id, count] of Object.entries(copies)) query.append("n", `${count}*${id}`);
  return query.toString();
}
