"use client";

interface Props {
  readonly error: Error & { readonly digest?: string };
  readonly reset: () => void;
}

export default function ErrorPage({ error, reset }: Props) {
  return (
    <main className="board flex min-h-dvh flex-col items-start gap-4 p-8">
      <h1 className="text-3xl">This screen failed</h1>
      <p>
        What was saved is safe. Try again; if it fails again, note this mark for whoever looks after Tezgah:{" "}
        {error.digest ?? error.name}.
      </p>
      <button type="button" className="btn btn-primary touch" onClick={reset}>
        Try again
      </button>
    </main>
  );
}
