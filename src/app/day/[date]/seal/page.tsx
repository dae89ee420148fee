import type { Metadata } from "next";
import { SealStation } from "@/ui/stations/SealStation";

export const metadata: Metadata = { title: "Seal" };

export default function SealPage() {
  return <SealStation />;
}
