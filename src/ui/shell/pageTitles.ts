/** Names of a day's pages by the rest of their address behind the day; `:id` stands for any. */
export const pageTitles = {
  orders: "Orders",
  mix: "Mix",
  roll: "Roll & cut",
  fill: "Fill",
  seal: "Seal",
  bake: "Bake & fry",
  cool: "Cool & finish",
  batch: "A batch first",
  ingredients: "Ingredients",
  bring: "Bring a list of orders",
  customers: "Customers",
  allergens: "Allergens",
  labels: "Labels",
  costs: "Cost and price",
  kit: "Kit",
  larder: "Larder",
  mould: "Cutter for a mould",
  paste: "Paste a formula",
  sheet: "One sheet",
  shopping: "To buy",
  why: "What went wrong, and why",
  yield: "How many",
  book: "Book",
  "formula/:id": "Formula",
  "piece/:id": "Piece",
  "rest/:id": "Rest and temper",
  "weigh/:id": "Weigh out",
  "piece/:id/compare": "Compare variants",
  "piece/:id/heat": "Heat",
  "piece/:id/schools": "Where bakers disagree",
  "piece/:id/way": "The way it goes",
} as const;

export type PageKey = keyof typeof pageTitles;

/** Which day, page and thing an address names; null where it is no page of a day. */
export function findPage(
  pathname: string,
): { readonly date: string; readonly id: string; readonly key: PageKey } | null {
  const [, day, date = "", name = "orders", id = "", part] = pathname.split("/");
  const key = [name, ...(id === "" ? [] : [":id"]), ...(part === undefined ? [] : [part])].join("/");
  return day === "day" && isPage(key) ? { date, id: decodeURIComponent(id), key } : null;
}

const isPage = (key: string): key is PageKey => Object.hasOwn(pageTitles, key);
