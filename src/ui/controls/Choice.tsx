interface Option<T extends string> {
  readonly id: T;
  readonly title: string;
  readonly figure?: string;
  readonly note?: string;
}

interface Props<T extends string> {
  readonly legend: string;
  readonly options: readonly Option<T>[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}

/** So many stand two by two: three and one below would look as if the last were another thing. */
const EVEN = 4;
const AS_MANY_AS_FIT = "grid-cols-[repeat(auto-fit,minmax(88px,1fr))]";

/** A few large choices, each with what it would cost. */
export function Choice<T extends string>({ legend, options, value, onChange }: Props<T>) {
  return (
    <fieldset>
      <legend className="mb-1.5">{legend}</legend>
      <div className={`grid gap-2 ${options.length === EVEN ? "grid-cols-2" : AS_MANY_AS_FIT}`}>
        {options.map(({ id, title, figure, note }) => (
          <label
            key={id}
            className="touch relative flex cursor-pointer flex-col rounded-lg border-2 border-(--field-line) bg-base-100 px-2.5 py-1.5 has-checked:border-primary has-checked:bg-base-200 has-focus-visible:outline-3 has-focus-visible:outline-primary"
          >
            <input
              type="radio"
              name={legend}
              className="sr-only"
              checked={id === value}
              onChange={() => onChange(id)}
            />
            <span className={figure ? "text-sm" : note ? "" : "my-auto text-center"}>{title}</span>
            {figure && <span className="figure text-lg leading-6">{figure}</span>}
            {note && <span className="quiet text-xs">{note}</span>}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
