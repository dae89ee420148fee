import { randomUUID } from "node:crypto";
import { fail, ok, type Result } from "@/core/result";
import type { AccessFile } from "@/data/accessFile";
import type { EnterRequest, Holder, Role } from "@/schemas/access";
import { createCode, createToken, hashCode, hashPassphrase, hashToken, isPassphrase } from "./passphrase";
import { createThrottle } from "./throttle";

/** Wrong passphrases of all who have tried before: thirty at once, then one in twenty seconds. Who is in is not held up. */
const ALL_ATTEMPTS = { burst: 30, perSecond: 1 / 20 };
/** And of one address: five, then one in half a minute. */
const ATTEMPTS = { burst: 5, perSecond: 1 / 30 };

/** Tries of an address that are counted by it alone: whoever mistypes is not held up by others. */
const OWN_TRIES = 3;

/** A code on a screen lets in for so long, ms. */
const INVITE_LASTS_MS = 10 * 60_000;
/** When a holder was last seen is written down so often, ms. */
const SEEN_EVERY_MS = 5 * 60_000;

/** Why nobody was let in, with its status. */
export interface NotLetIn {
  readonly status: 401 | 409 | 429;
  readonly message: string;
  /** Seconds until another try is worth it. */
  readonly waitS?: number;
}

/** One who has come in, with the key it keeps. */
export interface LetIn {
  readonly holder: Holder;
  readonly token: string;
}

/** Lets in who has a key, and knows who is in. One a process. */
export function createDoorkeeper(file: AccessFile, clock: () => Date) {
  const ofOne = createThrottle(ATTEMPTS);
  const ofAll = createThrottle(ALL_ATTEMPTS);

  const isUnset = (): boolean => !file.listPassphrases().some(({ role }) => role === "owner");

  function add(kind: Holder["kind"], name: string, role: Role): LetIn {
    const token = createToken();
    const at = clock().toISOString();
    const holder: Holder = { id: randomUUID(), kind, name, role, madeAt: at, seenAt: at };
    file.addHolder({ ...holder, tokenHash: hashToken(token) });
    return { holder, token };
  }

  async function findRole(passphrase: string): Promise<Role | null> {
    // All are tried, so that how long it takes tells nothing.
    const tried = await Promise.all(
      file.listPassphrases().map(async (kept) => ((await isPassphrase(passphrase, kept)) ? kept.role : null)),
    );
    return tried.find((role) => role !== null) ?? null;
  }

  /** @param address - Whoever asks, as far as it is known: wrong keys are counted by it, and all together. */
  async function enter(request: EnterRequest, address: string): Promise<Result<LetIn, NotLetIn>> {
    const nowMs = clock().getTime();
    // The common tries hold up who goes on guessing, under however many addresses. A code is not guessed, and the first tries
    // from an address are always looked at, or one in the wi-fi could keep everybody else out.
    const isCommon = request.by === "passphrase" && ofOne.readSpent(address, nowMs) >= OWN_TRIES;
    const waitS = Math.max(ofOne.take(address, nowMs), isCommon ? ofAll.take("", nowMs) : 0);
    if (waitS > 0)
      return fail({ status: 429, waitS, message: `Too many tries. Wait ${waitS} s, then try again.` });
    const entered = await tryKey(request, nowMs);
    // A house that brings its devices in one after the other guesses nothing.
    if (entered.ok) {
      ofOne.giveBack(address);
      if (isCommon) ofAll.giveBack("");
    }
    return entered;
  }

  async function tryKey(request: EnterRequest, nowMs: number): Promise<Result<LetIn, NotLetIn>> {
    if (request.by === "passphrase") {
      const role = await findRole(request.passphrase);
      return role
        ? ok(add("device", request.name, role))
        : fail({ status: 401, message: "That is not a passphrase of this house. Look at it and try again." });
    }
    if (request.by === "start" && !isUnset())
      return fail({ status: 409, message: "The house has its passphrase already. Enter with it." });
    const invite = file.takeInvite(hashCode(request.code));
    const isGood =
      invite !== null &&
      (invite.endsAt === null) === (request.by === "start") &&
      (invite.endsAt === null || Date.parse(invite.endsAt) >= nowMs);
    if (!isGood)
      return fail({
        status: 401,
        message:
          request.by === "start"
            ? "That is not the code of this start. It stands where the server was started."
            : "That code is not good any more: it lets in once, within ten minutes. Have a new one shown.",
      });
    if (request.by === "start")
      file.keepPassphrase({ role: "owner", ...(await hashPassphrase(request.passphrase)) });
    return ok(add("device", request.name, invite.role));
  }

  return {
    /** No passphrase has been chosen: the next thing is to choose one, with the code of the first start. */
    isUnset,
    enter,
    /** A fresh code for the first start, in place of any before it; it is said only where the server was started. */
    makeStartCode(): string {
      const code = createCode();
      file.replaceStartCode(hashCode(code));
      return code;
    },
    hasStartCode: (): boolean => file.hasStartCode(),
    /** Who a key belongs to; null without one, if it is none of ours, or was turned out. */
    findHolder(token: string | null): Holder | null {
      if (token === null) return null;
      const holder = file.findHolder(hashToken(token));
      if (!holder) return null;
      const now = clock();
      if (now.getTime() - Date.parse(holder.seenAt) > SEEN_EVERY_MS)
        file.seeHolder(holder.id, now.toISOString());
      return holder;
    },
    /** A code that lets one device in, with when it ends. */
    invite(role: Role): { readonly code: string; readonly endsAt: string } {
      const code = createCode();
      const now = clock();
      const endsAt = new Date(now.getTime() + INVITE_LASTS_MS).toISOString();
      file.addInvite(hashCode(code), role, endsAt, now.toISOString());
      return { code, endsAt };
    },
    /** A programme's key, seen this once. */
    makeToken: (name: string, role: Role): LetIn => add("programme", name, role),
    turnOut: (id: string): boolean => file.dropHolder(id),
    async setPassphrase(role: Role, passphrase: string): Promise<void> {
      file.keepPassphrase({ role, ...(await hashPassphrase(passphrase)) });
    },
    endPassphrase: (role: Role): void => file.dropPassphrase(role),
    listHolders: () => file.listHolders(),
    listRoles: (): Role[] => file.listPassphrases().map(({ role }) => role),
  };
}

export type Doorkeeper = ReturnType<typeof createDoorkeeper>;
