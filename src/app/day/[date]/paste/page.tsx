import type { Metadata } from "next";
import { PastePage } from "@/ui/formula/PastePage";

export const metadata: Metadata = { title: "Paste a formula" };

export default function Page() {
  return <PastePage />;
}
