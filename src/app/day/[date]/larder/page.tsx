import type { Metadata } from "next";
import { LarderPage } from "@/ui/larder/LarderPage";

export const metadata: Metadata = { title: "Larder" };

export default function Page() {
  return <LarderPage />;
}
