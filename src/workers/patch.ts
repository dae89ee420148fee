/**
 * What turns one value into another: whatever is the same is left out. Worker and screen hold the value before; so a plan of
 * which little changed is little to send and to read, and what did not change stays the same object on the screen.
 */
export type Patch =
  | { readonly kind: "same" }
  | { readonly kind: "value"; readonly value: unknown }
  /** Of a list, by place. */
  | { readonly kind: "items"; readonly length: number; readonly items: readonly (readonly [number, Patch])[] }
  /** Of an object, by name. */
  | {
      readonly kind: "fields";
      readonly gone: readonly string[];
      readonly fields: readonly (readonly [string, Patch])[];
    };

const SAME: Patch = { kind: "same" };

const isPlain = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null && Object.getPrototypeOf(value) === Object.prototype;

/** What turns `before` into `after`. O(size of both). */
export function makePatch(before: unknown, after: unknown): Patch {
  if (Object.is(before, after)) return SAME;
  if (Array.isArray(before) && Array.isArray(after)) {
    const items = after.flatMap((item: unknown, at): [number, Patch][] => {
      const patch: Patch = at < before.length ? makePatch(before[at], item) : { kind: "value", value: item };
      return patch.kind === "same" ? [] : [[at, patch]];
    });
    return items.length === 0 && before.length === after.length
      ? SAME
      : { kind: "items", length: after.length, items };
  }
  if (isPlain(before) && isPlain(after)) {
    const gone = Object.keys(before).filter((name) => !Object.hasOwn(after, name));
    const fields = Object.entries(after).flatMap(([name, value]): [string, Patch][] => {
      const patch: Patch = Object.hasOwn(before, name)
        ? makePatch(before[name], value)
        : { kind: "value", value };
      return patch.kind === "same" ? [] : [[name, patch]];
    });
    return gone.length + fields.length === 0 ? SAME : { kind: "fields", gone, fields };
  }
  return { kind: "value", value: after };
}

/** The value after a patch; `before` is not touched, and what is the same in both is the same object. */
export function applyPatch(before: unknown, patch: Patch): unknown {
  switch (patch.kind) {
    case "same":
      return before;
    case "value":
      return patch.value;
    case "items": {
      const list = (before as readonly unknown[]).slice(0, patch.length);
      for (const [at, item] of patch.items) list[at] = applyPatch(list[at], item);
      return list;
    }
    case "fields": {
      const object = { ...(before as Record<string, unknown>) };
      for (const name of patch.gone) delete object[name];
      for (const [name, field] of patch.fields) object[name] = applyPatch(object[name], field);
      return object;
    }
  }
}
