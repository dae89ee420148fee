"use client";

import { KeyRound } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { useForm, type UseFormRegisterReturn } from "react-hook-form";
import {
  MAX_HOLDER_NAME,
  MAX_PASSPHRASE,
  MIN_PASSPHRASE,
  type EnterRequest,
  type Role,
} from "@/schemas/access";
import { namePage } from "../live/neighbours";
import { askServer } from "./askServer";

interface Props {
  /** Where to go then. */
  readonly to: string;
  /** Nobody has chosen a passphrase yet. */
  readonly isUnset: boolean;
  /** Whom this device is for; null where it has no key. */
  readonly heldRole: Role | null;
  /** It may not do what was asked. */
  readonly isTurnedDown: boolean;
  /** A code that was scanned. */
  readonly invite: string | null;
}

interface Fields {
  readonly code: string;
  readonly passphrase: string;
  readonly name: string;
}

/** Where a device comes in: once; it is remembered by its name. */
export function EnterPage({ to, isUnset, heldRole, isTurnedDown, invite }: Props) {
  const router = useRouter();
  const { register, handleSubmit, setValue, formState } = useForm<Fields>({
    defaultValues: { code: invite ?? "", passphrase: "", name: "" },
  });
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => setValue("name", namePage()), [setValue]);
  const by = isUnset ? "start" : invite === null ? "passphrase" : "invite";
  const enter = handleSubmit(async ({ code, passphrase, name }) => {
    const request: EnterRequest =
      by === "start"
        ? { by, code, passphrase, name }
        : by === "invite"
          ? { by, code, name }
          : { by, passphrase, name };
    const entered = await askServer<{ role: Role }>("/api/enter", request);
    // Loaded anew: what was kept of pages before belongs to who was not in.
    if (entered.ok) window.location.assign(to);
    else setFault(entered.message);
  });
  const leave = async () => {
    const left = await fetch("/api/leave", { method: "POST" }).catch(() => null);
    if (left?.ok) router.refresh();
    else setFault("Tezgah does not answer. Try again in a moment.");
  };
  const { errors, isSubmitting } = formState;
  const told = errors.code?.message ?? errors.passphrase?.message ?? errors.name?.message ?? fault;
  return (
    <main className="board flex min-h-dvh flex-col items-center justify-center p-6">
      <form
        noValidate
        className="flex w-full max-w-sm flex-col gap-4"
        onSubmit={(event) => void enter(event)}
      >
        <p className="figure text-2xl">tezgah</p>
        <h1 className="text-3xl">{isUnset ? "Choose the passphrase of the house" : "Come in"}</h1>
        {heldRole && (
          <div role="status" className="flex flex-wrap items-center gap-3">
            <p>
              This device is for the {heldRole}.{" "}
              {isTurnedDown
                ? "What you asked for is the owner’s: enter with the owner’s passphrase, or go back."
                : "Come in anew for another, or go out."}
            </p>
            <button type="button" className="btn touch" onClick={() => void leave()}>
              Go out
            </button>
          </div>
        )}
        {isUnset && (
          <p>
            Tezgah is open to this network and nobody has a key yet. The code stands where the server was
            started.
          </p>
        )}
        {by === "start" && (
          <Field
            label="Code of this start"
            autoComplete="off"
            field={register("code", { required: "Enter the code." })}
          />
        )}
        {by !== "invite" && (
          <Field
            label={isUnset ? `Passphrase, at least ${MIN_PASSPHRASE} characters` : "Passphrase"}
            type="password"
            autoComplete={isUnset ? "new-password" : "current-password"}
            field={register("passphrase", {
              required: "Enter the passphrase.",
              maxLength: { value: MAX_PASSPHRASE, message: `At most ${MAX_PASSPHRASE} characters.` },
            })}
          />
        )}
        <Field
          label="Name of this device"
          autoComplete="off"
          field={register("name", {
            required: "Give it a name: it is turned out by it, should it be lost.",
            maxLength: { value: MAX_HOLDER_NAME, message: `At most ${MAX_HOLDER_NAME} characters.` },
          })}
        />
        {told && (
          <p role="alert" className="text-error">
            {told}
          </p>
        )}
        <button className="btn btn-primary touch" disabled={isSubmitting}>
          <KeyRound size={20} aria-hidden /> {isUnset ? "Choose it and come in" : "Come in"}
        </button>
      </form>
    </main>
  );
}

interface FieldProps {
  readonly label: string;
  readonly type?: "password";
  readonly autoComplete: string;
  readonly field: UseFormRegisterReturn;
}

function Field({ label, type, autoComplete, field }: FieldProps) {
  return (
    <label className="flex flex-col gap-1">
      {label}
      <input className="input touch w-full" type={type ?? "text"} autoComplete={autoComplete} {...field} />
    </label>
  );
}
