"use client";

import { TZDate } from "@date-fns/tz";
import { format } from "date-fns";
import { QrCode, TriangleAlert, UserX } from "lucide-react";
import Image from "next/image";
import { useRouter } from "next/navigation";
import { useState } from "react";
import {
  MAX_HOLDER_NAME,
  MAX_PASSPHRASE,
  MIN_PASSPHRASE,
  roles,
  roleWords,
  type AccessRequest,
  type Holder,
  type Role,
} from "@/schemas/access";
import { Dialog } from "../shell/Dialog";
import { HouseHeader } from "../shell/HouseHeader";
import { askServer } from "./askServer";

interface Props {
  /** Everyone needs a key; else this machine alone is served, and needs none. */
  readonly isGuarded: boolean;
  readonly holders: readonly Holder[];
  /** This device among them. */
  readonly ownId: string | null;
  readonly rolesWithPassphrase: readonly Role[];
  readonly timeZone: string;
}

/** A code on the screen for a phone to read. */
interface Invite {
  readonly role: Role;
  readonly code: string;
  readonly endsAt: string;
  readonly address: string;
  /** Drawn by the server. */
  readonly qr: string;
}

/** Who may come in: devices by name, programmes by token, a passphrase for each role, a code for a phone. */
export function AccessPage({ isGuarded, holders, ownId, rolesWithPassphrase, timeZone }: Props) {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [invite, setInvite] = useState<Invite | null>(null);
  const [token, setToken] = useState<string | null>(null);
  const at = (iso: string) => format(new TZDate(iso, timeZone), "EEE d MMM, HH:mm");

  const ask = async <T,>(request: AccessRequest, told: string | null = null): Promise<T | null> => {
    const answered = await askServer<T>("/api/access", request);
    setFault(answered.ok ? null : answered.message);
    setDone(answered.ok ? told : null);
    if (answered.ok) router.refresh();
    return answered.ok ? answered.value : null;
  };
  const show = async (role: Role) => {
    const shown = await ask<Omit<Invite, "role">>({ act: "invite", role });
    if (shown) setInvite({ ...shown, role });
  };

  return (
    <main className="board min-h-dvh p-5 sm:p-8">
      <div className="mx-auto flex max-w-4xl flex-col gap-6">
        <HouseHeader title="Who may come in" />
        {!isGuarded && (
          <p className="flex items-center gap-3 text-lg">
            <TriangleAlert size={26} aria-hidden className="shrink-0" />
            This machine alone is served now, and needs no key. Started with HOST=0.0.0.0 it serves the house,
            and what stands here holds.
          </p>
        )}
        <div aria-live="polite">{done && <p className="text-primary">{done}</p>}</div>
        {fault && (
          <p role="alert" className="text-error">
            {fault}
          </p>
        )}
        <section aria-labelledby="bring" className="flex flex-col gap-2">
          <h2 id="bring" className="text-xl">
            Bring a device in
          </h2>
          <div className="flex flex-wrap gap-3">
            {roles.map((role) => (
              <button key={role} type="button" className="btn touch" onClick={() => void show(role)}>
                <QrCode size={20} aria-hidden /> Code for the {role}
              </button>
            ))}
          </div>
        </section>
        <section aria-labelledby="devices">
          <h2 id="devices" className="text-xl">
            Devices and programmes
          </h2>
          {holders.length === 0 && <p className="quiet">None has come in yet.</p>}
          <ul className="flex flex-col">
            {holders.map(({ id, kind, name, role, seenAt }) => (
              <li key={id} className="flex flex-wrap items-center gap-x-4 border-t border-base-300 py-1.5">
                <strong className="min-w-40 flex-1">{name}</strong>
                <span className="w-40">
                  {role}
                  {kind === "programme" ? ", a programme" : ""}
                </span>
                <span className="quiet w-48">{id === ownId ? "this device" : `seen ${at(seenAt)}`}</span>
                <button
                  type="button"
                  className="btn touch"
                  aria-label={`Turn ${name} out`}
                  onClick={() => void ask({ act: "turnOut", id }, `${name} is turned out.`)}
                >
                  <UserX size={20} aria-hidden /> Turn out
                </button>
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="phrases" className="flex flex-col gap-3">
          <h2 id="phrases" className="text-xl">
            Passphrases
          </h2>
          {roles.map((role) => (
            <PassphraseForm
              key={role}
              role={role}
              isSet={rolesWithPassphrase.includes(role)}
              onSet={(passphrase) =>
                ask(
                  { act: "passphrase", role, passphrase },
                  passphrase === ""
                    ? `Nobody comes in as the ${role} by a passphrase any more; who is in stays.`
                    : `The ${role}’s passphrase is set. Who is in stays.`,
                )
              }
            />
          ))}
        </section>
        <TokenForm
          onMake={async (name, role) => {
            const made = await ask<{ token: string }>({ act: "token", name, role });
            if (made) setToken(made.token);
          }}
        />
      </div>
      <Dialog
        open={invite !== null}
        onClose={() => setInvite(null)}
        title="Read this with the phone’s camera"
      >
        {invite && (
          <div className="flex flex-col items-center gap-3 text-center">
            {/* Drawn by the server out of its own address. */}
            <Image
              src={`data:image/svg+xml,${encodeURIComponent(invite.qr)}`}
              alt={`Code that leads to ${invite.address}`}
              unoptimized
              width={256}
              height={256}
              className="rounded-box"
            />
            <p>
              Lets one device in for the {invite.role}, until {at(invite.endsAt)}. Or open
            </p>
            <p className="figure break-all">{invite.address}</p>
          </div>
        )}
      </Dialog>
      <Dialog open={token !== null} onClose={() => setToken(null)} title="The programme’s token">
        <p className="mb-2">It is shown this once. The programme sends it as “Authorization: Bearer …”.</p>
        <p className="figure break-all">{token}</p>
      </Dialog>
    </main>
  );
}

interface PassphraseFormProps {
  readonly role: Role;
  readonly isSet: boolean;
  readonly onSet: (passphrase: string) => Promise<unknown>;
}

function PassphraseForm({ role, isSet, onSet }: PassphraseFormProps) {
  const [passphrase, setPassphrase] = useState("");
  const set = async (next: string) => {
    if (await onSet(next)) setPassphrase("");
  };
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void set(passphrase);
      }}
    >
      <label className="flex min-w-64 flex-1 flex-col gap-1">
        <span>
          The {role}’s <span className="quiet">({roleWords[role]})</span>
        </span>
        <input
          type="password"
          autoComplete="new-password"
          className="input touch w-full"
          placeholder={isSet ? "set; a new one takes its place" : "none"}
          minLength={MIN_PASSPHRASE}
          maxLength={MAX_PASSPHRASE}
          required
          value={passphrase}
          onChange={(event) => setPassphrase(event.target.value)}
        />
      </label>
      <button className="btn touch">{isSet ? "Change it" : "Set it"}</button>
      {isSet && role !== "owner" && (
        <button type="button" className="btn btn-ghost touch" onClick={() => void set("")}>
          End it
        </button>
      )}
    </form>
  );
}

function TokenForm({ onMake }: { readonly onMake: (name: string, role: Role) => Promise<void> }) {
  const [name, setName] = useState("");
  const [role, setRole] = useState<Role>("bench");
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void onMake(name, role).then(() => setName(""));
      }}
    >
      <h2 className="w-full text-xl">A token for a programme</h2>
      <label className="flex min-w-64 flex-1 flex-col gap-1">
        Its name
        <input
          className="input touch w-full"
          required
          maxLength={MAX_HOLDER_NAME}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className="flex flex-col gap-1">
        For the
        <select
          className="select touch"
          value={role}
          onChange={(event) => setRole(roles.find((each) => each === event.target.value) ?? "bench")}
        >
          {roles.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
      </label>
      <button className="btn touch">Make a token</button>
    </form>
  );
}
