"use client";

import { useEffect, useState } from "react";
import { deviceUses, type Device, type HeardReading, type PlacedReading } from "@/core/readings";
import { formatDuration, formatNumber, formatScale } from "@/core/units";
import { pickRecords } from "@/schemas/recordTable";
import { usePicked } from "../bench/BenchProvider";
import { Select } from "../controls/Select";

/** How often the devices are asked for while the kit is seen, ms. */
const ASK_MS = 2000;

interface Heard {
  readonly heard: readonly HeardReading[];
  readonly nonsense: Readonly<Record<string, number>>;
  readonly placed: readonly PlacedReading[];
}

const useNames: Readonly<Record<Device["use"], string>> = {
  scale: "the bench scale",
  dough: "a probe in dough",
  custard: "a probe in custard",
  oven: "an oven",
  fryer: "a fryer’s oil",
  room: "the room",
};

/** Scales and thermometers that are heard: what they say, how long ago, what was wrong, and where they stand. */
export function DeviceList() {
  const { book, records, edit } = usePicked("book", "records", "edit");
  const [{ heard, nonsense, placed }, setHeard] = useState<Heard>({ heard: [], nonsense: {}, placed: [] });
  useEffect(() => {
    const ask = () =>
      fetch("/api/v1/readings")
        .then(async (answer) => (answer.ok ? setHeard((await answer.json()) as Heard) : undefined))
        // A server that is away is said elsewhere.
        .catch(() => undefined);
    void ask();
    const timer = setInterval(() => void ask(), ASK_MS);
    return () => clearInterval(timer);
  }, []);
  const devices = pickRecords(records, "device");
  const sources = [
    ...new Set([...devices.map(({ source }) => source), ...heard.map(({ name }) => name)]),
  ].sort();
  const places = [
    { id: "none", name: "nothing yet" },
    ...deviceUses
      .filter((use) => use !== "oven" && use !== "fryer")
      .map((use) => ({ id: `${use}||`, name: useNames[use] })),
    ...book.ovens.flatMap(({ id, name, deckOffsetsC }) =>
      deckOffsetsC.map((_, i) => ({ id: `oven|${id}|${i + 1}`, name: `${name}, deck ${i + 1}` })),
    ),
    ...book.fryers.map(({ id, name }) => ({ id: `fryer|${id}|`, name: `${name}, its oil` })),
  ];
  const place = (source: string, chosen: string) => {
    const id = toDeviceId(source);
    if (chosen === "none") return edit([{ kind: "device", id, record: null }]);
    const [use, machineId, deck] = chosen.split("|");
    const record: Device = {
      id,
      source,
      use: use as Device["use"],
      machineId: machineId || null,
      deck: deck ? Number(deck) : null,
    };
    edit([{ kind: "device", id, record }]);
  };
  return (
    <section aria-labelledby="devices" className="flex flex-col gap-3">
      <h2 id="devices" className="text-2xl">
        Devices
      </h2>
      {sources.length === 0 && (
        <p className="quiet">
          None is heard. A bridge tells SenML lines at an address that TEZGAH_DEVICES names, or posts to
          /api/v1/readings; the stand-ins that ship start with npm run devices. Nothing here needs one.
        </p>
      )}
      <ul className="flex flex-col gap-3">
        {sources.map((source) => {
          const device = devices.find((each) => each.source === source);
          const said = heard.find(({ name }) => name === source);
          const wrong = placed.find((each) => each.device.source === source);
          return (
            <li key={source} className="flex flex-col gap-1 border-b border-base-300 pb-2">
              <div className="flex items-baseline gap-3">
                <span className="min-w-0 flex-1 truncate">{source}</span>
                <span className="figure text-2xl whitespace-nowrap">
                  {said?.last ? tellLast(said.last) : "–"}
                </span>
                <span className="quiet w-20 text-right text-sm">
                  {said && said.ageS !== null ? tellAge(said.ageS) : "silent"}
                </span>
              </div>
              <Select
                label={`${source} stands for`}
                value={device ? `${device.use}|${device.machineId ?? ""}|${device.deck ?? ""}` : "none"}
                options={places}
                onChange={(chosen) => place(source, chosen)}
              />
              {wrong?.state === "wrong" && <p className="text-error">{wrong.said}</p>}
              {said && <Faults counts={said.counts} />}
            </li>
          );
        })}
      </ul>
      {Object.entries(nonsense).map(([from, count]) => (
        <p key={from} className="quiet text-sm">
          {from}: {count} lines that are no readings
        </p>
      ))}
    </section>
  );
}

function Faults({
  counts: { ofOtherUnit, impossible, tooMany },
}: {
  readonly counts: HeardReading["counts"];
}) {
  const faults = [
    ...(ofOtherUnit > 0 ? [`${ofOtherUnit} of a unit that is not known here`] : []),
    ...(impossible > 0 ? [`${impossible} that cannot be`] : []),
    ...(tooMany > 0 ? [`${tooMany} more than are listened to`] : []),
  ];
  return faults.length > 0 ? <p className="quiet text-sm">Passed over: {faults.join(", ")}.</p> : null;
}

const tellLast = ({ kind, value }: NonNullable<HeardReading["last"]>): string =>
  kind === "massG" ? formatScale(value) : `${formatNumber(value, 1)} °C`;

/** Seconds are told as such up to here. */
const SOON_S = 60;
const tellAge = (ageS: number): string =>
  ageS < SOON_S ? `${Math.round(ageS)} s ago` : `${formatDuration(ageS / 60)} ago`;

const toDeviceId = (source: string): string =>
  `device-${source
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "")}`;
