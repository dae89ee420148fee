import type { Role } from "@/schemas/access";
import type { RecordKind } from "@/schemas/recordKinds";

/** Needs no key: the way in, what a page is made of, and whether the server is well. */
const OPEN = [
  "/enter",
  "/api/enter",
  "/api/health",
  "/away",
  "/service-worker.js",
  "/manifest.webmanifest",
] as const;

/** What the house itself is made of: who may come in, what is copied and laid back. */
const OWNERS = ["/access", "/api/access", "/copies", "/api/copies", "/how"] as const;

/** What a shop's device may send beside reading: orders, and where it is. */
const SHOP_SENDS = ["/api/bench/changes", "/api/bench/here", "/api/bench/felt", "/api/leave"] as const;
/** What is known of hands and ovens is set by the owner; what happened is told by the bench. */
const BENCH_LEAVES = ["/api/v1/habits", "/api/v1/habits/lots"] as const;

/** Methods that change nothing here. */
export const READING: ReadonlySet<string> = new Set(["GET", "HEAD", "OPTIONS"]);

const isUnder = (pathname: string, paths: readonly string[]): boolean =>
  paths.some((path) => pathname === path || pathname.startsWith(`${path}/`));

export const isOpen = (pathname: string): boolean => isUnder(pathname, OPEN);

/** Whether a role may ask for this at all; of changes to the book, which ones is asked of `mayChange`. */
export function mayAsk(role: Role, method: string, pathname: string): boolean {
  if (role === "owner") return true;
  if (isUnder(pathname, OWNERS)) return false;
  if (READING.has(method)) return true;
  return role === "bench" ? !BENCH_LEAVES.some((path) => path === pathname) : isUnder(pathname, SHOP_SENDS);
}

/** What the bench writes of a day: what is ordered, made ahead, weighed, cut, counted and left over. */
const BENCH_KINDS: ReadonlySet<RecordKind> = new Set<RecordKind>([
  ...([
    "customer",
    "standing",
    "day",
    "order",
    "larder",
    "ahead",
    "weighing",
    "cutRecord",
    "lotRecord",
  ] as const),
]);

/** Where one sells: who orders, and what. */
const SHOP_KINDS: ReadonlySet<RecordKind> = new Set<RecordKind>(["customer", "standing", "order"]);

/** Whether a role may write records of a kind. */
export const mayChange = (role: Role, kind: RecordKind): boolean =>
  role === "owner" || (role === "bench" ? BENCH_KINDS : SHOP_KINDS).has(kind);
