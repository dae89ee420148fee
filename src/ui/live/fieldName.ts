/** A field of a page by the name that a screen reader gives it; null for what is none. */
export function nameField(element: EventTarget | null): string | null {
  if (
    !(element instanceof HTMLInputElement) &&
    !(element instanceof HTMLSelectElement) &&
    !(element instanceof HTMLTextAreaElement)
  )
    return null;
  const told = element.getAttribute("aria-label") ?? element.labels?.[0]?.textContent ?? "";
  const name = told.replace(/\s+/g, " ").trim();
  return name === "" ? null : name;
}

/** All fields of the open page of that name. */
export const findFields = (name: string): HTMLElement[] =>
  [...document.querySelectorAll<HTMLElement>("main input, main select, main textarea")].filter(
    (element) => nameField(element) === name,
  );
