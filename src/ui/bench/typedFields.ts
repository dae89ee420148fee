/** A field in which something is typed that nobody has been told yet. */
export interface TypedField {
  readonly label: string;
  /** Passes on what is typed. @returns false if it cannot be: it breaks a rule, and stays in the field. */
  commit(): boolean;
}

const typed = new Set<TypedField>();

/** Notes that something is typed in a field. @returns Forgets it again: it was passed on, or given up. */
export function noteTyped(field: TypedField): () => void {
  typed.add(field);
  return () => void typed.delete(field);
}

/** Passes on whatever is typed anywhere, before a page is left or printed. @returns The fields that cannot be. */
export const commitTyped = (): readonly TypedField[] => [...typed].filter((field) => !field.commit());
