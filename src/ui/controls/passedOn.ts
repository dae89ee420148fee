/** Marks a text field whose text is passed on already, so that undo there means the bench's. */
export const PASSED_ON = { "data-passed-on": true } as const;
/** Marks one in which something is typed that nobody has been told yet, be it that it was emptied. */
export const TYPED = { "data-typed": true } as const;
