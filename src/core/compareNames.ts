/** Letters that are no base letter with a mark. */
const LETTERS: Readonly<Record<string, string>> = {
  ...{ ı: "i", ł: "l", ø: "o", đ: "d", ß: "ss", æ: "ae", œ: "oe" },
};

/**
 * A name as it is compared: small letters without marks, so that a plain keyboard finds every name.
 * @example foldName("Şeftali") // "seftali"
 */
export const foldName = (name: string): string =>
  name
    .toLowerCase()
    .normalize("NFD")
    .replaceAll(/\p{M}/gu, "")
    .replaceAll(/[ıłøđßæœ]/g, (letter) => LETTERS[letter] ?? letter);

/**
 * The order of two names, as `sort` takes it: by their letters, and by marks and case only where these are the same.
 * It is one order on every computer, whatever language that is set to; and a browser takes 40 ms to load the rules of
 * its own.
 * @example compareNames("oat", "Öz") // -1
 */
export function compareNames(a: string, b: string): number {
  const [foldedA, foldedB] = [foldName(a), foldName(b)];
  if (foldedA !== foldedB) return foldedA < foldedB ? -1 : 1;
  return a === b ? 0 : a < b ? -1 : 1;
}
