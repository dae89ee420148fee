/** What plans whole days anew waits until a dial has rested so long, ms. */
export const DAY_QUIET_MS = 400;
