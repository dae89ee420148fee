export interface Difference {
  /** As the record calls it. */
  readonly name: string;
  /** As a baker reads it. */
  readonly field: string;
  readonly theirs: string;
  readonly mine: string;
}

/** The fields in which two versions of a record differ, in words: `marginMm` reads “margin (mm)”. */
export function listDifferences(theirs: object | null, mine: object | null): Difference[] {
  const [left, right] = [toFields(theirs), toFields(mine)];
  return [...new Set([...left.keys(), ...right.keys()])].flatMap((field) => {
    const [a = "–", b = "–"] = [left.get(field), right.get(field)];
    return a === b ? [] : [{ name: field, field: toWords(field), theirs: a, mine: b }];
  });
}

function toFields(record: object | null): Map<string, string> {
  return new Map(Object.entries(record ?? {}).map(([field, value]) => [field, describe(value)]));
}

/** A value in words: lists by their entries, things by their parts. */
function describe(value: unknown): string {
  if (value === null || value === undefined || value === "") return "–";
  if (Array.isArray(value)) return value.length === 0 ? "none" : value.map(describe).join("; ");
  if (typeof value !== "object") return typeof value === "string" ? value : JSON.stringify(value);
  return Object.entries(value)
    .filter(([name]) => name !== "id")
    .map(([name, part]) => `${toWords(name)} ${describe(part)}`)
    .join(", ");
}

/** A field as a baker reads it: `marginMm` reads “margin (mm)”. */
export function toWords(field: string): string {
  const unit = /(Mm|G|C|Min|Share|Ml)$/.exec(field)?.[1];
  const stem = (unit ? field.slice(0, -unit.length) : field).replace(/([A-Z])/g, " $1").toLowerCase();
  return unit && unit !== "Share" ? `${stem} (${unit === "C" ? "°C" : unit.toLowerCase()})` : stem;
}
