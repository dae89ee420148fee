"use client";

import { Check, TriangleAlert } from "lucide-react";
import { formatCount, formatNumber } from "@/core/units";
import { Link } from "../controls/Link";
import type { OutwardShown } from "../copies/OutwardForm";
import { HouseHeader } from "../shell/HouseHeader";
import { DataTable } from "../table/DataTable";

/** How the server is, as `/api/health` says it. */
export interface HealthShown {
  readonly isWell: boolean;
  readonly file: {
    readonly isWritable: boolean;
    readonly version: number | null;
    readonly newestVersion: number;
    readonly bytes: number;
    readonly fault: string | null;
  };
  readonly copies: { readonly count: number; readonly ageHours: number | null };
  readonly areThreadsAlive: boolean;
  readonly upSeconds: number;
  readonly memoryMb: number;
}

/** How long a screen took on the devices of the house. */
export interface ScreenShown {
  readonly screen: string;
  readonly count: number;
  readonly medianMs: number;
  readonly slowMs: number;
}

interface Props {
  readonly version: string;
  readonly health: HealthShown;
  readonly outward: OutwardShown | null;
  readonly screens: readonly ScreenShown[];
  /** Pages that are looked at now, on any device. */
  readonly openPages: number;
  /** Devices and programmes that have a key. */
  readonly devices: number;
}

const BYTES_PER_MB = 1_000_000;
const S_PER_HOUR = 3600;
const HOURS_PER_DAY = 24;

/** Days and hours as one says them. */
function describeHours(hours: number): string {
  if (hours < 1) return "less than an hour";
  return hours < 2 * HOURS_PER_DAY
    ? formatCount(Math.round(hours), "hour")
    : formatCount(Math.round(hours / HOURS_PER_DAY), "day");
}

/** How Tezgah is: what is wrong first, then what one asks of a server that runs for years. */
export function HowPage({ version, health, outward, screens, openPages, devices }: Props) {
  const { file, copies } = health;
  const faults = [
    ...(file.fault ? [file.fault] : []),
    ...(health.areThreadsAlive ? [] : ["The threads that plan do not answer. Start Tezgah again."]),
    ...(!health.isWell && file.isWritable && health.areThreadsAlive
      ? ["The last copy is too old: save one on the page Copies."]
      : []),
    ...(outward?.fault ? [outward.fault] : []),
  ];
  return (
    <main className="board min-h-dvh p-5 sm:p-8">
      <div className="mx-auto flex max-w-4xl flex-col gap-6">
        <HouseHeader title="How is Tezgah?" />
        {faults.length === 0 ? (
          <p className="figure flex items-center gap-3 text-4xl text-primary" role="status">
            <Check size={40} aria-hidden /> Well
          </p>
        ) : (
          <div role="alert" className="flex flex-col gap-2 text-xl text-error">
            {faults.map((fault) => (
              <p key={fault} className="flex items-center gap-3">
                <TriangleAlert size={28} aria-hidden className="shrink-0" /> {fault}
              </p>
            ))}
          </div>
        )}
        <dl className="grid grid-cols-1 gap-x-8 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">
          <Fact name="Data file" figure={`${formatNumber(file.bytes / BYTES_PER_MB, 1)} MB`}>
            {file.version === null
              ? "cannot be read"
              : `version ${file.version}${file.version === file.newestVersion ? ", the newest" : ` of ${file.newestVersion}`}`}
          </Fact>
          <Fact
            name="Last copy"
            figure={copies.ageHours === null ? "none" : `${describeHours(copies.ageHours)} old`}
          >
            <Link href="/copies" className="reach underline">
              {formatCount(copies.count, "copy", "copies")} here
            </Link>
            {outward && (outward.newestAt ? ", and elsewhere" : ", none elsewhere yet")}
          </Fact>
          <Fact name="Devices" figure={formatCount(openPages, "open page")}>
            <Link href="/access" className="reach underline">
              {devices === 0 ? "none has a key" : `${formatCount(devices, "key")} given out`}
            </Link>
          </Fact>
          <Fact name="Runs for" figure={describeHours(health.upSeconds / S_PER_HOUR)}>
            version {version}
          </Fact>
          <Fact name="Memory" figure={`${formatNumber(health.memoryMb)} MB`}>
            of the server’s own
          </Fact>
          <Fact name="Threads that plan" figure={health.areThreadsAlive ? "answer" : "do not answer"}>
            beside the pages
          </Fact>
        </dl>
        <section aria-labelledby="screens" className="flex flex-col gap-2">
          <h2 id="screens" className="text-xl">
            Slowest screens, as the devices felt them
          </h2>
          {screens.length === 0 ? (
            <p className="quiet">None was loaded since the start.</p>
          ) : (
            <DataTable
              caption="How long screens took from their address to the plan on them"
              rows={screens}
              idOf={({ screen }) => screen}
              columns={[
                { id: "screen", title: "Screen", isHead: true, cell: ({ screen }) => screen },
                { id: "count", title: "Loaded", isFigure: true, cell: ({ count }) => count },
                {
                  id: "median",
                  title: "Half by",
                  isFigure: true,
                  className: "figure",
                  cell: ({ medianMs }) => `${formatNumber(medianMs)} ms`,
                },
                {
                  id: "slow",
                  title: "19 in 20 by",
                  isFigure: true,
                  className: "figure",
                  cell: ({ slowMs }) => `${formatNumber(slowMs)} ms`,
                },
              ]}
            />
          )}
        </section>
      </div>
    </main>
  );
}

interface FactProps {
  readonly name: string;
  readonly figure: string;
  readonly children: React.ReactNode;
}

function Fact({ name, figure, children }: FactProps) {
  return (
    <div className="border-t border-base-300 pt-2">
      <dt className="quiet">{name}</dt>
      <dd>
        <span className="figure block text-2xl">{figure}</span>
        <span>{children}</span>
      </dd>
    </div>
  );
}
