/**
 * Guards an argument that only a bug can make wrong.
 * @throws {RangeError} naming the rule and the value, if `value` is not finite or `holds` is false.
 */
export function requireThat(name: string, value: number, holds: boolean, rule: string): void {
  if (!Number.isFinite(value) || !holds) throw new RangeError(`${name} must be ${rule}, got ${value}`);
}

/** Guards a quantity that must be finite and above zero. @throws {RangeError} otherwise. */
export function requirePositive(name: string, value: number): void {
  requireThat(name, value, value > 0, "above 0");
}

/** Guards a quantity that must be finite and not below zero. @throws {RangeError} otherwise. */
export function requireNotNegative(name: string, value: number): void {
  requireThat(name, value, value >= 0, "0 or more");
}
