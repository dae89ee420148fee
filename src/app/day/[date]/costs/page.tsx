import type { Metadata } from "next";
import { CostsPage } from "@/ui/costs/CostsPage";

export const metadata: Metadata = { title: "Cost and price" };

export default function Page() {
  return <CostsPage />;
}
