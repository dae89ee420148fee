"use client";

import { Trash2 } from "lucide-react";
import { useState } from "react";
import { createCutter, type Cutter } from "@/core/plan";
import { describeOutline, type Outline } from "@/core/shape";
import { usePicked } from "../bench/BenchProvider";
import { OutlineEditor } from "../cutting/OutlineEditor";
import { firstOutline } from "../cutting/outlineKinds";
import { OutlineIcon } from "../drawings/OutlineShape";
import { outlineLimits } from "@/schemas/limits";
import { CountStepper } from "./CountStepper";
import { createId } from "../bench/createId";

/** Every cutter there is, with how many. */
export function CutterDrawer() {
  const { book, edit } = usePicked("book", "edit");
  const [outline, setOutline] = useState<Outline>(firstOutline("disc"));
  const add = () => {
    const cutter = createCutter(createId("cutter"), outline);
    edit([{ kind: "cutter", id: cutter.id, record: cutter }]);
  };
  const save = (cutter: Cutter, fields: Partial<Cutter>) =>
    edit([{ kind: "cutter", id: cutter.id, record: { ...cutter, ...fields } }]);
  return (
    <section aria-labelledby="cutters" className="flex flex-col gap-3">
      <h2 id="cutters" className="text-2xl">
        Cutter drawer
      </h2>
      <ul className="flex flex-col gap-1.5">
        {book.cutters.map((cutter) => (
          <li key={cutter.id} className="flex items-center gap-2 border-b border-base-300">
            <OutlineIcon outline={cutter.outline} sizePx={38} />
            <span className="min-w-0">
              <span className="block truncate">{cutter.name}</span>
              <span className="quiet block text-sm">{describeOutline(cutter.outline)}</span>
            </span>
            <CountStepper
              name={cutter.name}
              count={cutter.count}
              most={outlineLimits.cutters.max}
              onChange={(count) => save(cutter, { count })}
            />
            <button
              type="button"
              className="btn btn-ghost touch px-2"
              aria-label={`Remove ${cutter.name}`}
              onClick={() => edit([{ kind: "cutter", id: cutter.id, record: null }])}
            >
              <Trash2 size={20} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <div className="flex flex-col gap-2 rounded-xl border border-base-300 p-3">
        <OutlineEditor outline={outline} onChange={setOutline} />
        <button type="button" className="btn btn-primary touch" onClick={add}>
          Put it in the drawer
        </button>
      </div>
    </section>
  );
}
