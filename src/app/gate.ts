import os from "node:os";
import { READING } from "./access/policy";

/**
 * Names by which this server may be asked for, beside addresses in figures: its own computer's, the one it was started
 * on (HOST), and those of a proxy before it (TEZGAH_HOSTS, with commas between).
 */
export function listHouseNames(env: Readonly<Record<string, string | undefined>>): ReadonlySet<string> {
  const own = os.hostname().toLowerCase();
  const told = [env.HOST ?? "", ...(env.TEZGAH_HOSTS ?? "").split(",")];
  return new Set(
    ["localhost", own, `${own}.local`, ...told].map((name) => name.trim().toLowerCase()).filter(Boolean),
  );
}

/** As much of a request as it is judged by. */
export interface Caller {
  readonly method: string;
  readonly pathname: string;
  readonly host: string | null;
  readonly origin: string | null;
  /** What a browser says of the page that asks: `same-origin`, `none` for an address that was typed. */
  readonly fetchSite: string | null;
}

/** Why a request is not answered, with its status. */
export interface Turned {
  readonly status: 403 | 421;
  readonly message: string;
}

const MAX_SHOWN_CHARACTERS = 80;
const show = (text: string): string => text.slice(0, MAX_SHOWN_CHARACTERS);

/**
 * A request that is asked for by a name which is not this house's: a page elsewhere may have had its own name point here.
 * An address in figures cannot be made to. And one that would change something, from a page of another address.
 * @returns Null where it is let in.
 */
export function turnAway(caller: Caller, names: ReadonlySet<string>): Turned | null {
  const { method, pathname, host, origin, fetchSite } = caller;
  const name = readName(host);
  if (name === null || !(isFigures(name) || names.has(name)))
    return {
      status: 421,
      message: `Tezgah was not started for the address “${show(host ?? "")}”. Open it by its address in figures, or name this one in TEZGAH_HOSTS and start it again.`,
    };
  // A page may be linked to; whatever else is asked from a page elsewhere, reading too, fills folders or tells of the house.
  if (READING.has(method) && !pathname.startsWith("/api/")) return null;
  const isElsewhere =
    isOtherOrigin(origin, host) ||
    (fetchSite !== null && fetchSite !== "same-origin" && fetchSite !== "none");
  return isElsewhere
    ? {
        status: 403,
        message: `A page of ${show(origin ?? "another address")} may not ask this. Open Tezgah at its own address.`,
      }
    : null;
}

/** Whether a page says that it is another address's than the one it asks. A programme says nothing. */
export const isOtherOrigin = (origin: string | null, host: string | null): boolean =>
  origin !== null && !(URL.canParse(origin) && new URL(origin).host === host);

/** The name in a Host header, without its port; null where it is none. */
function readName(host: string | null): string | null {
  if (host === null || /[\s/@?#\\]/.test(host) || !URL.canParse(`http://${host}`)) return null;
  return new URL(`http://${host}`).hostname.toLowerCase();
}

const isFigures = (name: string): boolean =>
  /^\d+\.\d+\.\d+\.\d+$/.test(name) || /^\[[\da-f:.]+\]$/.test(name);

/**
 * What a page of ours may load and who may show it: scripts that carry this answer's nonce and what they load, nothing
 * from elsewhere, in no frame. Drawings have their sizes in style attributes, which run nothing.
 * @param isDevelopment - The framework's development build puts scripts together from text.
 */
export const writeContentPolicy = (nonce: string, isDevelopment = false): string =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${isDevelopment ? " 'unsafe-eval'" : ""}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");

/** Said with every answer beside the policy. Wake lock and vibration are the run's; nothing else of a device is used. */
export const steadyHeaders: Readonly<Record<string, string>> = {
  "x-content-type-options": "nosniff",
  "referrer-policy": "same-origin",
  "permissions-policy":
    "screen-wake-lock=(self), camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), midi=()",
  "cross-origin-opener-policy": "same-origin",
  "cross-origin-resource-policy": "same-origin",
};
