import { Fragment } from "react";
import type { Station } from "@/core/plan";

interface Help {
  /** What is done here and what follows from it, a few sentences. */
  readonly how: readonly string[];
  /** Words of the trade that stand here, each with what it is. */
  readonly terms: readonly (readonly [string, string])[];
}

const helps: Readonly<Record<Station, Help>> = {
  orders: {
    how: [
      "Say what is wanted, how many and by when: all the other stations follow from it.",
      "Hand over what was come for. What a customer has every week is a standing order, and is taken in with one tap.",
    ],
    terms: [
      ["spare", "a piece made beyond what was ordered, for the one that breaks"],
      ["nine days in ten", "by then it is ready on nine of ten days, as your minutes have strayed so far"],
    ],
  },
  mix: {
    how: [
      "Each dough and filling, weighed for this day: what the larder holds is used first.",
      "“Weigh out” goes line by line; ticked lines stay ticked on every screen.",
    ],
    terms: [
      ["rest", "cold time between mixing and rolling, until the fat is firm and the dough gives"],
      [
        "fat to peas, to sand",
        "how small the fat is cut in: larger bits make flakes, smaller ones a short crust",
      ],
    ],
  },
  roll: {
    how: [
      "How large to roll each sheet and where to cut, with the least dough, the fewest re-rolls or the least time.",
      "Pull the sheet’s corner to roll another size; what you cut is counted below.",
    ],
    terms: [
      ["blank", "what is cut from a sheet before it is filled"],
      ["between cuts", "the strip of dough left standing between two cuts"],
      ["ragged edge", "what is lost all round, where the rim is uneven"],
      ["re-roll", "trim gathered, rested and rolled once more"],
    ],
  },
  fill: {
    how: [
      "How much goes into each piece, by mass and by what it is measured with.",
      "Plumpness fills the room inside; a portion by weight sets the mass and says whether it fits.",
    ],
    terms: [
      ["plumpness", "how much of what could be filled is filled"],
      ["margin", "clean dough along the edge, for the seam"],
      ["room inside", "what the dough encloses when it is closed"],
    ],
  },
  seal: {
    how: [
      "How the piece is closed: margin, glue and crimp, with how many marks go round and how long it takes.",
      "“Will it hold?” reckons how many may open, from the seam and from what your log says.",
    ],
    terms: [
      ["crimp", "how a seam is pressed: roped, forked, pinched"],
      ["vent", "a cut or a hole that lets steam out"],
      ["wash", "what is brushed on before the heat"],
    ],
  },
  bake: {
    how: [
      "The day by the clock: when to light, what goes in when, and what hands do meanwhile.",
      "Move the window along the day; a bar that is dragged is pinned to its minute, and the rest moves round it.",
      "“What if” plans the whole day again with one thing changed.",
    ],
    terms: [
      ["load", "what is in the oven or the fryer together"],
      ["pinned", "kept at a minute that you have said"],
      ["not yet", "minutes kept for looking again, when the sign is not there"],
    ],
  },
  cool: {
    how: [
      "When each load comes out, is cool and may be set out, beside its promise.",
      "A longer stand moves what follows; cautions stand where they matter.",
    ],
    terms: [
      ["glaze", "what is brushed on after the heat"],
      ["set out", "ready to be handed over"],
    ],
  },
};

/** How a station works and what its words mean, opened in place. */
export function StationHelp({ station }: { readonly station: Station }) {
  const { how, terms } = helps[station];
  return (
    <details className="group border-t border-base-300">
      <summary className="touch flex cursor-pointer items-center gap-2">
        <span aria-hidden className="transition-transform group-open:rotate-90 motion-reduce:transition-none">
          ›
        </span>
        <strong>How this works</strong>
      </summary>
      <div className="flex flex-col gap-2 pb-2">
        {how.map((text) => (
          <p key={text}>{text}</p>
        ))}
        <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
          {terms.map(([term, meaning]) => (
            <Fragment key={term}>
              <dt className="font-bold">{term}</dt>
              <dd className="quiet">{meaning}</dd>
            </Fragment>
          ))}
        </dl>
      </div>
    </details>
  );
}
