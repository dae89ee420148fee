"use client";

import { TZDate } from "@date-fns/tz";
import { format, formatDistance } from "date-fns";
import { Download, FileText, HardDriveDownload, RotateCcw, TriangleAlert } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { formatNumber } from "@/core/units";
import { Dialog } from "../shell/Dialog";
import { HouseHeader } from "../shell/HouseHeader";
import { formatShortDate } from "../shell/formatDayDate";
import { DataTable } from "../table/DataTable";
import { OutwardForm, type OutwardRequest, type OutwardShown } from "./OutwardForm";

/** A copy there is. */
export interface CopyShown {
  readonly name: string;
  readonly bytes: number;
  readonly madeAt: string;
}

/** What a copy or the data file holds. */
interface Holding {
  readonly dataVersion: number;
  readonly counts: Readonly<Record<string, number>>;
  readonly firstDay: string | null;
  readonly lastDay: string | null;
}

/** A copy that was looked at and can be laid back. */
interface Looked {
  readonly token: string;
  readonly manifest: Holding & { readonly madeAt: string; readonly why: string };
  readonly now: Holding | null;
}

/** Something of file, disk or copies that is not well. */
export interface ProblemShown {
  readonly code: string;
  readonly message: string;
  readonly remedy: string;
}

interface Props {
  readonly problems: readonly ProblemShown[];
  readonly outward: OutwardShown | null;
  readonly copies: readonly CopyShown[];
  readonly nowIso: string;
  readonly timeZone: string;
}

/** A copy that is looked at: the server's own, or a file. */
interface Brought {
  readonly path: string;
  readonly body: File | null;
}

class NeedsPassphrase extends Error {}

/** What a header can hold of any text. */
const toBase64Url = (text: string): string =>
  btoa(String.fromCodePoint(...new TextEncoder().encode(text)))
    .replaceAll("+", "-")
    .replaceAll("/", "_");

/** A copy older than this is no help any more: a week's work would be lost, ms. */
const OLD_AFTER_MS = 7 * 86_400_000;
const BYTES_PER_MB = 1_000_000;
const BYTES_PER_KB = 1000;

/** What a copy was made for, from its name. */
const readWhy = (name: string): string => /Z-(.+)\.zip$/.exec(name)?.[1]?.replaceAll("-", " ") ?? "";

const describeBytes = (bytes: number): string =>
  bytes < BYTES_PER_MB
    ? `${formatNumber(bytes / BYTES_PER_KB)} kB`
    : `${formatNumber(bytes / BYTES_PER_MB, 1)} MB`;

/** Save everything and lay it back: what each copy holds is shown before it replaces anything. */
export function CopiesPage({ problems, outward, copies, nowIso, timeZone }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [done, setDone] = useState<string | null>(null);
  /** A sealed copy that waits for its passphrase. */
  const [sealed, setSealed] = useState<Brought | null>(null);
  const [passphrase, setPassphrase] = useState("");

  const ask = async <Answer,>(what: string, path: string, init: RequestInit): Promise<Answer | null> => {
    setBusy(what);
    setFault(null);
    const answer = await fetch(path, init).catch(() => null);
    const told = (await answer?.json().catch(() => null)) as
      | (Answer & { faults?: { path?: string; message: string }[] })
      | null
      | undefined;
    setBusy(null);
    if (answer?.ok && told) return told;
    if (told?.faults?.[0]?.path === "passphrase") throw new NeedsPassphrase();
    setFault(
      told?.faults?.[0]?.message ?? "Tezgah does not answer. Nothing was changed; try again in a moment.",
    );
    return null;
  };
  const make = async () => {
    if (await ask("Copying everything…", "/api/copies", { method: "POST" })) router.refresh();
  };
  const look = async (brought: Brought, opened: string | null = null) => {
    const { path, body } = brought;
    const headers = {
      ...(body ? { "content-type": "application/octet-stream" } : {}),
      ...(opened === null ? {} : { "x-tezgah-passphrase": toBase64Url(opened) }),
    };
    try {
      setLooked(await ask<Looked>("Looking at the copy…", path, { method: "POST", body, headers }));
    } catch (error) {
      if (!(error instanceof NeedsPassphrase)) throw error;
      setSealed(brought);
    }
  };
  const setOutward = async (request: OutwardRequest) => {
    const set = await ask<object>("Looking at the folder…", "/api/copies/outward", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(request),
    });
    if (!set) return;
    setDone(
      request.folder === null
        ? "Copies go nowhere else any more; those that are there stay."
        : "Set: a copy goes there now.",
    );
    router.refresh();
  };
  const layBack = async (token: string) => {
    const laid = await ask<{ aside: string | null }>("Laying the copy back…", "/api/copies/restore", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ token }),
    });
    setLooked(null);
    if (!laid) return;
    setDone(
      laid.aside === null
        ? "The copy is in place."
        : `The copy is in place. What was there is kept as ${laid.aside}.`,
    );
    router.refresh();
  };
  const at = (iso: string) => format(new TZDate(iso, timeZone), "EEE d MMM yyyy, HH:mm");
  const [newest] = copies;
  const isOld = !newest || Date.parse(nowIso) - Date.parse(newest.madeAt) > OLD_AFTER_MS;

  return (
    <main className="board min-h-dvh p-5 sm:p-8">
      <div className="mx-auto flex max-w-3xl flex-col gap-5">
        <HouseHeader title="Copies" />
        <p
          className={`flex items-center gap-3 text-xl ${isOld ? "text-error" : ""}`}
          role={isOld ? "alert" : undefined}
        >
          {isOld && <TriangleAlert size={26} aria-hidden className="shrink-0" />}
          {newest ? (
            <span>
              The last copy is{" "}
              <strong className="figure">{formatDistance(new Date(newest.madeAt), new Date(nowIso))}</strong>{" "}
              old{isOld ? ": save one now." : "."}
            </span>
          ) : (
            <span>There is no copy yet: save one now.</span>
          )}
        </p>
        {problems.length > 0 && (
          <ul aria-label="Not well" role="alert" className="flex flex-col gap-2">
            {problems.map(({ code, message, remedy }) => (
              <li key={code} className="rounded-lg border-2 border-error p-3">
                <strong>{message}</strong> {remedy}
              </li>
            ))}
          </ul>
        )}
        <p className="quiet">
          Everything (book, kit, days, log) in one file. A copy is made by itself at each start and each
          closed day; the last ten are kept, one for each of eight weeks and one for each of twenty-four
          months.
        </p>
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="btn btn-primary touch"
            disabled={busy !== null}
            onClick={() => void make()}
          >
            <HardDriveDownload size={20} aria-hidden /> Save a copy now
          </button>
          <label className="btn touch">
            <RotateCcw size={20} aria-hidden /> Lay back a file
            <input
              type="file"
              accept=".zip,.jsonl,.sealed"
              className="sr-only"
              onChange={(event) => {
                const [file] = event.target.files ?? [];
                event.target.value = "";
                if (file) void look({ path: "/api/copies/look", body: file });
              }}
            />
          </label>
          <a href="/api/copies/lines" download className="btn touch">
            <FileText size={20} aria-hidden /> Keep everything as JSON Lines
          </a>
        </div>
        <div aria-live="polite">
          {busy && <p>{busy}</p>}
          {done && <p className="text-primary">{done}</p>}
        </div>
        {fault && (
          <p role="alert" className="text-error">
            {fault}
          </p>
        )}
        <OutwardForm
          key={JSON.stringify(outward)}
          outward={outward}
          nowIso={nowIso}
          isBusy={busy !== null}
          onSet={(request) => void setOutward(request)}
        />
        {copies.length > 0 && <h2 className="text-xl">Copies there are</h2>}
        <ul className="flex flex-col">
          {copies.map(({ name, bytes, madeAt }) => (
            <li key={name} className="flex flex-wrap items-center gap-x-3 border-t border-base-300 py-1.5">
              <span className="min-w-52 flex-1">{at(madeAt)}</span>
              <span className="quiet w-40">{readWhy(name)}</span>
              <span className="figure quiet w-20 text-right">{describeBytes(bytes)}</span>
              <a
                href={`/api/copies/${name}`}
                download
                className="btn btn-ghost touch px-2"
                aria-label={`Keep the copy of ${at(madeAt)}`}
              >
                <Download size={20} aria-hidden />
              </a>
              <button
                type="button"
                className="btn touch"
                disabled={busy !== null}
                aria-label={`Look at the copy of ${at(madeAt)}`}
                onClick={() => void look({ path: `/api/copies/look?name=${name}`, body: null })}
              >
                Lay back…
              </button>
            </li>
          ))}
        </ul>
      </div>
      <Dialog open={sealed !== null} onClose={() => setSealed(null)} title="This copy is sealed">
        {sealed && (
          <form
            className="flex flex-col gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              setSealed(null);
              setPassphrase("");
              void look(sealed, passphrase);
            }}
          >
            <label className="flex flex-col gap-1">
              Its passphrase
              <input
                type="password"
                autoComplete="off"
                className="input touch w-full"
                required
                value={passphrase}
                onChange={(event) => setPassphrase(event.target.value)}
              />
            </label>
            <button className="btn btn-primary touch">Open it</button>
          </form>
        )}
      </Dialog>
      <Dialog open={looked !== null} onClose={() => setLooked(null)} title="Lay this copy back?">
        {looked && (
          <>
            <p className="mb-2">Made {at(looked.manifest.madeAt)}</p>
            <DataTable
              caption="What is in the copy, beside what is there now"
              rows={listRows(looked)}
              idOf={([what]) => what}
              columns={[
                { id: "what", title: "It holds", isHead: true, cell: ([what]) => what },
                { id: "copy", title: "Copy", isFigure: true, className: "figure", cell: ([, copy]) => copy },
                { id: "now", title: "Now", isFigure: true, className: "figure", cell: ([, , now]) => now },
              ]}
            />
            <p className="my-3">
              It takes the place of all that is there now. What is there now is copied first, and kept aside.
            </p>
            <div className="flex flex-wrap gap-2">
              <button type="button" className="btn touch" onClick={() => setLooked(null)}>
                Leave everything as it is
              </button>
              <button
                type="button"
                className="btn btn-primary touch"
                onClick={() => void layBack(looked.token)}
              >
                Lay it back
              </button>
            </div>
          </>
        )}
      </Dialog>
    </main>
  );
}

/** What is in the copy beside what is there now, row by row. */
function listRows({ manifest, now }: Looked): readonly (readonly [string, string, string])[] {
  const day = (date: string | null | undefined) =>
    date ? formatShortDate(date) + date.slice(0, 4).padStart(5) : "–";
  return [
    ...Object.entries(manifest.counts).map(
      ([what, count]) => [what, String(count), String(now?.counts[what] ?? "–")] as const,
    ),
    ["first day", day(manifest.firstDay), day(now?.firstDay)],
    ["last day", day(manifest.lastDay), day(now?.lastDay)],
  ];
}
