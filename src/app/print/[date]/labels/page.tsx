import type { Metadata } from "next";
import { listLabels } from "@/core/labels";
import { toPrintedLabels } from "@/formats";
import { readLabelWish } from "@/schemas/labelWish";
import { LabelPages } from "@/ui/labels/LabelPages";
import { printDay } from "../../printDay";

export const metadata: Metadata = { title: "Labels" };
export const dynamic = "force-dynamic";

interface Props {
  readonly params: Promise<{ date: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function PrintLabelsPage({ params, searchParams }: Props) {
  const { date } = await params;
  const wish = readLabelWish(
    new URLSearchParams(
      Object.entries(await searchParams).flatMap(([key, value]) =>
        [value ?? []].flat().map((each) => [key, each]),
      ),
    ),
  );
  return printDay(date, ({ book, plan }) =>
    wish.ok ? (
      <>
        <h1 className="sr-only">Labels</h1>
        <LabelPages
          sheetId={wish.value.sheetId}
          usedUp={wish.value.usedUp}
          labels={toPrintedLabels(listLabels(wish.value.of, plan, book), wish.value, book.kitchen.ovenScale)}
        />
      </>
    ) : (
      <p className="p-6" role="alert">
        {wish.failure}
      </p>
    ),
  );
}
