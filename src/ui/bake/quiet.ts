/** What plans whole days anew waits until a dial has rested so long, ms. */
export const DAY_QUIET_MS = 400;

/** It is below what a screen shows at first, and begins a little before it is scrolled to; at once where that cannot be told. */
export const NEAR = { rootMargin: "200px 0px", fallbackInView: true } as const;
