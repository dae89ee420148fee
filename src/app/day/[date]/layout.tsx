import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { preload } from "react-dom";
import { BenchProvider } from "@/ui/bench/BenchProvider";
import { toPlanPath } from "@/ui/bench/planPath";
import { BenchShell } from "@/ui/shell/BenchShell";
import { guardFile } from "../../fileGuard";
import { loadSnapshot } from "../../loadDay";

export const dynamic = "force-dynamic";

interface Props {
  readonly params: Promise<{ date: string }>;
  readonly children: ReactNode;
}

export default async function DayLayout({ params, children }: Props) {
  const { date } = await params;
  return guardFile(() => {
    const snapshot = loadSnapshot(date);
    if (!snapshot) notFound();
    preload(toPlanPath(date), { as: "fetch", crossOrigin: "anonymous" });
    return (
      <BenchProvider key={date} snapshot={snapshot}>
        <BenchShell>{children}</BenchShell>
      </BenchProvider>
    );
  });
}
