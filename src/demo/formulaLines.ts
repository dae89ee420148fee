import { parseLine, standardIngredients, type IngredientLine } from "@/core/formula";
import { sayFailure } from "@/core/words";
import { firstKitchen } from "@/schemas/firstKitchen";

/**
 * Lines of a formula of ours, written as a baker writes them and read by our own parser.
 * @throws {RangeError} On a line that the parser would have to ask about: the demo world is certain.
 */
export function writeLines(prefix: string, texts: readonly string[]): IngredientLine[] {
  return texts.map((text, i) => {
    const parsed = parseLine(text, { ...firstKitchen, ingredients: standardIngredients });
    if (!parsed.ok) throw new RangeError(`writeLines: ${sayFailure(parsed.failure)}`);
    const { name, amountText, massG, mostG, ingredientId } = parsed.value;
    if (massG === null) throw new RangeError(`writeLines: “${text}” has no mass`);
    const round = (value: number) => Number(value.toFixed(1));
    return {
      id: `${prefix}-${i + 1}`,
      name,
      amountText,
      massG: round(massG),
      mostG: mostG === null ? null : round(mostG),
      ingredientId,
    };
  });
}
