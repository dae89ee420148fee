import type { Metadata } from "next";
import { LabelsPage } from "@/ui/labels/LabelsPage";

export const metadata: Metadata = { title: "Labels" };

export default function Page() {
  return <LabelsPage />;
}
