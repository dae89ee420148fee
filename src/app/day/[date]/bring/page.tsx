import type { Metadata } from "next";
import { BringOrdersPage } from "@/ui/orders/BringOrdersPage";

export const metadata: Metadata = { title: "Bring a list of orders" };

export default function Page() {
  return <BringOrdersPage />;
}
