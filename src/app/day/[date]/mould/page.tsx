import type { Metadata } from "next";
import { MouldPage } from "@/ui/cutting/MouldPage";

export const metadata: Metadata = { title: "Cutter for a mould" };

export default function Page() {
  return <MouldPage />;
}
