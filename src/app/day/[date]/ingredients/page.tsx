import type { Metadata } from "next";
import { IngredientsPage } from "@/ui/formula/IngredientsPage";

export const metadata: Metadata = { title: "Ingredients" };

export default function Page() {
  return <IngredientsPage />;
}
