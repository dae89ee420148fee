"use client";

import { formatDistance } from "date-fns";
import { TriangleAlert } from "lucide-react";
import { useForm } from "react-hook-form";

/** Where copies go as well, as the server says it. */
export interface OutwardShown {
  readonly folder: string;
  readonly everyHours: number;
  readonly isSealed: boolean;
  /** UTC, ISO 8601. */
  readonly newestAt: string | null;
  readonly fault: string | null;
}

/** What is set: an empty passphrase leaves copies open, null keeps what was. */
export interface OutwardRequest {
  readonly folder: string | null;
  readonly everyHours?: number;
  readonly passphrase?: string | null;
}

interface Fields {
  readonly folder: string;
  readonly everyHours: string;
  readonly seal: "keep" | "new" | "none";
  readonly passphrase: string;
}

/** How often, h, in words. */
const intervals = [
  { hours: 1, words: "with every copy, at most each hour" },
  { hours: 24, words: "every day" },
  { hours: 168, words: "every week" },
] as const;

interface Props {
  readonly outward: OutwardShown | null;
  readonly nowIso: string;
  readonly isBusy: boolean;
  readonly onSet: (request: OutwardRequest) => void;
}

/** Copies on another disk or share as well: where, how often, sealed or not, and how that stands. */
export function OutwardForm({ outward, nowIso, isBusy, onSet }: Props) {
  const { register, handleSubmit, watch } = useForm<Fields>({
    defaultValues: {
      folder: outward?.folder ?? "",
      everyHours: String(outward?.everyHours ?? 24),
      seal: outward?.isSealed ? "keep" : "none",
      passphrase: "",
    },
  });
  const seal = watch("seal");
  const set = handleSubmit(({ folder, everyHours, passphrase }) =>
    onSet({
      folder,
      everyHours: Number(everyHours),
      passphrase: seal === "keep" ? null : seal === "new" ? passphrase : "",
    }),
  );
  return (
    <form className="flex flex-col gap-3" aria-labelledby="outward" onSubmit={(event) => void set(event)}>
      <h2 id="outward" className="text-xl">
        On another disk or share
      </h2>
      {outward && (
        <p
          className={`flex items-center gap-2 ${outward.fault ? "text-error" : ""}`}
          role={outward.fault ? "alert" : undefined}
        >
          {outward.fault && <TriangleAlert size={22} aria-hidden className="shrink-0" />}
          {outward.fault ??
            (outward.newestAt
              ? `The last one there is ${formatDistance(new Date(outward.newestAt), new Date(nowIso))} old${outward.isSealed ? ", sealed" : ""}.`
              : "None is there yet: the next one goes there.")}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex min-w-64 flex-1 flex-col gap-1">
          Folder, from its root
          <input
            className="input touch w-full"
            placeholder="/mnt/share/tezgah"
            required
            {...register("folder")}
          />
        </label>
        <label className="flex flex-col gap-1">
          How often
          <select className="select touch" {...register("everyHours")}>
            {intervals.map(({ hours, words }) => (
              <option key={hours} value={hours}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <label className="flex flex-col gap-1">
          Sealed
          <select className="select touch" {...register("seal")}>
            <option value="none">no: whoever has the disk reads it</option>
            {outward?.isSealed && <option value="keep">yes, as it is</option>}
            <option value="new">yes, with a passphrase</option>
          </select>
        </label>
        {seal === "new" && (
          <label className="flex min-w-64 flex-1 flex-col gap-1">
            Its passphrase: without it nobody opens them again
            <input
              type="password"
              autoComplete="new-password"
              className="input touch w-full"
              required
              {...register("passphrase")}
            />
          </label>
        )}
        <button className="btn touch" disabled={isBusy}>
          {outward ? "Change it" : "Copy there too"}
        </button>
        {outward && (
          <button
            type="button"
            className="btn btn-ghost touch"
            disabled={isBusy}
            onClick={() => onSet({ folder: null })}
          >
            End it
          </button>
        )}
      </div>
    </form>
  );
}
