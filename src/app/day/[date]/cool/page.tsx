import type { Metadata } from "next";
import { CoolStation } from "@/ui/stations/CoolStation";

export const metadata: Metadata = { title: "Cool & finish" };

export default function CoolPage() {
  return <CoolStation />;
}
