import { fail, ok, type Result } from "@/core/result";

/** One measurement of a SenML pack, resolved: full name, full value, its unit as written. */
export interface SenMlRecord {
  readonly name: string;
  readonly unit: string;
  readonly value: number;
  /** Seconds since 1970, or since now where it is below 2²⁸, by RFC 8428, 4.5.3; 0 where nothing is said: now. */
  readonly timeS: number;
}

/** Longest name and longest pack that are read: a bridge of some dozen channels. */
const MAX_NAME_CHARACTERS = 100;
const MAX_RECORDS = 100;
/** The version this reads (RFC 8428, 4.4). */
const VERSION = 10;
const NAME = /^[A-Za-z0-9][A-Za-z0-9\-:./_]*$/;

/**
 * A SenML pack in JSON (RFC 8428): an array of records whose base fields hold for those after them. Values of text,
 * truth and data are passed over; a number is wanted.
 * @returns The records with a number, or why the pack is none.
 */
export function readSenMl(pack: unknown): Result<SenMlRecord[], string> {
  if (!Array.isArray(pack)) return fail("A SenML pack is a list of records.");
  if (pack.length > MAX_RECORDS)
    return fail(`${pack.length} records are ${pack.length - MAX_RECORDS} too many for one pack.`);
  const base = { name: "", unit: "", value: 0, timeS: 0 };
  const records: SenMlRecord[] = [];
  for (const [i, record] of (pack as unknown[]).entries()) {
    if (typeof record !== "object" || record === null || Array.isArray(record))
      return fail(`Record ${i + 1} is no object.`);
    const { bn, bt, bu, bv, bver, n, u, v, t } = record as Record<string, unknown>;
    if (bver !== undefined && (!isNumber(bver) || bver > VERSION))
      return fail(`Record ${i + 1} is of version ${JSON.stringify(bver)}; ${VERSION} is read.`);
    if (!isTextOrNone(bn) || !isTextOrNone(n) || !isTextOrNone(bu) || !isTextOrNone(u))
      return fail(`Record ${i + 1}: names and units are text.`);
    if ([bt, bv, v, t].some((value) => value !== undefined && !isNumber(value)))
      return fail(`Record ${i + 1}: values and times are numbers.`);
    if (bn !== undefined) base.name = bn;
    if (bu !== undefined) base.unit = bu;
    if (isNumber(bt)) base.timeS = bt;
    if (isNumber(bv)) base.value = bv;
    const name = base.name + (n ?? "");
    if (!NAME.test(name) || name.length > MAX_NAME_CHARACTERS)
      return fail(`Record ${i + 1}: “${name.slice(0, 20)}” is no name.`);
    if (!isNumber(v)) continue;
    records.push({
      name,
      unit: u ?? base.unit,
      value: base.value + v,
      timeS: base.timeS + (isNumber(t) ? t : 0),
    });
  }
  return ok(records);
}

/** A line of a bridge: one pack, as short as base fields make it. */
export function writeSenMlLine(
  baseName: string,
  readings: readonly { readonly name: string; readonly unit: string; readonly value: number }[],
): string {
  const [first, ...rest] = readings.map(({ name, unit, value }) => ({ n: name, u: unit, v: value }));
  return `${JSON.stringify(first ? [{ bn: baseName, ...first }, ...rest] : [])}\n`;
}

const isNumber = (value: unknown): value is number => typeof value === "number" && Number.isFinite(value);
const isTextOrNone = (value: unknown): value is string | undefined =>
  value === undefined || typeof value === "string";
