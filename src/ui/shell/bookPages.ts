export interface BookPage {
  readonly path: string;
  readonly title: string;
}

/** Pages that show what is stored: what is typed is saved before one goes there. */
export const showsStored = (path: string): boolean => !path.startsWith("/day/") || path.endsWith("/shopping");

/** Pages beside the stations, as the drawer and the command list name them. */
export function listBookPages(date: string): readonly BookPage[] {
  const day = `/day/${date}`;
  return [
    { path: `${day}/book`, title: "Pieces and formulas" },
    { path: `${day}/paste`, title: "Paste or import a formula" },
    { path: `${day}/ingredients`, title: "Ingredient book" },
    { path: `${day}/batch`, title: "A batch first: into how many?" },
    { path: `${day}/yield`, title: "How many will this make?" },
    { path: `${day}/sheet`, title: "Lay out one sheet" },
    { path: `${day}/mould`, title: "Cutter for a mould" },
    { path: `${day}/customers`, title: "Customers and standing orders" },
    { path: `${day}/bring`, title: "Bring a list of orders" },
    { path: `${day}/allergens`, title: "Allergens by piece and order" },
    { path: `${day}/labels`, title: "Labels for pieces, trays, orders and larder" },
    { path: `${day}/costs`, title: "Cost and price" },
    { path: `${day}/larder`, title: "Larder" },
    { path: `${day}/shopping`, title: "To buy" },
    { path: `${day}/why`, title: "What went wrong, and why" },
    { path: `/week?on=${date}`, title: "The week" },
    { path: "/days", title: "Book of days: what was planned, what was" },
    { path: "/habits", title: "Habits: what is known of hands, doughs and ovens" },
    { path: `${day}/kit`, title: "Kit: bench, oven, cutters, cold" },
    { path: "/copies", title: "Copies: save everything, lay one back" },
    { path: "/access", title: "Who may come in: devices, passphrases" },
    { path: "/how", title: "How is Tezgah: file, copies, devices, slowest screens" },
    { path: `/print/${date}`, title: "Day sheet to print" },
    { path: `/print/${date}/weigh`, title: "Weigh-out list to print" },
  ];
}

/** What is set for the whole house, by the words of its fields. */
export const listSettings = (date: string): readonly BookPage[] =>
  [
    "Cups and spoons",
    "Eggs at hand",
    "Ovens are marked in",
    "The clock on the wall goes by",
    "Money is told in",
    "Room, fridge and freezer",
  ].map((title) => ({ path: `/day/${date}/kit#kitchen`, title }));

/** At the end of the orders' address: the form for a new one is to have the focus. */
export const NEW_ORDER = "#new-order";
