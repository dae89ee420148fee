import type { Metadata } from "next";
import { YieldPage } from "@/ui/cutting/YieldPage";

export const metadata: Metadata = { title: "How many" };

export default function Page() {
  return <YieldPage />;
}
