import { redirect } from "next/navigation";
import { toFileFault } from "@/data/fileFault";
import { IllFile } from "@/ui/shell/IllFile";
import { findDayToOpen } from "./loadDay";

export const dynamic = "force-dynamic";

export default function Home() {
  let date: string | null;
  try {
    date = findDayToOpen();
  } catch (error) {
    const fault = toFileFault(error);
    if (!fault) throw error;
    return <IllFile message={fault.message} remedy={fault.remedy} kind={fault.kind} />;
  }
  redirect(date ? `/day/${date}/orders` : "/welcome");
}
