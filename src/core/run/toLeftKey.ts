import type { LarderKind } from "../plan";

/** One thing in a larder, whatever portion of it. */
export const toLeftKey = (kind: LarderKind, refId: string): string => `${kind}:${refId}`;
