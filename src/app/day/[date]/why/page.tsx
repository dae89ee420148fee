import type { Metadata } from "next";
import { WhyPage } from "@/ui/remedy/WhyPage";

export const metadata: Metadata = { title: "What went wrong, and why" };

export default function Page() {
  return <WhyPage />;
}
