import type { Metadata } from "next";
import { OrdersStation } from "@/ui/stations/OrdersStation";

export const metadata: Metadata = { title: "Orders" };

export default function OrdersPage() {
  return <OrdersStation />;
}
