import type { Metadata } from "next";
import { AllergensPage } from "@/ui/labels/AllergensPage";

export const metadata: Metadata = { title: "Allergens" };

export default function Page() {
  return <AllergensPage />;
}
