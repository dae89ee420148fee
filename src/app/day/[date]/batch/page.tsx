import type { Metadata } from "next";
import { BatchPage } from "@/ui/batch/BatchPage";

export const metadata: Metadata = { title: "A batch first" };

export default function Page() {
  return <BatchPage />;
}
