import type { Metadata } from "next";
import { AwayPage } from "@/ui/away/AwayPage";

/** The page it stands for has a title of its own, known in the browser only: none is written here. */
export const metadata: Metadata = { title: { absolute: "" } };
export const dynamic = "force-dynamic";

/** Kept on every device with the application; it knows nothing of the book. */
export default function Page() {
  return <AwayPage />;
}
