import type { Metadata } from "next";
import { BakeStation } from "@/ui/stations/BakeStation";

export const metadata: Metadata = { title: "Bake & fry" };

export default function BakePage() {
  return <BakeStation />;
}
