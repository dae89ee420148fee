import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { planDay } from "..";
import { createWay, listReadyWays, type Way } from "../../way";

const saturday = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const MOON = "quince-half-moon";
const cautionsOf = (way: Way) =>
  planDay({
    ...saturday,
    pieces: saturday.pieces.map((piece) => (piece.id === MOON ? { ...piece, way } : piece)),
  })
    .cautions.filter(({ pieceIds }) => pieceIds.includes(MOON))
    .map(({ text }) => text)
    .join("\n");

test("cautions follow the way: weights where it lays them in or takes them out, and nowhere else", () => {
  const heats = [["bake", { heatC: 190 }]] as const;
  // Baked empty and filled later, without any weights.
  expect(cautionsOf(createWay([["fold"], ...heats, ["cool"], ["fill"], ["setOut"]]))).not.toContain(
    "weights",
  );
  expect(cautionsOf(createWay([["weightsIn"], ...heats, ["weightsOut"], ["fill"], ["setOut"]]))).toContain(
    "weights",
  );
});

test("every ready way names weights exactly where one of its steps handles them", () => {
  const { form } = saturday.pieces.find(({ id }) => id === MOON)!;
  for (const { way } of listReadyWays(form)) {
    const handles = way.some(({ kind }) => kind === "weightsIn" || kind === "weightsOut");
    expect(cautionsOf(way).includes("weights")).toBe(handles);
  }
});
