import { sayUnknownOnLabels } from "@/formats";
import { PLAN_END_MS, runJob } from "@/jobs/pool";
import { readLabelWish } from "@/schemas/labelWish";
import { loadBook } from "../../../../loadDay";
import { refuseJob } from "../../../calculator";
import { refuse } from "../../../readJson";
import { stored } from "../../../stored";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/** Labels of a stored day on their sheets as PDF; `?of=…&sheet=…` says which, as the labels page writes it. */
export const GET = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const wish = readLabelWish(new URL(request.url).searchParams);
  if (!wish.ok) return refuse([{ path: "", message: wish.failure }]);
  const book = loadBook(date);
  if (!book)
    return refuse(
      [{ path: "", message: `There is no day ${date.slice(0, 20)}. Open one that is in the book.` }],
      404,
    );
  const written = await runJob("writeLabelsPdf", { book, wish: wish.value }, PLAN_END_MS);
  if (!written.ok) return refuseJob(written.failure);
  const labels = written.value;
  if (!labels.ok)
    return refuse(
      [
        {
          path: "unknown",
          message: `${sayUnknownOnLabels(labels.failure)} To print them all the same, add “unknown=true”.`,
        },
      ],
      409,
    );
  return new Response(Buffer.from(labels.value), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `attachment; filename="tezgah-${date}-labels.pdf"`,
      "cache-control": "no-store",
    },
  });
});
