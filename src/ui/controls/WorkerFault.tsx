/** Why a calculation gave no answer, with another try; nothing where it gave one. */
export function WorkerFault({
  fault,
  onRetry,
}: {
  readonly fault: string | null;
  readonly onRetry: () => void;
}) {
  if (!fault) return null;
  return (
    <p role="alert" className="flex flex-wrap items-center gap-3 text-error">
      {fault}
      <button type="button" className="btn touch" onClick={onRetry}>
        Try again
      </button>
    </p>
  );
}
