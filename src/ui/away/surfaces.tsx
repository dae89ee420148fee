"use client";

import dynamic from "next/dynamic";
import type { ReactNode } from "react";
import { findPage, pageTitles, type PageKey } from "../shell/pageTitles";

/** A page of a day that needs nothing but what the device has of it. */
export interface Surface {
  readonly title: string;
  /** @param id - Of the piece or the formula that the address names. */
  readonly draw: (id: string) => ReactNode;
}

const OrdersStation = dynamic(() => import("../stations/OrdersStation").then((part) => part.OrdersStation));
const MixStation = dynamic(() => import("../stations/MixStation").then((part) => part.MixStation));
const RollStation = dynamic(() => import("../stations/RollStation").then((part) => part.RollStation));
const FillStation = dynamic(() => import("../stations/FillStation").then((part) => part.FillStation));
const SealStation = dynamic(() => import("../stations/SealStation").then((part) => part.SealStation));
const BakeStation = dynamic(() => import("../stations/BakeStation").then((part) => part.BakeStation));
const CoolStation = dynamic(() => import("../stations/CoolStation").then((part) => part.CoolStation));
const BatchPage = dynamic(() => import("../batch/BatchPage").then((part) => part.BatchPage));
const IngredientsPage = dynamic(() =>
  import("../formula/IngredientsPage").then((part) => part.IngredientsPage),
);
const BringOrdersPage = dynamic(() =>
  import("../orders/BringOrdersPage").then((part) => part.BringOrdersPage),
);
const CustomersPage = dynamic(() => import("../orders/CustomersPage").then((part) => part.CustomersPage));
const AllergensPage = dynamic(() => import("../labels/AllergensPage").then((part) => part.AllergensPage));
const LabelsPage = dynamic(() => import("../labels/LabelsPage").then((part) => part.LabelsPage));
const CostsPage = dynamic(() => import("../costs/CostsPage").then((part) => part.CostsPage));
const KitPage = dynamic(() => import("../book/KitPage").then((part) => part.KitPage));
const LarderPage = dynamic(() => import("../larder/LarderPage").then((part) => part.LarderPage));
const MouldPage = dynamic(() => import("../cutting/MouldPage").then((part) => part.MouldPage));
const PastePage = dynamic(() => import("../formula/PastePage").then((part) => part.PastePage));
const SheetPage = dynamic(() => import("../cutting/SheetPage").then((part) => part.SheetPage));
const WhyPage = dynamic(() => import("../remedy/WhyPage").then((part) => part.WhyPage));
const YieldPage = dynamic(() => import("../cutting/YieldPage").then((part) => part.YieldPage));
const BookPage = dynamic(() => import("../book/BookPage").then((part) => part.BookPage));
const FormulaPage = dynamic(() => import("../formula/FormulaPage").then((part) => part.FormulaPage));
const PiecePage = dynamic(() => import("../piece/PiecePage").then((part) => part.PiecePage));
const RestPage = dynamic(() => import("../mix/RestPage").then((part) => part.RestPage));
const WeighPage = dynamic(() => import("../mix/WeighPage").then((part) => part.WeighPage));
const ComparePage = dynamic(() => import("../piece/ComparePage").then((part) => part.ComparePage));
const HeatPage = dynamic(() => import("../heat/HeatPage").then((part) => part.HeatPage));
const SchoolsPage = dynamic(() => import("../piece/SchoolsPage").then((part) => part.SchoolsPage));
const WayPage = dynamic(() => import("../way/WayPage").then((part) => part.WayPage));

/** The shopping list alone is the server's: it looks over many days. */
const surfaces: Readonly<Partial<Record<PageKey, Surface["draw"]>>> = {
  orders: () => <OrdersStation />,
  mix: () => <MixStation />,
  roll: () => <RollStation />,
  fill: () => <FillStation />,
  seal: () => <SealStation />,
  bake: () => <BakeStation />,
  cool: () => <CoolStation />,
  batch: () => <BatchPage />,
  ingredients: () => <IngredientsPage />,
  bring: () => <BringOrdersPage />,
  customers: () => <CustomersPage />,
  allergens: () => <AllergensPage />,
  labels: () => <LabelsPage />,
  costs: () => <CostsPage />,
  kit: () => <KitPage />,
  larder: () => <LarderPage />,
  mould: () => <MouldPage />,
  paste: () => <PastePage />,
  sheet: () => <SheetPage />,
  why: () => <WhyPage />,
  yield: () => <YieldPage />,
  // The formulas that ship with the application come from the server.
  book: () => <BookPage starterFormulas={[]} />,
  "formula/:id": (id) => <FormulaPage formulaId={id} />,
  "piece/:id": (id) => <PiecePage pieceId={id} />,
  "rest/:id": (id) => <RestPage key={id} formulaId={id} />,
  "weigh/:id": (id) => <WeighPage key={id} formulaId={id} />,
  "piece/:id/compare": (id) => <ComparePage pieceId={id} />,
  "piece/:id/heat": (id) => <HeatPage pieceId={id} />,
  "piece/:id/schools": (id) => <SchoolsPage pieceId={id} />,
  "piece/:id/way": (id) => <WayPage pieceId={id} />,
};

/** Which day and page an address names, where the device can show it; null where only the server can. */
export function findSurface(pathname: string): {
  readonly date: string;
  readonly id: string;
  readonly surface: Surface;
} | null {
  const page = findPage(pathname);
  const draw = page && surfaces[page.key];
  return draw ? { date: page.date, id: page.id, surface: { title: pageTitles[page.key], draw } } : null;
}
