/** Fruit and vegetables are mostly water, with a little air in them. */
export const PRODUCE_G_PER_ML = 0.97;
