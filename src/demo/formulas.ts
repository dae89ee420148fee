import type { Formula } from "@/schemas/model";
import {
  boughtPuff,
  cheeseCrust,
  lardCrust,
  oilCrust,
  roughPuff,
  shortcrust,
  sweetCreamed,
  sweetRubbed,
  yoghurtCrust,
} from "./doughs";
import {
  blossomCurd,
  chestnut,
  courgette,
  custard,
  datePaste,
  glaze,
  leek,
  lemonCustard,
  plum,
  quince,
  quinceJam,
  rhubarb,
  spicedSugar,
  syrup,
  tahiniCream,
  twoApple,
  wash,
} from "./fillings";

/** Formulas of the book beyond those of the starters. */
export const furtherFormulas: readonly Formula[] = [sweetRubbed, cheeseCrust, oilCrust, wash, glaze];

/** Every formula that a baker may take into the book and change. */
export const starterFormulas: readonly Formula[] = [
  shortcrust,
  yoghurtCrust,
  lardCrust,
  quince,
  leek,
  rhubarb,
  sweetCreamed,
  roughPuff,
  boughtPuff,
  plum,
  chestnut,
  blossomCurd,
  courgette,
  spicedSugar,
  datePaste,
  tahiniCream,
  quinceJam,
  lemonCustard,
  twoApple,
  custard,
  syrup,
  ...furtherFormulas,
];
