import type { Metadata } from "next";
import { PastePage } from "@/ui/formula/PastePage";
import { readFormula } from "../../../formulaActions";

export const metadata: Metadata = { title: "Paste a formula" };

export default function Page() {
  return <PastePage readFormula={readFormula} />;
}
