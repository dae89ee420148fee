import { useId } from "react";

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly id: T; readonly name: string }[];
  readonly onChange: (value: T) => void;
  readonly hint?: string;
}

/** One of several, by name. */
export function Select<T extends string>({ label, value, options, onChange, hint }: Props<T>) {
  const id = useId();
  return (
    <div className="flex flex-col gap-0.5">
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className="select w-full"
        value={value}
        onChange={(event) => {
          const chosen = options.find((option) => option.id === event.target.value);
          if (chosen) onChange(chosen.id);
        }}
      >
        {options.map((option) => (
          <option key={option.id} value={option.id}>
            {option.name}
          </option>
        ))}
      </select>
      {hint && <p className="quiet text-sm">{hint}</p>}
    </div>
  );
}

/** The entries of a dictionary of names as options, in its own order. */
export function toOptions<T extends string>(names: Readonly<Record<T, string>>): { id: T; name: string }[] {
  return (Object.keys(names) as T[]).map((id) => ({ id, name: names[id] }));
}
