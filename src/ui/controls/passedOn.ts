/** Marks a text field whose text is passed on already, so that undo there means the bench's. */
export const PASSED_ON = { "data-passed-on": true } as const;
