import { openAccessFile, findAccessFile } from "@/data/accessFile";
import { findDataFile } from "@/data/dataFile";
import { roles, type Role } from "@/schemas/access";
import { isLoopback } from "./loopback";
import { createDoorkeeper, type Doorkeeper } from "./doorkeeper";

/** The key of a device that has come in. */
const KEY_COOKIE = "tezgah-key";
/** Browsers keep a cookie no longer than this, s. */
const KEY_LASTS_S = 400 * 86_400;

/** Told inward by the gate, for whom the request is; what a caller says under this name is thrown away. */
export const ROLE_HEADER = "x-tezgah-role";

/** One a process, kept across hot reloads and shared by gate and routes. */
const holder = globalThis as { tezgahDoorkeeper?: Doorkeeper };

export const getDoorkeeper = (): Doorkeeper =>
  (holder.tezgahDoorkeeper ??= createDoorkeeper(
    openAccessFile(findAccessFile(findDataFile())),
    () => new Date(),
  ));

type Env = Readonly<Record<string, string | undefined>>;

/** Whether this server was started for more than its own machine. */
export const isHouseOpen = ({ HOST, TEZGAH_HOSTS }: Env): boolean =>
  !isLoopback(HOST || "localhost") || (TEZGAH_HOSTS ?? "").trim() !== "";

/** Whether who asks needs a key: everyone, once the server is for more than its own machine or is asked from beyond it. */
export function needsKey(env: Env, host: string | null): boolean {
  const name = host !== null && URL.canParse(`http://${host}`) ? new URL(`http://${host}`).hostname : "";
  return isHouseOpen(env) || !isLoopback(name);
}

/** The key that a request carries: a device's cookie, or a programme's bearer token. */
export function readKey(headers: Headers): string | null {
  const bearer = /^Bearer ([\w-]+)$/.exec(headers.get("authorization") ?? "")?.[1];
  const cookie = new RegExp(`(?:^|; *)${KEY_COOKIE}=([\\w-]+)`).exec(headers.get("cookie") ?? "")?.[1];
  return bearer ?? cookie ?? null;
}

/** The one address that a programme asks which can send no word beside it: a calendar that is subscribed to. */
const CALENDAR_PATH = "/api/calendar.ics";

/** The key at the end of the calendar's address; null anywhere else, so that no key stands in an address of a page. */
export const readCalendarKey = ({
  pathname,
  searchParams,
}: Pick<URL, "pathname" | "searchParams">): string | null =>
  pathname === CALENDAR_PATH ? searchParams.get("key") : null;

/**
 * The cookie that keeps a key on a device: no script reads it, no page elsewhere sends it along.
 * @param token - Null takes it away. @param isSecure - Asked over HTTPS: then it never goes out without.
 */
export const writeKeyCookie = (token: string | null, isSecure: boolean): string =>
  [
    `${KEY_COOKIE}=${token ?? ""}`,
    "Path=/",
    `Max-Age=${token === null ? 0 : KEY_LASTS_S}`,
    "HttpOnly",
    "SameSite=Lax",
    ...(isSecure ? ["Secure"] : []),
  ].join("; ");

/** Whether a browser asked over HTTPS, by the word of the proxy before this server. */
export const isAskedSecurely = (headers: Headers): boolean =>
  headers.get("x-forwarded-proto")?.split(",")[0]?.trim() === "https";

/** For whom a request is, as the gate found it. */
export const readRole = (headers: Headers): Role => {
  const told = headers.get(ROLE_HEADER);
  return roles.find((role) => role === told) ?? "owner";
};

/** Said where the server was started, for whoever chooses the first passphrase. */
export const sayStartCode = (): void =>
  console.log(
    `\nTezgah is open to the house and has no passphrase yet. Open /enter on any device and choose one; the code of this start is ${getDoorkeeper().makeStartCode()}\n`,
  );
