import { starters } from "@/demo";
import { listStarterCards } from "./starterCards";

test("every starter is drawn as it would lie on its tray", () => {
  const cards = listStarterCards();
  expect(cards.map(({ id }) => id)).toEqual(starters.map(({ id }) => id));
  for (const { face, title } of cards) {
    expect([title, (face?.fromAbove.edge.length ?? 0) > 2]).toEqual([title, true]);
    expect(face!.fromAbove.edge.flat().every(Number.isFinite)).toBe(true);
  }
});
