import type { FormKind, MouldKind } from "@/core/forming";
import type { Tin } from "@/core/plan";
import type { GlazeKind, GlueId, VentKind, WashKind, WashSugar } from "@/core/sealing";

/** The trade's words for what a piece distinguishes. */
export const formNames: Record<FormKind, string> = {
  halfMoon: "Half-moon: a round folded",
  triangle: "Triangle: a square corner to corner",
  rectangle: "Rectangle: folded in half",
  largeFold: "Large fold, cut to serve",
  lidded: "Base and top",
  wrapped: "Fruit in a coat",
  gathered: "Gathered and rolled flat",
  lined: "Lined mould: tartlet, cup, pie",
  case: "Puff case",
  rosette: "Rosette",
  puck: "Puck: slices of a log",
  pressed: "Pressed in a hinged press",
};
export const mouldNames: Record<MouldKind, string> = {
  round: "round",
  fluted: "fluted",
  looseBottomed: "loose-bottomed",
  muffin: "muffin cavity",
  oval: "oval",
};
export const glueNames: Record<GlueId, string> = {
  none: "nothing",
  water: "water",
  egg: "whole egg",
  white: "egg white",
};
export const ventNames: Record<VentKind, string> = {
  none: "none",
  pricks: "pricks",
  slits: "slits",
  cutOut: "cut-out",
};
export const washNames: Record<WashKind, string> = {
  none: "no wash",
  egg: "whole egg",
  eggWater: "egg and water",
  eggMilk: "egg and milk",
  milk: "milk",
  white: "egg white",
};
export const sugarNames: Record<WashSugar, string> = {
  none: "no sugar",
  before: "sugar before baking",
  after: "sugar after baking",
};
export const tinNames: Record<Tin, string> = {
  bare: "bare",
  buttered: "buttered",
  floured: "buttered and floured",
  sprayed: "sprayed",
  papered: "parchment",
};
export const glazeNames: Record<GlazeKind, string> = {
  none: "none",
  icing: "thin icing",
  syrup: "syrup",
  jam: "thinned jam",
};
