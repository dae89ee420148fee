import type { Holder, Role } from "@/schemas/access";
import { isOpen, mayAsk } from "./policy";
import { createThrottle } from "./throttle";

/** What one who is in may ask: a tablet that opens a day asks some thirty at once. */
const OF_HOLDERS = { burst: 600, perSecond: 60 };
/** And one who is not: the way in and what it is made of. */
const OF_STRANGERS = { burst: 60, perSecond: 5 };

const holders = createThrottle(OF_HOLDERS);
const strangers = createThrottle(OF_STRANGERS);

export interface Asked {
  readonly method: string;
  readonly pathname: string;
  readonly address: string;
  readonly nowMs: number;
}

/** A request that is let through: for whom, and by whose key; null where none is needed. */
export interface LetThrough {
  readonly kind: "in";
  readonly role: Role;
  readonly holderId: string | null;
}

/** What becomes of a request where a key is needed. */
export type Admission =
  | LetThrough
  /** To the page where one comes in, or, for a programme, an answer that says so. */
  | { readonly kind: "enter"; readonly message: string }
  | { readonly kind: "notYours"; readonly role: Role; readonly message: string }
  | { readonly kind: "wait"; readonly waitS: number };

/** @param holder - Whose key it is; null for none of ours. */
export function admit({ method, pathname, address, nowMs }: Asked, holder: Holder | null): Admission {
  const waitS = holder ? holders.take(holder.id, nowMs) : strangers.take(address, nowMs);
  if (waitS > 0) return { kind: "wait", waitS };
  if (isOpen(pathname)) return { kind: "in", role: holder?.role ?? "shop", holderId: holder?.id ?? null };
  if (!holder)
    return {
      kind: "enter",
      message: "This device has not come in, or was turned out. Open /enter and give the passphrase.",
    };
  const { role } = holder;
  return mayAsk(role, method, pathname)
    ? { kind: "in", role, holderId: holder.id }
    : {
        kind: "notYours",
        role,
        message: `This device is for the ${role}; that is the owner’s to do. Enter with the owner’s passphrase.`,
      };
}
