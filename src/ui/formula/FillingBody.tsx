"use client";

import { useState } from "react";
import { computeTotalG, type Filling } from "@/core/formula";
import {
  bodies,
  computeThickening,
  thickeners,
  toThickened,
  type Body,
  type Thickener,
} from "@/core/filling";
import { formatDuration, formatMass, formatNumber } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { Choice } from "../controls/Choice";
import { Select, toOptions } from "../controls/Select";
import { bodyNames, thickenerNames } from "./words";

/**
 * How a cooked filling stands, and what would bring it to a wanted body: for a batch before it is made, or for a cream
 * that did not set.
 */
export function FillingBody({ filling }: { readonly filling: Filling }) {
  const { analyses, fillings } = useBench((state) => state.plan);
  const [body, setBody] = useState<Body>("mounds");
  const [thickener, setThickener] = useState<Thickener>("cornStarch");
  const analysis = analyses[filling.id];
  const planned = fillings.find(({ formula }) => formula.id === filling.id)?.batch?.weighedG;
  const writtenG = computeTotalG(filling);
  const batchG = planned ?? writtenG;
  if (!analysis || batchG <= 0)
    return <p className="quiet">Write its lines first: the body follows from its water and its starch.</p>;
  const thickened = toThickened(analysis.composition, filling, batchG);
  const { hasYolk } = thickened;
  const thickening = computeThickening({ ...thickened, body, thickener });
  return (
    <>
      <p>
        In {planned ? "today’s batch of" : "the formula’s"} {formatMass(batchG)} starch is{" "}
        <span className="figure">{formatNumber(thickening.presentPer100G, 1)} %</span> of its water: it{" "}
        <strong>{bodyNames[thickening.presentBody]}</strong>.
      </p>
      <Choice
        legend="It should"
        value={body}
        onChange={setBody}
        options={bodies.map((id) => ({ id, title: bodyNames[id] }))}
      />
      <Select
        label="Thickened with"
        value={thickener}
        options={toOptions(thickenerNames).filter(({ id }) => thickeners.includes(id))}
        onChange={setThickener}
      />
      {thickening.addG < 0.5 ? (
        <p>It has enough for that.</p>
      ) : (
        <div className="rounded-lg border border-base-300 p-3">
          <p>
            <span className="figure text-3xl">+ {formatMass(thickening.addG)}</span>{" "}
            {thickening.thickenerName}
          </p>
          <ol className="list-decimal pl-5 text-sm">
            <li>
              Take {formatMass(thickening.slurryG)} of its liquid{hasYolk ? ", or of milk," : ""} cold, and
              stir the {thickening.thickenerName} smooth in it: hot, it lumps.
            </li>
            <li>
              Whisk it into the boiling filling and boil {formatDuration(thickening.boilMin)}, stirring
              {hasYolk && ": raw yolk holds an enzyme that would thin it again"}.
            </li>
            <li>A cream that did not set is rescued the same way. Boiling filling burns; cool it fast.</li>
          </ol>
        </div>
      )}
    </>
  );
}
