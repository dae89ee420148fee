import type { Metadata } from "next";
import { listLabels } from "@/core/labels";
import { listUnknownOnLabels, sayUnknownOnLabels, toPrintedLabels } from "@/formats";
import { readLabelWish, writeLabelWish } from "@/schemas/labelWish";
import { Link } from "@/ui/controls/Link";
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
  return printDay(date, ({ book, plan }) => {
    if (!wish.ok)
      return (
        <p className="p-6" role="alert">
          {wish.failure}
        </p>
      );
    const labels = listLabels(wish.value.of, plan, book);
    const unknown = listUnknownOnLabels(labels, wish.value);
    if (unknown.length > 0 && !wish.value.printsUnknown)
      return (
        <div className="flex flex-col items-start gap-3 p-6">
          <p role="alert">{sayUnknownOnLabels(unknown)}</p>
          <Link
            className="btn touch"
            href={`/print/${date}/labels?${writeLabelWish({ ...wish.value, printsUnknown: true })}`}
          >
            Print incomplete labels
          </Link>
        </div>
      );
    return (
      <>
        <h1 className="sr-only">Labels</h1>
        <LabelPages
          sheetId={wish.value.sheetId}
          usedUp={wish.value.usedUp}
          labels={toPrintedLabels(labels, wish.value, book.kitchen.ovenScale)}
        />
      </>
    );
  });
}
