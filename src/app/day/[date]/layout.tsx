import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { pickRecords } from "@/schemas/toDayBook";
import { BenchProvider } from "@/ui/bench/BenchProvider";
import { BenchShell } from "@/ui/shell/BenchShell";
import { saveChanges } from "../../actions";
import { loadDay } from "../../loadDay";

export const dynamic = "force-dynamic";

interface Props {
  readonly params: Promise<{ date: string }>;
  readonly children: ReactNode;
}

export default async function DayLayout({ params, children }: Props) {
  const { date } = await params;
  const loaded = loadDay(date);
  if (!loaded) notFound();
  const { records, formulasThen, book, plan } = loaded;
  const dates = pickRecords(records, "day").map((day) => ({ date: day.date, name: day.name }));
  return (
    <BenchProvider
      key={date}
      date={date}
      records={records}
      formulasThen={formulasThen}
      plan={plan}
      nowMin={book.nowMin}
      saveChanges={saveChanges}
    >
      <BenchShell dates={dates.toSorted((a, b) => (a.date < b.date ? 1 : -1))}>{children}</BenchShell>
    </BenchProvider>
  );
}
