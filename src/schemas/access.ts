/** Who a device or a programme is for: the owner does everything, the bench runs the day, the shop takes orders. */
export const roles = ["owner", "bench", "shop"] as const;
export type Role = (typeof roles)[number];

/** What a role may do, as it is said to who chooses. */
export const roleWords: Readonly<Record<Role, string>> = {
  owner: "everything",
  bench: "runs, log, orders, customers, larder; the book is read",
  shop: "orders, customers; the rest is read",
};

/** Shortest passphrase, characters: with attempts limited, none is guessed in a lifetime. */
export const MIN_PASSPHRASE = 10;
export const MAX_PASSPHRASE = 200;
/** Longest name of a device or a programme, characters. */
export const MAX_HOLDER_NAME = 60;

/** A device that may come in, or a programme with a token. */
export interface Holder {
  readonly id: string;
  readonly kind: "device" | "programme";
  readonly name: string;
  readonly role: Role;
  /** UTC, ISO 8601. */
  readonly madeAt: string;
  readonly seenAt: string;
}

/** How a device comes in. */
export type EnterRequest =
  /** For the first time of all, with the code that the server printed: the passphrase is the owner's from then on. */
  | { readonly by: "start"; readonly code: string; readonly passphrase: string; readonly name: string }
  | { readonly by: "passphrase"; readonly passphrase: string; readonly name: string }
  /** With a code that another device showed. */
  | { readonly by: "invite"; readonly code: string; readonly name: string };

/** What the owner does about who may come in. */
export type AccessRequest =
  /** An empty one ends it: nobody comes in as that role any more. Who is in stays. */
  | { readonly act: "passphrase"; readonly role: Role; readonly passphrase: string }
  | { readonly act: "turnOut"; readonly id: string }
  | { readonly act: "invite"; readonly role: Role }
  | { readonly act: "token"; readonly role: Role; readonly name: string };
