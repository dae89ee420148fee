interface Props {
  readonly label: string;
  readonly value: string;
  readonly note: string;
}

/** One figure to be read from a metre away, with what it is. */
export function Fact({ label, value, note }: Props) {
  return (
    <p className="flex flex-col">
      <span className="quiet text-sm">{label}</span>
      <span className="figure text-3xl">{value}</span>
      <span className="quiet text-sm">{note}</span>
    </p>
  );
}
