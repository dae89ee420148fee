import { rollsRound } from "../../../cutting";
import { hasGrain } from "../../../formula";
import { ofDough, ofPiece, type School, type SchoolFacts, type SchoolOption } from "./school";

/** As a hand would, cut from a sheet, portioned and rolled, or sliced from a log. */
export function blanksSchool({ piece, dough, formed }: SchoolFacts): School {
  const { cutAim } = piece;
  const isSheet = cutAim !== "portioned" && cutAim !== "sliced" && cutAim !== "sensible";
  const options: readonly SchoolOption[] = [
    {
      id: "sensible",
      title: "As a hand would",
      why: "Whichever costs least in dough, minutes and fuss together: few and large are rolled one by one.",
      choice: ofPiece({ cutAim: "sensible" }),
    },
    {
      id: "sheet",
      title: "Sheet and cut",
      why: "Fast, and even in thickness; the trim is rolled again.",
      choice: ofPiece({ cutAim: isSheet ? cutAim : "leastDough" }),
    },
    {
      id: "portioned",
      title: "Portion and roll",
      why: "No trim, no re-roll, the dough stays cold; slower by the piece.",
      choice: ofPiece({ cutAim: "portioned" }),
    },
    {
      id: "sliced",
      title: "Slice and flatten",
      why: "Slices off a rolled-up log: the layers show as a swirl, and nothing is trimmed.",
      choice: ofPiece({ cutAim: "sliced" }),
    },
  ];
  // A bought sheet comes rolled, a pin makes nothing square, and only a laminated log is sliced.
  const isRound = (formed?.blanks ?? []).every(({ cut }) => rollsRound(cut));
  const canTake = (id: string) =>
    id === "sheet" ||
    id === "sensible" ||
    (dough.boughtSheet === null && isRound && (id === "portioned" || hasGrain(dough)));
  return {
    id: "blanks",
    question: "How are the blanks made?",
    scope: "piece",
    chosenId: isSheet ? "sheet" : cutAim,
    options: options.filter(({ id }) => id === cutAim || canTake(id)),
  };
}

/** How far the liquid goes between the ends of its range. */
export function liquidSchool({ dough }: SchoolFacts): School {
  return {
    id: "liquid",
    question: "How much liquid?",
    scope: "dough",
    chosenId: dough.liquidSchool,
    options: [
      {
        id: "justHolds",
        title: "It just holds",
        why: "As dry as it will hold is the most tender.",
        choice: ofDough({ liquidSchool: "justHolds" }),
      },
      {
        id: "littleMoist",
        title: "A little moist",
        why: "Rolls without cracking, at the price of some toughness.",
        choice: ofDough({ liquidSchool: "littleMoist" }),
      },
    ],
  };
}

/** Where and how a dough rests before it is rolled. */
export function restSchool({ dough }: SchoolFacts): School {
  return {
    id: "rest",
    question: "How does the dough rest?",
    scope: "dough",
    chosenId: dough.restWay,
    options: [
      {
        id: "minutes",
        title: "My minutes",
        why: "By the clock, as your hands know this dough: ten on the counter, or longer in the cold.",
        choice: ofDough({ restWay: "minutes" }),
      },
      {
        id: "fridge",
        title: "Fridge, by its core",
        why: "Until the core is inside its window, whatever the piece weighs.",
        choice: ofDough({ restWay: "fridge" }),
      },
      {
        id: "freezer",
        title: "Freezer, turned",
        why: "The short cut: turned half way, out before it hardens.",
        choice: ofDough({ restWay: "freezer" }),
      },
      {
        id: "rolledInFridge",
        title: "Rolled, then rested",
        why: "A rolled sheet is cold in minutes and has already relaxed.",
        choice: ofDough({ restWay: "rolledInFridge" }),
      },
    ],
  };
}

/** What becomes of trim: rolled again, cut into decorations, kept, or not used again. */
export function trimSchool({ dough }: SchoolFacts): School {
  const chosenId = dough.rerollLimit > 0 ? "reroll" : dough.trimEnd;
  const usualLimit = hasGrain(dough) ? 1 : 2;
  return {
    id: "trim",
    question: "What becomes of the trim?",
    scope: "dough",
    chosenId,
    options: [
      {
        id: "reroll",
        title: "Rolled again",
        why: "Least dough; re-rolled blanks go underneath, where toughness does not show.",
        choice: ofDough({ rerollLimit: Math.max(dough.rerollLimit, usualLimit) }),
      },
      {
        id: "decorations",
        title: "Decorations",
        why: "First rolling only for what is eaten; leaves from the rest.",
        choice: ofDough({ rerollLimit: 0, trimEnd: "decorations" }),
      },
      {
        id: "larder",
        title: "Kept for another day",
        why: "First rolling only; the trim rests and comes back as dough.",
        choice: ofDough({ rerollLimit: 0, trimEnd: "larder" }),
      },
      {
        id: "waste",
        title: "Not used again",
        why: "The most tender pieces, and the most waste.",
        choice: ofDough({ rerollLimit: 0, trimEnd: "waste" }),
      },
    ],
  };
}
