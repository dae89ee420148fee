import type { Metadata } from "next";
import { MixStation } from "@/ui/stations/MixStation";

export const metadata: Metadata = { title: "Mix" };

export default function MixPage() {
  return <MixStation />;
}
