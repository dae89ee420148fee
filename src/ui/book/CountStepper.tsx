interface Props {
  /** What is counted, for those who do not see it. */
  readonly name: string;
  readonly count: number;
  readonly most: number;
  readonly onChange: (count: number) => void;
}

/** One fewer, how many, one more. */
export function CountStepper({ name, count, most, onChange }: Props) {
  return (
    <span className="ml-auto flex items-center" role="group" aria-label={`How many of ${name}`}>
      <button
        type="button"
        className="btn btn-ghost touch px-2"
        aria-label={`One fewer of ${name}`}
        disabled={count <= 1}
        onClick={() => onChange(count - 1)}
      >
        −
      </button>
      <span className="figure min-w-6 text-center">{count}</span>
      <button
        type="button"
        className="btn btn-ghost touch px-2"
        aria-label={`One more of ${name}`}
        disabled={count >= most}
        onClick={() => onChange(count + 1)}
      >
        +
      </button>
    </span>
  );
}
