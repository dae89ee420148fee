import type { Metadata } from "next";
import { SheetPage } from "@/ui/cutting/SheetPage";

export const metadata: Metadata = { title: "One sheet" };

export default function Page() {
  return <SheetPage />;
}
