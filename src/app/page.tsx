import { redirect } from "next/navigation";
import { findDayToOpen } from "./loadDay";

export const dynamic = "force-dynamic";

export default function Home() {
  const date = findDayToOpen();
  redirect(date ? `/day/${date}/orders` : "/welcome");
}
