import { headers } from "next/headers";
import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { BenchProvider } from "@/ui/bench/BenchProvider";
import { toFirstPlanScript } from "@/ui/bench/firstPlan";
import { BenchShell } from "@/ui/shell/BenchShell";
import { readRole } from "../../access/keys";
import { readDemoDay } from "../../demoDay";
import { guardFile } from "../../fileGuard";
import { loadSnapshot } from "../../loadDay";

export const dynamic = "force-dynamic";

interface Props {
  readonly params: Promise<{ date: string }>;
  readonly children: ReactNode;
}

export default async function DayLayout({ params, children }: Props) {
  const { date } = await params;
  const asked = await headers();
  const nonce = asked.get("x-nonce") ?? undefined;
  return guardFile(() => {
    const snapshot = loadSnapshot(date, readRole(asked));
    if (!snapshot) notFound();
    return (
      <>
        <script
          nonce={nonce}
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: toFirstPlanScript(date) }}
        />
        <BenchProvider key={date} snapshot={snapshot}>
          <BenchShell guide={date === readDemoDay()}>{children}</BenchShell>
        </BenchProvider>
      </>
    );
  });
}
