import { because } from "../../result";
import type { BoxMm } from "../../shape";
import { findHeatWay, hasStep } from "../../way";
import type { DayBook, Fryer, Oven, Piece, Shelf, Vessel } from "../book";
import { findHeatFactor, learnFryer, learnOven } from "../learned";
import { toProblem, type Problem } from "../problem";

/** What the kit has room for; null where nothing of the kind is entered: then it is not counted. */
export interface KitRoom {
  /** As readings know them. */
  readonly ovens: readonly Oven[];
  /** Minutes that a piece takes in an oven or a fryer for each that is written. */
  readonly findHeatFactor: (pieceId: string, machineId: string) => number;
  readonly fryers: readonly Fryer[];
  readonly vessels: readonly Vessel[];
  /** Trays there are. */
  readonly trays: number | null;
  /** Trays that stand in each place at once. */
  readonly standing: Readonly<Record<Shelf["place"], number | null>>;
  readonly problems: readonly Problem[];
}

export const placeNames: Readonly<Record<Shelf["place"], string>> = {
  fridge: "the fridge",
  freezer: "the freezer",
  rack: "the cooling rack",
};

/** The room of a book's kit, its shelves counted in trays of the first oven. */
export function openKit({ past, vessels, shelves, ...written }: DayBook): KitRoom {
  const ovens = written.ovens.map((oven) => learnOven(oven, past));
  const fryers = written.fryers.map((fryer) => learnFryer(fryer, past));
  const [home] = ovens;
  const tray = home ? { widthMm: home.trayWidthMm, heightMm: home.trayDepthMm } : null;
  const trays = vessels.filter(({ kind }) => kind === "tray").reduce((sum, { count }) => sum + count, 0);
  const problems: Problem[] = [];
  const standing = (place: Shelf["place"]): number | null => {
    const here = shelves.filter((shelf) => shelf.place === place);
    if (here.length === 0 || !tray) return null;
    const room = here.reduce((sum, shelf) => sum + shelf.count * countOnShelf(shelf, tray), 0);
    if (room > 0) return room;
    const [first] = here;
    const none = because("noShelfRoom", {
      ...{ shelf: first?.name ?? "the shelves", place: placeNames[place] },
      ...{ trayWidthMm: tray.widthMm, trayDepthMm: tray.heightMm },
    });
    problems.push(toProblem(none, { station: "bake" }));
    return null;
  };
  return {
    ovens,
    findHeatFactor: (pieceId, machineId) => findHeatFactor(past, pieceId, machineId),
    fryers,
    vessels,
    trays: trays > 0 ? trays : null,
    standing: { fridge: standing("fridge"), freezer: standing("freezer"), rack: standing("rack") },
    problems,
  };
}

/** Trays side by side on one shelf, all the same way round. */
export function countOnShelf({ widthMm, depthMm }: Shelf, tray: BoxMm): number {
  const fit = (acrossMm: number, deepMm: number) =>
    Math.floor(widthMm / acrossMm) * Math.floor(depthMm / deepMm);
  return Math.max(fit(tray.widthMm, tray.heightMm), fit(tray.heightMm, tray.widthMm));
}

/** The mould or pan a piece is baked in; null on the tray, and for what is fried. */
export const findVessel = ({ vessels }: Pick<KitRoom, "vessels">, { vesselId, way }: Piece): Vessel | null =>
  findHeatWay(way) === "oil"
    ? null
    : (vessels.find(({ id, kind }) => id === vesselId && kind !== "tray") ?? null);

/** Trays of one load: as many as the oven takes, if there are so many and they find room before and after it. */
export function findTraysPerLoad({ trays, standing }: KitRoom, oven: Oven, { way }: Piece): number {
  return Math.min(
    oven.traysAtOnce,
    trays ?? Infinity,
    (hasStep(way, "chill") ? standing.fridge : null) ?? Infinity,
    (hasStep(way, "freeze") ? standing.freezer : null) ?? Infinity,
    standing.rack ?? Infinity,
  );
}
