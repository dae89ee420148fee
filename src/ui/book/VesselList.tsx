"use client";

import { Trash2 } from "lucide-react";
import { createVessel, vesselKinds, type Vessel } from "@/core/plan";
import { vesselLimits } from "@/schemas/limits";
import { usePicked } from "../bench/BenchProvider";
import { checkName } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { Select, toOptions } from "../controls/Select";
import { TextField } from "../controls/TextField";
import { CountStepper } from "./CountStepper";
import { createId } from "../bench/createId";

const kindNames: Record<Vessel["kind"], string> = {
  mould: "moulds",
  pan: "pans",
  tray: "trays, for everything",
};

/** Moulds, pans and trays by how many there are: a load waits until enough of them are free. */
export function VesselList() {
  const { book, edit } = usePicked("book", "edit");
  const save = (vessel: Vessel, fields: Partial<Vessel>) =>
    edit([{ kind: "vessel", id: vessel.id, record: { ...vessel, ...fields } }]);
  const add = (kind: Vessel["kind"]) => {
    const record = createVessel(createId(kind), kind);
    edit([{ kind: "vessel", id: record.id, record }]);
  };
  /** What is baked in it is baked on the tray once it is gone. */
  const remove = ({ id }: Vessel) =>
    edit([
      ...book.pieces
        .filter(({ vesselId }) => vesselId === id)
        .map((piece) => ({ kind: "piece" as const, id: piece.id, record: { ...piece, vesselId: null } })),
      { kind: "vessel", id, record: null },
    ]);
  return (
    <section aria-labelledby="vessels" className="flex flex-col gap-3">
      <h2 id="vessels" className="text-2xl">
        Moulds, pans and trays
      </h2>
      <p className="quiet text-sm">What is not entered is not counted.</p>
      <ul className="flex flex-col gap-3">
        {book.vessels.map((vessel) => (
          <li key={vessel.id} className="flex flex-col gap-1 border-b border-base-300 pb-2">
            <div className="flex items-end gap-2 [&>:first-child]:min-w-0 [&>:first-child]:flex-1">
              <TextField
                label="Name"
                value={vessel.name}
                check={checkName}
                onCommit={(name) => save(vessel, { name })}
              />
              <CountStepper
                name={vessel.name}
                count={vessel.count}
                most={vesselLimits.count.max}
                onChange={(count) => save(vessel, { count })}
              />
              <button
                type="button"
                className="btn btn-ghost touch px-2"
                aria-label={`Remove ${vessel.name}`}
                onClick={() => remove(vessel)}
              >
                <Trash2 size={20} aria-hidden />
              </button>
            </div>
            <Select
              label={`${vessel.name} are`}
              value={vessel.kind}
              options={toOptions(kindNames)}
              onChange={(kind) => save(vessel, { kind, ...(kind === "tray" ? { holds: 1 } : {}) })}
            />
            {vessel.kind !== "tray" && (
              <Dial
                limit={vesselLimits.holds}
                value={vessel.holds}
                sliderMax={24}
                onChange={(holds) => save(vessel, { holds })}
              />
            )}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        {vesselKinds.map((kind) => (
          <button key={kind} type="button" className="btn touch" onClick={() => add(kind)}>
            Add {kind}s
          </button>
        ))}
      </div>
    </section>
  );
}
