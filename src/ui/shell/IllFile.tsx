import { CircleAlert } from "lucide-react";
import { ReloadButton } from "./ReloadButton";
import type { FileFaultWords } from "./fileFaultWords";

/** In place of every page while the data file cannot be used: what is wrong, what to do, where the copies are. */
export function IllFile({ message, remedy, kind }: FileFaultWords) {
  const mayHelp = ["newer", "notADatabase", "corrupt", "unreadable", "migration", "foreign"].includes(kind);
  return (
    <main className="board flex min-h-dvh flex-col items-start gap-4 p-8">
      <p className="figure text-2xl">tezgah</p>
      <h1 className="flex items-center gap-3 text-3xl">
        <CircleAlert size={32} aria-hidden className="shrink-0 text-error" />
        {message}
      </h1>
      <p className="max-w-prose text-lg">{remedy}</p>
      <p className="quiet max-w-prose">
        Nothing is written meanwhile. What is typed on an open tablet stays there and is saved once this is
        mended.
      </p>
      <div className="flex flex-wrap gap-3">
        <ReloadButton />
        {mayHelp && (
          // oxlint-disable-next-line nextjs/no-html-link-for-pages -- nothing of this page is to be kept
          <a href="/copies" className="btn touch">
            Look at the copies
          </a>
        )}
      </div>
    </main>
  );
}
