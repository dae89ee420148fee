"use client";

import { Trash2 } from "lucide-react";
import { createShelf, countOnShelf, shelfPlaces, type Shelf } from "@/core/plan";
import { formatCount } from "@/core/units";
import { shelfLimits } from "@/schemas/limits";
import { usePicked } from "../bench/BenchProvider";
import { checkName } from "../controls/checks";
import { Dial } from "../controls/Dial";
import { TextField } from "../controls/TextField";
import { CountStepper } from "./CountStepper";
import { createId } from "../bench/createId";

const placeTitles: Record<Shelf["place"], string> = {
  fridge: "Fridge",
  freezer: "Freezer",
  rack: "Cooling rack",
};

/** Where trays stand to chill and to cool: a load waits until there is room. */
export function ShelfList() {
  const { book, edit } = usePicked("book", "edit");
  const [home] = book.ovens;
  const save = (shelf: Shelf, fields: Partial<Shelf>) =>
    edit([{ kind: "shelf", id: shelf.id, record: { ...shelf, ...fields } }]);
  const add = (place: Shelf["place"]) => {
    const record = createShelf(createId(place), place, placeTitles[place], home ?? null);
    edit([{ kind: "shelf", id: record.id, record }]);
  };
  return (
    <section aria-labelledby="shelves" className="flex flex-col gap-3">
      <h2 id="shelves" className="text-2xl">
        Shelves and racks
      </h2>
      <ul className="flex flex-col gap-3">
        {book.shelves.map((shelf) => (
          <li key={shelf.id} className="flex flex-col gap-1 border-b border-base-300 pb-2">
            <div className="flex items-end gap-2 [&>:first-child]:min-w-0 [&>:first-child]:flex-1">
              <TextField
                label={placeTitles[shelf.place]}
                value={shelf.name}
                check={checkName}
                onCommit={(name) => save(shelf, { name })}
              />
              <CountStepper
                name={shelf.name}
                count={shelf.count}
                most={shelfLimits.count.max}
                onChange={(count) => save(shelf, { count })}
              />
              <button
                type="button"
                className="btn btn-ghost touch px-2"
                aria-label={`Remove ${shelf.name}`}
                onClick={() => edit([{ kind: "shelf", id: shelf.id, record: null }])}
              >
                <Trash2 size={20} aria-hidden />
              </button>
            </div>
            <Dial
              limit={shelfLimits.widthMm}
              value={shelf.widthMm}
              sliderMax={1200}
              onChange={(widthMm) => save(shelf, { widthMm })}
            />
            <Dial
              limit={shelfLimits.depthMm}
              value={shelf.depthMm}
              sliderMax={900}
              hint={home ? describeRoom(shelf, home) : undefined}
              onChange={(depthMm) => save(shelf, { depthMm })}
            />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        {shelfPlaces.map((place) => (
          <button key={place} type="button" className="btn touch" onClick={() => add(place)}>
            Add a {placeTitles[place].toLowerCase()}
          </button>
        ))}
      </div>
    </section>
  );
}

function describeRoom(
  shelf: Shelf,
  home: { readonly trayWidthMm: number; readonly trayDepthMm: number },
): string {
  const each = countOnShelf(shelf, { widthMm: home.trayWidthMm, heightMm: home.trayDepthMm });
  return each === 0
    ? "no tray of the first oven stands on it"
    : `${formatCount(each, "tray")} on each, ${shelf.count * each} in all`;
}
