import type { Metadata } from "next";
import { RollStation } from "@/ui/stations/RollStation";

export const metadata: Metadata = { title: "Roll & cut" };

export default function RollPage() {
  return <RollStation />;
}
