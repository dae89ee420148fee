import type { Metadata } from "next";
import { FillStation } from "@/ui/stations/FillStation";

export const metadata: Metadata = { title: "Fill" };

export default function FillPage() {
  return <FillStation />;
}
