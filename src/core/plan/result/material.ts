/** Where a material goes. */
export type MaterialUse = "inside" | "onTop" | "glue" | "wash" | "glaze" | "fat" | "stick";

/** Something that goes into or onto pieces beside dough and fillings, over the day. */
export interface Material {
  readonly name: string;
  readonly use: MaterialUse;
  /** Its entry in the book; null where the book does not know it: then nobody knows its allergens or its price. */
  readonly ingredientId: string | null;
  /** 0 for what is counted only. */
  readonly massG: number;
  /** Null where it is not counted. */
  readonly count: number | null;
  readonly pieceIds: readonly string[];
}
